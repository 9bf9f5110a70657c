<?php

declare(strict_types=1);

use NobleTurn\Core\Tests\Ask;

it('agrees with the Highway Code’s typical stopping distances', function (int $mph, int $thinking, int $braking, int $total): void {
    // Published: Highway Code, rule 126 (from memory); printed to the metre, so within one.
    $stopping = Ask::tool('stopping', ['pack' => 'gb', 'speed_mph' => $mph]);
    expect($stopping['thinking_m'])->toEqualWithDelta($thinking, 1.0)
        ->and($stopping['braking_m'])->toEqualWithDelta($braking, 1.0)
        ->and($stopping['total_m'])->toEqualWithDelta($total, 1.0);
})->with([[20, 6, 6, 12], [30, 9, 14, 23], [40, 12, 24, 36], [50, 15, 38, 53], [60, 18, 55, 73], [70, 21, 75, 96]]);

it('agrees with AASHTO’s stopping sight distances', function (int $mph, int $feet): void {
    // Published: AASHTO Green Book, stopping sight distance on the level (from memory); printed rounded up to 5 ft.
    $stopping = Ask::tool('stopping', ['speed_mph' => $mph, 'model' => 'aashto']);
    expect($stopping['total_m'] / 0.3048)->toBeGreaterThan($feet - 5.5)->toBeLessThanOrEqual($feet + 0.5);
})->with([[30, 200], [40, 305], [50, 425], [60, 570], [70, 730]]);

it('lengthens downhill and shortens uphill as v^2 / 2g(f + i) says', function (): void {
    // The formula of the AASHTO Green Book for grades (from memory), worked by hand: 30 mph, f = 3.4/9.80665, 6 %.
    $v = 30 * 0.44704;
    foreach ([0.06, -0.06] as $gradient) {
        $stopping = Ask::tool('stopping', ['speed_mph' => 30, 'model' => 'aashto', 'gradient' => $gradient]);
        expect($stopping['braking_m'])->toEqualWithDelta($v ** 2 / (2 * 9.80665 * (3.4 / 9.80665 + $gradient)), 0.001);
    }
    // Ice divides the friction by ten; 15 % downhill then pulls harder than the brakes hold.
    expect(Ask::tool('stopping', ['speed_mph' => 30, 'surface' => 'ice', 'gradient' => -0.15])['braking_m'])->toBeNull();
});

it('doubles the gap in the wet and says how far short a counted one is', function (): void {
    // Published: Highway Code, rule 126: two seconds, at least doubled on wet roads.
    $following = Ask::tool('following', ['pack' => 'gb', 'speed_mph' => 50, 'gap_s' => 3.2, 'surface' => 'wet']);
    expect($following['wanted_s'])->toBe(4.0)->and($following['short_by_s'])->toEqualWithDelta(0.8, 1e-9);

    // Opened by easing off at 0.75 m/s2: stepped through independently until the gap is enough at our own speed.
    $v = 50 * 0.44704;
    [$gap, $t, $dt] = [3.2 * $v, 0.0, 1e-4];
    for ($own = $v; $gap < 4.0 * $own; $t += $dt) {
        $own -= 0.75 * $dt;
        $gap += ($v - $own) * $dt;
    }
    expect($following['seconds_to_open_gap'])->toEqualWithDelta($t, 0.02);
});

it('takes the figures that are taught in a place where none are given', function (string $pack, int $speed, string $unit, float $metres): void {
    expect(Ask::tool('stopping', ['pack' => $pack, "speed_{$unit}" => $speed])['total_m'])->toEqualWithDelta($metres, 2.6);
})->with([
    // Highway Code, rule 126; AASHTO Green Book, stopping sight distance, from memory, rounded up to 5 m.
    ['gb', 30, 'mph', 23.0], ['ie', 50, 'kmh', 24.5], ['na', 50, 'kmh', 63.5], ['na', 100, 'kmh', 184.0],
]);

it('says how fast somebody who steps out is reached, by the work of the brakes', function (): void {
    $reached = static fn (float $seen, string $surface = 'dry'): float => Ask::tool('stopping', [
        'pack' => 'gb', 'speed_mph' => 40, 'seen_m' => $seen, 'surface' => $surface,
    ])['reached_at_mps'];
    ['thinking_m' => $thinking, 'total_m' => $total, 'decel_mps2' => $brake] = Ask::tool('stopping', ['pack' => 'gb', 'speed_mph' => 40]);
    $v = 40 * 0.44704;

    expect($reached(0.0))->toEqualWithDelta($v, 0.001)->and($reached($thinking))->toEqualWithDelta($v, 0.001)
        ->and($reached($total - 1.0))->toEqualWithDelta(sqrt(2.0 * $brake * 1.0), 0.001)
        ->and($reached($total + 0.001))->toBe(0.0)
        // Twice as far on a wet road: where it would stand on a dry one seven tenths of the speed are left.
        ->and($reached($total, 'wet') / $v)->toEqualWithDelta(sqrt(0.5), 0.001)
        ->and(Ask::tool('stopping', ['pack' => 'gb', 'speed_mph' => 40])['reached_at_mps'])->toBeNull();
    $before = INF;
    for ($seen = 0.0; $seen < 60.0; $seen += 0.25) {
        expect($reached($seen))->toBeLessThanOrEqual($before);
        $before = $reached($seen);
    }
});
