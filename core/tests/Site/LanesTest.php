<?php

declare(strict_types=1);

use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Tests\Site\Sites;

/* What is painted on a site's lanes is what the lanes tool is asked, way by way. */

/** @return array<string, array<string, mixed>> a crossroads under lights with two lanes from the south */
function twoLanes(array $south = []): array
{
    $arms = Sites::arms('lights');
    $arms['s'] += $south + ['lanes_in' => 2];

    return $arms;
}

it('asks for a lane only where there is a choice, and every question it makes can be answered', function (string $name, string $kind): void {
    foreach (RulePacks::codes() as $pack) {
        $site = Sites::of(array_map(static fn (array $arm): array => $arm + ['lanes_in' => 2, 'lanes_out' => 2], Sites::arms($name)), $kind, $pack);
        foreach (Ask::tool('site', $site)['ways'] as $way) {
            $answer = Ask::tool('lanes', $way['lanes']);
            expect($answer['approach_lane'])->toBeIn([1, 2], "{$pack} {$way['from']}>{$way['to']}");
            // The ways of one arm: towards the near side from the near lane, across from the far one, where nothing is painted.
            if ($kind === 'junction') {
                $near = $pack === 'na' ? 'right' : 'left';
                expect($answer['approach_lane'])->toBe($way['out'] === $near || $way['out'] === 'ahead' ? 1 : 2, "{$pack} {$way['from']}>{$way['to']}");
            }
        }
        expect(array_column(Ask::tool('site', Sites::of(Sites::arms($name), $kind, $pack))['ways'], 'lanes'))->each->toBeNull();
    }
})->with([['lights', 'junction'], ['ring', 'roundabout']]);

it('goes by the paint, names a road that comes twice by its compass point, and lets buses have their lane', function (): void {
    $arms = twoLanes(['approach_lanes' => [['to' => ['w']], ['to' => ['n', 'e']]], 'limit_mph' => 30]);
    $arms['n']['name'] = $arms['s']['name'] = 'Long Road';
    $ways = Sites::ways(Sites::of($arms));
    expect($ways['s>n']['lanes'])->toMatchArray(['layout' => 'junction', 'from' => 'Long Road (south)', 'to' => 'Long Road (north)', 'speed_mph' => 30]);
    $lane = static fn (string $way): int => Ask::tool('lanes', $ways[$way]['lanes'])['approach_lane'];
    expect([$lane('s>w'), $lane('s>n'), $lane('s>e')])->toBe([1, 2, 2]);
    $bus = Sites::ways(Sites::of(twoLanes(['lanes_in' => 3, 'approach_lanes' => [['to' => [], 'bus' => true], ['to' => []], ['to' => []]]])));
    expect(Ask::tool('lanes', $bus['s>w']['lanes'])['approach_lane'])->toBe(2);
    // Its hours only: at noon it is anybody's.
    $hours = Sites::ways(Sites::of(twoLanes(['lanes_in' => 3, 'approach_lanes' => [['bus_hours' => [['from' => '07:00', 'until' => '09:30']]], [], []]])));
    expect(Ask::tool('lanes', ['time' => '08:00'] + $hours['s>w']['lanes'])['approach_lane'])->toBe(2)
        ->and(Ask::tool('lanes', ['time' => '12:00'] + $hours['s>w']['lanes'])['approach_lane'])->toBe(1);
});

it('takes as many lanes as are painted where nobody says their number', function (): void {
    $arms = Sites::arms('ring');
    $arms['s'] += ['approach_lanes' => [['to' => ['w']], ['to' => ['n', 'e']]]];
    $way = Sites::ways(Sites::of($arms, 'roundabout'))['s>e'];
    expect($way['lanes']['arms'])->toHaveCount(4)->and(Ask::tool('lanes', $way['lanes'])['approach_lane'])->toBe(2);
});

