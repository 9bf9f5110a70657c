<?php

declare(strict_types=1);

use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Tests\Ask;

/**
 * A second way to the same profile: only the decelerations of the plan's phases are taken, and the car is driven
 * from far with small steps in time (explicit Euler), with no use of the closed forms under test.
 *
 * @return array{metres: float, seconds: float, speed: float}
 */
function driveInSteps(array $plan, float $step): array
{
    [$metres, $seconds, $speed] = [0.0, 0.0, $plan['approach_speed_mps']];
    $whole = $plan['phases'][0]['from_m'];
    while ($metres < $whole && $speed > 1e-6 && $seconds < 600.0) {
        $left = $whole - $metres;
        $slowing = 0.0;
        foreach ($plan['phases'] as $phase) {
            if ($left <= $phase['from_m'] && $left > $phase['to_m']) {
                $slowing = $phase['decel_mps2'];
            }
        }
        $metres += $speed * $step;
        $speed = max(0.0, $speed - $slowing * $step);
        $seconds += $step;
    }

    return compact('metres', 'seconds', 'speed');
}

it('agrees with an independent integration, better as its step is halved', function (array $input): void {
    $plan = Ask::tool('approach', $input);
    $errors = [];
    foreach ([0.01, 0.0025] as $step) {
        $driven = driveInSteps($plan, $step);
        $errors[] = abs($driven['seconds'] - $plan['ease_off_s']);
        expect($driven['metres'])->toEqualWithDelta($plan['ease_off_m'], 0.05 + 4 * $step * $plan['approach_speed_mps']);
        expect($driven['speed'])->toEqualWithDelta($plan['line_speed_mps'], 0.35);
    }
    expect($errors[1])->toBeLessThanOrEqual($errors[0] + 0.01)->and($errors[1])->toBeLessThan(0.3);
})->with([
    [['routine' => 'emerge-right', 'limit_mph' => 30]],
    [['routine' => 'turn-left', 'limit_mph' => 40, 'gradient' => -0.05]],
    [['routine' => 'emerge-left', 'limit_mph' => 60, 'surface' => 'wet', 'close_follower' => true]],
]);

it('brakes over about the distance of (v0^2 - vL^2) / 2a', function (): void {
    // Worked by hand: 30 mph to 2 m/s at 2 m/s2 is (13.411^2 - 2^2) / 4 = 43.97 m.
    $v = Speed::ofMilesPerHour(30)->inMetresPerSecond();
    $whole = ($v ** 2 - 2.0 ** 2) / 4.0;
    expect($whole)->toEqualWithDelta(43.97, 0.01);
    // Off the gas first, the brake takes over at a lower speed and needs less than that.
    $plan = Ask::tool('approach', ['routine' => 'emerge-right', 'limit_mph' => 30]);
    $speed = Ask::step($plan, 'speed');
    expect($speed['best_m'])->toBeLessThan($whole)
        ->and(($speed['speed_mps'] ** 2 - 4.0) / (2.0 * ($speed['best_m'] - $speed['end_m'])))->toBeGreaterThan(1.4)->toBeLessThan(2.4);
});

it('turns at the speed a = v^2 / r allows', function (): void {
    // Worked by hand: 2.5 m/s2 at 8 m is sqrt(20) = 4.472 m/s; 15 mph there would be 6.7056^2 / 8 = 5.62 m/s2.
    $plan = Ask::tool('approach', ['routine' => 'turn-left', 'limit_mph' => 30]);
    $clash = array_column($plan['conflicts'], null, 'code')['turn-speed-rule'];
    expect($plan['line_speed_mps'])->toEqualWithDelta(4.472, 0.001)
        ->and($clash['data']['sideways_at_rule_mps2'])->toEqualWithDelta(5.62, 0.005);
});
