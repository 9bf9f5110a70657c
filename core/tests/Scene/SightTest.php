<?php

declare(strict_types=1);

use NobleTurn\Core\Sight\Sight;
use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Tests\Scenes;

/** @param  array<string, mixed>  $more @return array<string, mixed> */
function seen(array $more, string $tool = 'sight'): array
{
    return Ask::tool($tool, $more + ['pack' => 'gb', 'limit_mph' => 60]);
}

it('comes to a bend, a crest and a dip at the speed from which one can stop within what is seen', function (array $road): void {
    $answer = seen($road);
    $stopping = Ask::tool('stopping', ['pack' => 'gb', 'speed_mps' => $answer['stop_within_mps']]);

    expect($stopping['total_m'])->toEqualWithDelta($answer['seen_m'], 0.05)
        ->and($answer['verdict'])->toBe('slower')
        ->and($answer['message'])->toContain('stops within that from '.round($answer['stop_within_mph']).' mph')
        ->and($answer['come_at_mps'])->toBe(min($answer['stop_within_mps'], $answer['bend_mps'] ?? INF))
        ->and(min(array_filter($answer['profile']['seen_m'])))->toBeGreaterThanOrEqual($answer['seen_m'] - 0.01);

    // Half of it where only one fits: the other must be able to stop as well.
    $narrow = seen($road + ['narrow' => true]);
    expect(Ask::tool('stopping', ['pack' => 'gb', 'speed_mps' => $narrow['meet_within_mps']])['total_m'])->toEqualWithDelta($narrow['seen_m'] / 2.0, 0.05)
        ->and($narrow['message'])->toContain('half of that');
})->with([
    'bend' => [['bend_radius_m' => 60, 'offset_m' => 3]],
    'sharp bend of ninety degrees' => [['bend_radius_m' => 20, 'offset_m' => 2, 'bend_angle_deg' => 90]],
    'crest' => [['crest' => ['length_m' => 60, 'gradient_change' => 0.12]]],
    'dip' => [['dip' => ['length_m' => 90, 'depth_m' => 4]]],
]);

it('sees from a lorry what an approach in one sees, over crests and into dips, and comes no faster than it', function (array $road): void {
    $hill = array_key_first($road);
    [$lorry, $car] = array_map(static fn (string $vehicle): array => seen($road + ['vehicle' => $vehicle]), ['rigid-lorry', 'small-petrol-hatch']);
    $on = ['from_m' => 300, 'to_m' => 300 - $road[$hill]['length_m']] + array_diff_key($road[$hill], ['length_m' => 0]);
    $approach = Ask::tool('approach', ['pack' => 'gb', 'routine' => 'turn-left', 'limit_mph' => 60, 'vehicle' => 'rigid-lorry', $hill => $on]);
    expect($lorry['eye_m'])->toBe(Sight::HIGH_EYE_M)->and($car['eye_m'])->toBe(Sight::EYE_M)->and($lorry['seen_m'])->toBeGreaterThan($car['seen_m'] + 3.0)
        ->and($approach['place'][$hill]['seen_m'])->toEqualWithDelta($lorry['seen_m'], 0.06)
        ->and($approach['approach_speed_mps'])->toBeLessThanOrEqual($lorry['come_at_mps'] + 0.05);
    // By the stopping that is told for a lorry; a car that saw as much would come faster, and eyes as high as they were said count.
    $stopping = Ask::tool('stopping', ['pack' => 'gb', 'vehicle' => 'rigid-lorry', 'speed_mps' => $lorry['stop_within_mps']]);
    expect($stopping['total_m'])->toEqualWithDelta($lorry['seen_m'], 0.05)
        ->and(seen($road + ['eye_height_m' => Sight::HIGH_EYE_M])['stop_within_mps'])->toBeGreaterThan($lorry['stop_within_mps'] + 1.0)
        ->and(seen($road + ['vehicle' => 'rigid-lorry', 'eye_height_m' => Sight::EYE_M])['seen_m'])->toBe($car['seen_m']);
    // So does an overtaking.
    [$from, $of] = array_map(static fn (string $vehicle): float => seen(
        $road + ['vehicle' => $vehicle, 'other_speed_mph' => 20], 'overtake',
    )['sight_m'], ['rigid-lorry', 'small-petrol-hatch']);
    expect($from)->toEqualWithDelta($lorry['seen_m'], 0.06)->and($of)->toEqualWithDelta($car['seen_m'], 0.06);
})->with([
    'a crest' => [['crest' => ['length_m' => 60, 'gradient_change' => 0.12]]], 'a long crest' => [['crest' => ['length_m' => 200, 'gradient_change' => 0.1]]],
    'a dip' => [['dip' => ['length_m' => 90, 'depth_m' => 3]]],
]);

