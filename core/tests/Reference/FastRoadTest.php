<?php

declare(strict_types=1);

use NobleTurn\Core\FastRoad\PassingSight;
use NobleTurn\Core\FastRoad\Throttle;
use NobleTurn\Core\Quantity\Gradient;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Vehicle\DemoVehicles;
use NobleTurn\Core\Vehicle\Performance;

it('reckons the joining examples of the trade', function (): void {
    // (v1^2 - v0^2) / 2 L by hand: 30 to 50 mph in 160 m is 1.0 m/s2, and 1.45 where the limit lifts 50 m in.
    $ask = fn (array $more): array => Ask::tool('join', ['entry_speed_mph' => 30, 'main_speed_mph' => 50, 'slip_length_m' => 160, 'solid_line_m' => 0] + $more);
    expect($ask([])['accel_needed_mps2'])->toEqualWithDelta(1.0, 0.01)
        ->and($ask(['limit_change_m' => 50])['accel_needed_mps2'])->toEqualWithDelta(1.45, 0.01);
    // Five per cent uphill take 0.49 m/s2 from what the car has: g sin(atan 0.05), over a mass the wheels make a little larger.
    $level = $ask(['gear' => 3])['accel_available_mps2'];
    $uphill = $ask(['gear' => 3, 'gradient' => 0.05])['accel_available_mps2'];
    expect($level - $uphill)->toEqualWithDelta(0.49, 0.06);
});

it('agrees with acceleration lanes of road design in what they imply', function (): void {
    // AASHTO Green Book, acceleration lanes from a stop, from memory: 40 mph 360 ft, 50 mph 720 ft, 60 mph 1200 ft.
    // They imply 0.96 falling to 0.55 m/s2, less than a car with its gas down has: a modern hatch needs no more of the lane.
    foreach ([40 => 360, 50 => 720, 60 => 1200] as $mph => $feet) {
        $answer = Ask::tool('join', ['entry_speed_mph' => 10, 'main_speed_mph' => $mph, 'slip_length_ft' => $feet, 'solid_line_m' => 0, 'gear' => 2]);
        $implied = ($mph * 0.44704) ** 2 / (2.0 * $feet * 0.3048);
        expect($implied)->toBeGreaterThan(0.5)->toBeLessThan(1.5)
            ->and($answer['accel_available_mps2'])->toBeGreaterThan($implied)
            ->and($answer['feasible'])->toBeTrue();
    }
});

it('reckons the leaving examples of the trade, and the times from the markers', function (): void {
    // 70 to 20 mph over 200 m is about 2.25 m/s2, 4.5 with the brake left to the last half: (v0^2 - v1^2) / 2 L.
    $answer = Ask::tool('leave', ['main_speed_mph' => 70, 'slip_length_m' => 200, 'end_speed_mph' => 20, 'next_turn' => 'right']);
    expect($answer['late_half_decel_mps2'])->toEqualWithDelta(4.5, 0.05)
        ->and($answer['decel_mps2'])->toEqualWithDelta(2.25, 0.01);
    // Highway Code markers: 300, 200, 100 yd are 8.8, 5.8, 2.9 s at 70 mph, exact.
    $markers = array_values(array_filter($answer['events'], fn (array $event): bool => $event['kind'] === 'marker'));
    expect(array_column($markers, 'time_s'))->toBe([8.8, 5.8, 2.9])->and(array_column($markers, 'at_m'))->toBe([274.3, 182.9, 91.4]);
    // Half a mile, exact; and the practice's marker for the signal.
    $at = fn (string $kind, array $practice = []): float => array_values(
        array_filter(
            Ask::tool('leave', ['main_speed_mph' => 70, 'slip_length_m' => 250, 'practice' => $practice])['events'],
            fn (array $event): bool => $event['kind'] === $kind,
        ),
    )[0]['at_m'];
    expect($at('near-lane'))->toEqualWithDelta(804.7, 0.05)->and($at('signal'))->toBe(274.3)->and($at('signal', ['leave_marker' => 200]))->toBe(182.9);
    // Deceleration lanes of road design to a stop, from memory: 70 mph 615 ft implies 2.6 m/s2 or less from the lane's beginning, no harsh brake.
    expect(Ask::tool('leave', ['main_speed_mph' => 70, 'slip_length_ft' => 615, 'end_speed_mps' => 0])['fits'])->toBeTrue();
});

