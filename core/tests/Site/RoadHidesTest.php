<?php

declare(strict_types=1);

use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Tests\Site\Sites;

/* What of a site's road ends the view: told of once, it slows whoever comes along it and shortens what an overtaking sees. */

const HEDGED = ['bend' => ['radius_m' => 150, 'from_m' => 300, 'to_m' => 180, 'offset_m' => 4]];
const CRESTED = ['crest' => ['from_m' => 300, 'to_m' => 220, 'gradient_change' => 0.14]];
const DIPPED = ['dip' => ['from_m' => 300, 'to_m' => 240, 'depth_m' => 1.8]];

function longRoad(array $more): array
{
    return Sites::ways(Sites::of(['w' => ['holds' => ['long-view'], 'limit_mph' => 60, ...$more], 'e' => []], 'stretch'))['w>e'];
}

it('sees an overtaking past the hedge, over the crest and into the dip of its road, as the sight tool does', function (array $road, array $as): void {
    $inputs = longRoad($road)['inputs'];
    $open = Ask::tool('overtake', longRoad([])['inputs'] + ['oncoming_speed_mph' => 60]);
    $hidden = Ask::tool('overtake', $inputs + ['oncoming_speed_mph' => 60]);
    expect($inputs)->toMatchArray($as)->and($open['sight_m'])->toBeNull()
        ->and($hidden['sight_m'])->toEqualWithDelta(Ask::tool('sight', ['limit_mph' => 60] + $as)['seen_m'], 0.06)
        ->and($hidden['verdict'])->not->toBe('go')->and(array_column($hidden['warnings'], 'code'))->toContain('upper-bound');
})->with([
    'a hedge' => [HEDGED, ['bend_radius_m' => 150.0, 'offset_m' => 4.0, 'bend_angle_deg' => 45.84]],
    'a crest' => [CRESTED, ['crest' => ['length_m' => 80.0, 'gradient_change' => 0.14]]],
    'a dip' => [DIPPED, ['dip' => ['length_m' => 60.0, 'depth_m' => 1.8]]],
]);

it('hides nothing in a bend one sees across, and tells no other routine of a bend by these names', function (): void {
    $across = longRoad(['bend' => ['radius_m' => 150, 'from_m' => 300, 'to_m' => 180]])['inputs'];
    expect($across)->not->toHaveKeys(['bend_radius_m', 'offset_m', 'crest']);
    $narrow = Sites::ways(Sites::of(['w' => ['holds' => ['narrow'], 'limit_mph' => 40] + HEDGED + CRESTED, 'e' => []], 'stretch'))['w>e'];
    expect($narrow['routine'])->toBe('meet')->and($narrow['inputs'])->toHaveKeys(['bend', 'crest'])->not->toHaveKey('bend_radius_m');
});

it('slows whoever comes over a crest or to a dip before a junction, from every road of it by itself', function (array $hill, string $name): void {
    $arms = Sites::arms('crossroads');
    $flat = Sites::ways(Sites::of($arms));
    $arms['s'] += ['limit_mph' => 60] + $hill;
    $hilly = Sites::ways(Sites::of($arms));
    foreach ($hilly as $way => ['inputs' => $inputs]) {
        expect(isset($inputs[$name]))->toBe(str_starts_with($way, 's>') && $inputs !== null, $way);
        if ($inputs !== null && ! str_starts_with($way, 's>')) {
            expect($inputs)->toBe($flat[$way]['inputs'], $way);
        }
    }
    $plan = Ask::tool('approach', $hilly['s>w']['inputs']);
    expect(array_column($plan['conflicts'], 'code'))->toContain("{$name}-hides-the-road")
        ->and($plan['place'][$name])->toMatchArray(array_map(floatval(...), $hill[$name]));
})->with(['a crest' => [CRESTED, 'crest'], 'a dip' => [DIPPED, 'dip']]);

it('refuses half a crest or half a dip, and one that is none, by name', function (array $hill, string $field): void {
    expect(Ask::refusal('approach', ['routine' => 'turn-left', strtok($field, '.') => $hill]))->toHaveKey($field);
})->with([
    [['from_m' => 100, 'to_m' => 50], 'crest.gradient_change'], [['gradient_change' => 0.05, 'to_m' => 50], 'crest.from_m'],
    [['from_m' => 100, 'to_m' => 50, 'gradient_change' => 0], 'crest.gradient_change'],
    [['from_m' => 100, 'to_m' => -5, 'gradient_change' => 0.05], 'crest.to_m'], [['from_m' => 100, 'to_m' => 50], 'dip.depth_m'],
    [['depth_m' => 2, 'from_m' => 50], 'dip.to_m'], [['from_m' => 100, 'to_m' => 50, 'depth_m' => -1], 'dip.depth_m'],
]);