it('stops a lorry later: the air comes first, and its brakes hold less', function (float $mph): void {
    $of = static fn (array $more): array => Ask::tool('stopping', ['pack' => 'gb', 'speed_mph' => $mph, ...$more]);
    [$car, $lorry] = [$of([]), $of(['vehicle' => 'rigid-lorry'])];
    // UN Regulations No. 13 and 13-H: 5.0 and 6.43 m/s2, and 0.6 s of air; from memory.
    expect($lorry['thinking_m'] - $car['thinking_m'])->toEqualWithDelta(0.6 * $mph * 0.44704, 0.01)
        ->and($lorry['braking_m'] / $car['braking_m'])->toEqualWithDelta(6.43 / 5.0, 1e-3)
        ->and($of(['vehicle' => 'rigid-lorry', 'model' => 'aashto'])['total_m'])->toBeGreaterThan($of(['model' => 'aashto'])['total_m'])
        // What somebody measured is of what they measured it in.
        ->and($of(['vehicle' => 'rigid-lorry', 'reaction_s' => 1, 'decel_mps2' => 5])['total_m'])->toBe($of(['reaction_s' => 1, 'decel_mps2' => 5])['total_m']);
})->with([20.0, 40.0, 56.0]);

it('sees less of everything where more hides it, and comes slower', function (array $asked, string $field, array $values): void {
    $before = INF;
    foreach ($values as $value) {
        $answer = seen(array_replace_recursive($asked, [$field => $value]));
        expect($answer['seen_m'])->toBeLessThan($before);
        $before = $answer['seen_m'];
    }
})->with([
    'a hedge nearer to us' => [['bend_radius_m' => 80, 'offset_m' => 9], 'offset_m', [9, 6, 4, 2.5, 1]],
    'a tighter bend' => [['offset_m' => 3], 'bend_radius_m', [300, 150, 80, 40]],
    'a sharper crest' => [['crest' => ['length_m' => 100]], 'crest', [['gradient_change' => 0.04], ['gradient_change' => 0.08], ['gradient_change' => 0.15]]],
    'lower eyes' => [['crest' => ['length_m' => 100, 'gradient_change' => 0.1]], 'eye_height_m', [2.4, 1.5, 1.08]],
    'a lower thing to be seen' => [['crest' => ['length_m' => 100, 'gradient_change' => 0.1]], 'target_height_m', [1.2, 0.6, 0.1]],
    'nearer to a lorry' => [['vehicle_ahead' => ['width_m' => 2.5]], 'vehicle_ahead', [['distance_m' => 40], ['distance_m' => 20], ['distance_m' => 8]]],
    'behind something wider' => [['vehicle_ahead' => ['distance_m' => 20]], 'vehicle_ahead', [['width_m' => 1.7], ['width_m' => 2.1], ['width_m' => 2.5]]],
]);

it('calls what it worked out an upper bound, always', function (array $road): void {
    $codes = array_column(seen($road)['warnings'], 'code');

    expect($codes)->toContain('upper-bound');
})->with([[['bend_radius_m' => 60, 'offset_m' => 3]], [['vehicle_ahead' => ['distance_m' => 30, 'width_m' => 0.6]]]]);

it('takes a bend no faster than is comfortable, however much is seen of it', function (): void {
    $wide = seen(['bend_radius_m' => 60, 'offset_m' => 40]);

    expect($wide['stop_within_mps'])->toBeGreaterThan($wide['bend_mps'])->and($wide['come_at_mps'])->toBe($wide['bend_mps'])
        ->and($wide['verdict'])->toBe('slower')->and($wide['message'])->toContain('The bend itself is comfortable at '.round($wide['bend_mph']).' mph');
    // As the approach takes one.
    $plan = Ask::tool('approach', [
        'pack' => 'gb', 'routine' => 'cross', 'limit_mph' => 60, 'bend' => ['radius_m' => 60, 'from_m' => 120, 'to_m' => 90],
    ]);
    expect($plan['speed_to_fit_mps'])->toEqualWithDelta($wide['bend_mps'], 0.05);
});