it('needs more sight than road design allows for, and says why', function (): void {
    // AASHTO passing sight distance, 2011 and later, from memory.
    foreach ([20 => 400, 30 => 500, 40 => 600, 50 => 800, 60 => 1000, 70 => 1200] as $mph => $feet) {
        expect(PassingSight::metres($mph * 0.44704))->toEqualWithDelta($feet * 0.3048, 0.1);
    }
    $answer = Ask::tool('overtake', ['limit_mph' => 60, 'other_speed_mph' => 48, 'oncoming_speed_mph' => 60]);
    expect($answer['sight_needed_m'])->toBeGreaterThan($answer['sight_published_m'])->and($answer['difference'])->toContain('give up');
});

it('passes as a second integration by hand passes', function (): void {
    $answer = Ask::tool('overtake', ['limit_mph' => 60, 'other_speed_mph' => 40, 'oncoming_speed_mph' => 60, 'gear' => 3, 'hold_gear' => true]);
    // Runge and Kutta's fourth order rule in steps of a millisecond, on the same car in the same gear.
    $car = DemoVehicles::byId(DemoVehicles::DEFAULT);
    $performance = new Performance($car);
    $pull = fn (float $v): float => $performance->acceleration(Speed::ofMetresPerSecond($v), 3, Gradient::level());
    [$v, $x, $t, $dt, $other, $limit] = [40 * 0.44704, 0.0, 0.0, 0.001, 40 * 0.44704, 60 * 0.44704];
    while ($x - $other * $t < $answer['relative_m']) {
        $a = $pull($v);
        $b = $pull($v + $a * $dt / 2.0);
        $c = $pull($v + $b * $dt / 2.0);
        $d = $pull($v + $c * $dt);
        $next = min($limit, $v + ($a + 2.0 * $b + 2.0 * $c + $d) * $dt / 6.0);
        $x += ($v + $next) / 2.0 * $dt;
        $v = $next;
        $t += $dt;
    }
    expect($answer['time_s'])
        ->toEqualWithDelta($t, 0.02)
        ->and($answer['distance_m'])
        ->toEqualWithDelta($x, 0.5)
        ->and($answer['speed_at_end_mps'])
        ->toEqualWithDelta($v, 0.05);
});

it('errs by less than a centimetre a second when its step is halved', function (): void {
    $car = DemoVehicles::byId(DemoVehicles::DEFAULT);
    $run = fn (float $step): float => Throttle::run($car, Gradient::ofRiseOverRun(0.03), 12.0, 3, INF, 300.0, true, $step)->metresAt(8.0);
    $coarse = abs($run(0.1) - $run(0.05));
    $fine = abs($run(0.05) - $run(0.025));
    expect($fine)->toBeLessThan(0.08)->and($fine)->toBeLessThan($coarse + 1e-9);
});

it('re-opens a gap somebody dropped into, as the sum by hand says', function (): void {
    // 70 mph, dropped in 1 s ahead at 65: a t^2/2 + (u - v + 2a) t = 2 v - v, with a 0.75.
    $answer = Ask::tool('following', ['speed_mph' => 70, 'gap_s' => 1.0, 'leader_speed_mph' => 65]);
    [$v, $u, $a] = [70 * 0.44704, 65 * 0.44704, 0.75];
    $t = $answer['seconds_to_open_gap'];
    expect($a * $t ** 2 / 2.0 + ($u - $v + 2.0 * $a) * $t)->toEqualWithDelta($v, 0.05)
        ->and($answer['speed_after_mps'])->toEqualWithDelta($v - $a * $t, 0.01)
        ->and($answer['least_gap_m'])->toEqualWithDelta($v - ($v - $u) ** 2 / 1.5, 0.01);
    expect(array_column(Ask::tool('following', ['speed_mph' => 70, 'gap_m' => 10, 'leader_speed_mph' => 40])['warnings'], 'code'))->toContain('brake');
});