it('asks alike in a mirror: the same lane of a mirrored roundabout where one keeps right', function (): void {
    $arms = array_fill_keys(['n', 'e', 's', 'w'], ['lanes_in' => 2, 'lanes_out' => 2]);
    $left = Sites::ways(Sites::of($arms, 'roundabout', 'gb'));
    $right = Sites::ways(Sites::of($arms, 'roundabout', 'na'));
    $lane = static fn (array $way): int => Ask::tool('lanes', $way['lanes'])['approach_lane'];
    foreach (['s>w' => 's>e', 's>n' => 's>n', 's>e' => 's>w', 'e>s' => 'w>s'] as $here => $there) {
        expect($lane($left[$here]))->toBe($lane($right[$there]));
    }
});

it('leads outward on a spiral without a change of lane, in every lane to its own exit; on a plain ring one is changed', function (string $pack): void {
    // Driven round the other way where one keeps right.
    $exits = $pack === 'na' ? ['e', 'n', 'w'] : ['w', 'n', 'e'];
    $arms = array_fill_keys(['n', 'e', 's', 'w'], []);
    $arms['s'] = ['lanes_in' => 3, 'approach_lanes' => array_map(static fn (string $to): array => ['to' => [$to]], $exits)];
    $spiral = Sites::ways(Sites::of($arms, 'spiral', $pack));
    $plain = Sites::ways(Sites::of($arms, 'roundabout', $pack));
    foreach ($exits as $i => $to) {
        expect($spiral["s>{$to}"]['routine'])->toBe($plain["s>{$to}"]['routine'])->and($plain["s>{$to}"]['lanes'])->not->toHaveKey('spirals_by_paint');
        $led = Ask::tool('lanes', $spiral["s>{$to}"]['lanes']);
        $moved = Ask::tool('lanes', $plain["s>{$to}"]['lanes']);
        $many = static fn (array $answer, string $kind): int => count(array_keys(array_column($answer['met'], 'kind'), $kind, true));
        expect($led['approach_lane'])->toBe($i + 1)->and($moved['approach_lane'])->toBe($i + 1);
        expect([$many($led, 'spiral'), $many($led, 'move')])->toBe([$i, 0])->and([$many($moved, 'spiral'), $many($moved, 'move')])->toBe([0, $i]);
        // Mirrors before each outward move the paint makes, and once on the approach.
        expect($many($led, 'mirrors'))->toBe(1 + $i);
    }
})->with(['gb', 'ie', 'na']);

it('refuses paint that cannot be, by the name of the field', function (array $south, string $field, string $sentence): void {
    $arms = twoLanes($south);
    $arms['e'] += ['lanes_out' => 0];
    $said = Ask::refusal('site', Sites::of($arms));
    $at = array_search('s', array_keys($arms), true);
    expect($said)->toHaveKey("arms.{$at}.{$field}")->and($said["arms.{$at}.{$field}"][0])->toContain($sentence);
})->with([
    'fewer than it has' => [['approach_lanes' => [['to' => ['w']]]], 'approach_lanes', 'one for each of its lanes: 2'],
    'a road there is none of' => [['approach_lanes' => [['to' => ['x']], []]], 'approach_lanes.0.to', 'x is none'],
    'back where one comes from' => [['approach_lanes' => [[], ['to' => ['s']]]], 'approach_lanes.1.to', 's is none'],
    'into a road that only leads in' => [['approach_lanes' => [[], ['to' => ['e']]]], 'approach_lanes.1.to', 'e is none'],
    'exits it has not' => [['lanes_out' => 1, 'exit_lanes' => [[], []]], 'exit_lanes', 'one for each of its lanes: 1'],
]);

it('has no paint to choose by along a stretch of road', function (): void {
    $site = Sites::of(['w' => ['lanes_in' => 2, 'approach_lanes' => [[], []]], 'e' => []], 'stretch');
    expect(Ask::refusal('site', $site))->toHaveKey('arms.0.approach_lanes');
});