it('needs wet roads to be taken slower, and ice slower still', function (): void {
    $on = static fn (string $surface): float => seen(['bend_radius_m' => 60, 'offset_m' => 3, 'surface' => $surface])['stop_within_mps'];

    expect($on('wet'))->toBeLessThan($on('dry'))->and($on('ice'))->toBeLessThan($on('wet'))->and($on('ice'))->toBeGreaterThan(0.0);
});

it('says where it is too short to stop, to meet, to come out and to overtake, each wanting more than the one before', function (): void {
    $purposes = array_column(seen(['bend_radius_m' => 100, 'offset_m' => 3, 'bend_angle_deg' => 60])['purposes'], null, 'purpose');
    $needed = array_column($purposes, 'needed_m');
    $sorted = $needed;
    sort($sorted);

    expect($needed)->toBe($sorted)->and($purposes['stop']['enough'])->toBeFalse()
        ->and($purposes['stop']['short_from_m'])->toBeGreaterThan($purposes['stop']['short_to_m'])
        ->and($purposes['overtake']['short_from_m'])->toBeGreaterThanOrEqual($purposes['stop']['short_from_m']);
});

it('hangs back behind a lorry instead of reading a speed off the gap beside it', function (): void {
    $answer = seen(['vehicle_ahead' => ['distance_m' => 20, 'width_m' => 2.5]]);

    expect(array_column($answer['purposes'], 'purpose'))->toBe(['overtake'])
        ->and($answer['message'])->toContain('Hang back')->not->toContain('stops within')
        ->and($answer['come_at_mps'])->toBeNull()->and($answer['verdict'])->toBe('at-the-limit')
        ->and($answer['seen_by'])->toBe('vehicle')
        // From its corner, 1.25 m out, to the middle of the other lane: similar triangles.
        ->and($answer['seen_m'])->toEqualWithDelta(20.0 * (3.3 - 0.35) / (1.25 - 0.35), 0.01);
});

it('says what a dip swallows, and that a shallow one swallows nothing', function (): void {
    $deep = seen(['dip' => ['length_m' => 120, 'depth_m' => 3], 'target_height_m' => 1.4]);
    $shallow = seen(['dip' => ['length_m' => 120, 'depth_m' => 1], 'target_height_m' => 1.4]);

    expect($deep['hidden'])->not->toBeNull()->and($deep['seen_by'])->toBe('dip')
        ->and($shallow['hidden'])->toBeNull()->and($shallow['seen_m'])->toBeNull()->and($shallow['message'])->toContain('Nothing of what was told');
});

it('refuses a bend that is half told, by name', function (array $road, string $field): void {
    expect(Ask::refusal('sight', $road + ['pack' => 'gb']))->toHaveKey($field);
})->with([
    [['bend_radius_m' => 60], 'offset_m'], [['offset_m' => 3], 'bend_radius_m'], [['bend_radius_m' => 6, 'offset_m' => 6], 'offset_m'],
    [['limit_mph' => 30], 'bend_radius_m'], [['bend_angle_deg' => 30], 'bend_radius_m'],
]);

Scenes::show('overtaking past a bend counts what is seen round it, or what was said where that is less', function (): void {
    $from = static fn (array $more): array => seen($more + ['other_speed_mph' => 40, 'oncoming_speed_mph' => 60], 'overtake');
    $hidden = $from(['bend_radius_m' => 300, 'offset_m' => 6, 'sight_m' => 900]);
    $alone = seen(['bend_radius_m' => 300, 'offset_m' => 6]);

    expect($from(['sight_m' => 900])['verdict'])->toBe('go')
        ->and($hidden['verdict'])->toBe('drop-back')->and($hidden['sight_m'])->toEqualWithDelta($alone['seen_m'], 0.1)
        ->and(array_column($hidden['warnings'], 'code'))->toContain('upper-bound')
        ->and($from(['bend_radius_m' => 300, 'offset_m' => 6, 'sight_m' => 110])['sight_m'])->toEqual(110.0)
        // A dip hides whoever is in it.
        ->and($from(['sight_m' => 900, 'dip' => ['length_m' => 150, 'depth_m' => 4], 'target_height_m' => 1.2])['verdict'])->toBe('drop-back');
});

