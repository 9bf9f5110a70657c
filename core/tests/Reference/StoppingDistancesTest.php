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