Scenes::show('a chance on turning in behind a slow car is taken only with the view for the whole routine besides', function (): void {
    $from = static fn (array $more): array => seen($more + ['other_speed_mph' => 30, 'oncoming_speed_mph' => 60], 'overtake');
    [$usual, $turning] = [$from(['sight_m' => 900]), $from(['sight_m' => 900, 'turning_in_behind' => true])];
    $routine = -$turning['steps'][0]['time_s'] * $turning['other_speed_mps'];

    expect($turning['sight_needed_m'])->toEqualWithDelta($usual['sight_needed_m'] + $routine, 0.2)
        ->and($from(['sight_m' => $usual['sight_needed_m'] * 1.16])['verdict'])->toBe('go')
        ->and($from(['sight_m' => $usual['sight_needed_m'] * 1.16, 'turning_in_behind' => true])['verdict'])->toBe('drop-back')
        ->and(array_column($turning['warnings'], 'code'))->toContain('just-turned-in');
});

Scenes::show('an approach round a hedge is planned at the speed from which one stops within what is seen round it', function (): void {
    $plan = static fn (array $bend): array => Ask::tool('approach', [
        'pack' => 'gb', 'routine' => 'emerge-left', 'control' => 'give-way', 'view' => 'open', 'limit_mph' => 60, 'road_width_m' => 6.5,
        'bend' => $bend + ['radius_m' => 150, 'from_m' => 220, 'to_m' => 140],
    ]);
    $open = $plan([]);
    $hedge = $plan(['offset_m' => 1]);
    $stopping = Ask::tool('stopping', ['pack' => 'gb', 'speed_mps' => $hedge['speed_to_fit_mps'] ?? 0.0]);

    expect($hedge['speed_to_fit_mps'])->toBeLessThan($open['speed_to_fit_mps'] ?? INF)
        ->and($hedge['place']['bend']['seen_m'])->toBeLessThan(50.0)->and($open['place']['bend']['seen_m'])->toBeNull()
        ->and($stopping['total_m'])->toEqualWithDelta($hedge['place']['bend']['seen_m'], 1.0)
        ->and(json_encode($hedge['conflicts']))->toContain('are seen, and at the speed one would have there');
});

Scenes::show('what is seen is said against the limit: no speed above it is spoken of', function (): void {
    $said = static fn (array $asked): string => Ask::tool('sight', ['pack' => 'gb', ...$asked])['message'];
    expect($said(['limit_mph' => 60, 'bend_radius_m' => 1000, 'offset_m' => 3]))
        ->toBe('155 m are seen round the bend: one stops within that from the limit. The bend itself is comfortable at the limit.')
        ->and($said(['limit_mph' => 50, 'bend_radius_m' => 100, 'offset_m' => 3]))
        ->toBe('49 m are seen round the bend: one stops within that from 48 mph. The bend itself is comfortable at 35 mph.')
        ->and($said(['bend_radius_m' => 1000, 'offset_m' => 3]))->toContain('91 mph')->toContain('112 mph');
    foreach ([20, 30, 40, 50, 60, 70] as $limit) {
        for ($radius = 20; $radius <= 1500; $radius = (int) (1.15 * $radius) + 1) {
            $message = $said(['limit_mph' => $limit, 'bend_radius_m' => $radius, 'offset_m' => 2]);
            preg_match_all('/(\d+) mph/', $message, $speeds);
            expect(max([0, ...array_map(intval(...), $speeds[1])]))->toBeLessThanOrEqual($limit, "{$limit}, {$radius}: {$message}");
        }
    }
});

Scenes::show('behind a vehicle the view past it is held against what overtaking takes', function (): void {
    $seen = Ask::tool('sight', ['pack' => 'gb', 'limit_mph' => 30, 'vehicle_ahead' => ['distance_m' => 3, 'width_m' => 2.5, 'aside_m' => 0]]);
    expect($seen['message'])->toMatch('/^10 m are seen past the vehicle ahead, and overtaking takes \d+ m\. Hang back, and the view past it grows\.$/');
});
