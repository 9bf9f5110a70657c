<?php

declare(strict_types=1);

use NobleTurn\Core\Motion\BendLine;
use NobleTurn\Core\Motion\Path;
use NobleTurn\Core\Motion\SweptPath;
use NobleTurn\Core\Place\Bend;
use NobleTurn\Core\Quantity\Gradient;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Tests\Approaches;
use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Vehicle\DemoVehicles;
use NobleTurn\Core\Vehicle\FullGas;
use NobleTurn\Core\Vehicle\GearChoice;
use NobleTurn\Core\Vehicle\Performance;
use NobleTurn\Core\Vehicle\Purpose;
use NobleTurn\Core\Vehicle\Unit;

/** @return iterable<int, array{Approaches, list<array<string, float>>}> seeded trains of one to three units */
function trains(int $count, int $seed): iterable
{
    for ($i = 0; $i < $count; $i++) {
        $draw = new Approaches($seed + $i);
        $units = [];
        for ($n = $draw->one([1, 2, 2, 3]); $n > 0; $n--) {
            $units[] = [
                'wheelbase_m' => $draw->number(2, 8), 'width_m' => $draw->number(1.6, 2.6), 'front_overhang_m' => $draw->number(0, 1.6),
                'rear_overhang_m' => $draw->number(0, 3), 'hitch_offset_m' => $draw->number(-0.8, 1.5),
            ];
        }
        yield $seed + $i => [$draw, $units];
    }
}

it('never accelerates harder on a steeper hill, speed and gear held', function (): void {
    foreach (DemoVehicles::all() as $vehicle) {
        $performance = new Performance($vehicle);
        foreach ([2.0, 8.0, 15.0, 25.0] as $speed) {
            for ($gear = 1; $gear <= $vehicle->gearbox->topGear(); $gear++) {
                $before = INF;
                foreach ([-0.15, -0.05, 0.0, 0.03, 0.1, 0.2] as $gradient) {
                    $now = $performance->acceleration(Speed::ofMetresPerSecond($speed), $gear, Gradient::ofRiseOverRun($gradient));
                    expect($now)->toBeLessThan($before, "{$vehicle->id}, gear {$gear}, {$speed} m/s, {$gradient}");
                    $before = $now;
                }
            }
        }
    }
});

it('changes revs by the ratio of the gears at the same road speed', function (): void {
    for ($seed = 1; $seed <= 60; $seed++) {
        $draw = new Approaches($seed);
        $vehicle = DemoVehicles::byId($draw->one(['small-petrol-hatch', 'loaded-van', 'rigid-lorry', 'articulated-lorry']));
        [$from, $to] = [$draw->one([1, 2, 3, 4]), $draw->one([1, 2, 3, 4, 5])];
        $answer = Ask::tool('engine', ['vehicle' => $vehicle->id, 'speed_mps' => $draw->number(1, 20), 'from_gear' => $from, 'to_gear' => $to]);
        expect($answer['rpm_after_shift'] / $answer['rpm'])->toEqualWithDelta($vehicle->gearbox->ratios[$to - 1] / $vehicle->gearbox->ratios[$from - 1], 0.002);
    }
});

it('changes the envelope by less than two millimetres when the step is halved', function (): void {
    foreach (trains(12, 40) as $seed => [$draw, $units]) {
        $path = ['radius_m' => $draw->number(9, 25), 'angle_deg' => $draw->number(20, 170)];
        $at = fn (float $step): array => Ask::tool('swept-path', ['units' => $units, 'path' => $path, 'step_m' => $step]);
        foreach (['inner_radius_min_m', 'outer_radius_max_m', 'tail_swing_m'] as $field) {
            expect(abs($at(0.1)[$field] - $at(0.05)[$field]))->toBeLessThan(0.002, "seed {$seed}, {$field}");
        }
    }
});

it('sweeps the mirrored envelope along the mirrored path', function (): void {
    foreach (trains(15, 70) as $seed => [$draw, $units]) {
        $radius = $draw->number(9, 25);
        $angle = $draw->number(20, 300);
        [$left, $right] = array_map(
            static fn (float $side): array => Ask::tool('swept-path', ['units' => $units, 'path' => ['radius_m' => $radius, 'angle_deg' => $side * $angle]]),
            [1.0, -1.0],
        );
        foreach (['inner_radius_min_m', 'outer_radius_max_m', 'tail_swing_m', 'off_tracking_m'] as $field) {
            expect($right[$field])->toEqualWithDelta($left[$field], 1e-3, "seed {$seed}, {$field}");
        }
        foreach ($left['traces']['inner'] as $i => [$x, $y]) {
            expect($right['traces']['inner'][$i])->toEqualWithDelta([$x, -$y], 0.002);
        }
    }
});

it('cuts in no less with a longer wheelbase, for one unit and turns up to a right angle', function (): void {
    for ($seed = 200; $seed < 230; $seed++) {
        $draw = new Approaches($seed);
        [$radius, $angle] = [$draw->number(6, 20), $draw->number(0.2, M_PI_2)];
        $before = 0.0;
        for ($wheelbase = 1.5; $wheelbase < $radius - 0.5; $wheelbase += 1.0) {
            $path = Path::of([['length' => 20.0], ['radius' => $radius, 'angle' => $angle], ['length' => 25.0]], 0.1);
            $most = max(SweptPath::along($path, [new Unit($wheelbase, 2.0)])->offTracking());
            expect($most)->toBeGreaterThanOrEqual($before - 1e-6, "seed {$seed}, wheelbase {$wheelbase}");
            $before = $most;
        }
    }
});

it('finds a line through a bend no worse than those of a search over many, and no worse in a wider road', function (): void {
    foreach (['small-petrol-hatch', 'loaded-van', 'rigid-lorry'] as $id) {
        $vehicle = DemoVehicles::byId($id);
        $units = $vehicle->units();
        $least = $units[0]->wheelbaseMetres + 0.5;
        $spare = fn (float $entry, float $exit, float $kerb): float => BendLine::best($units, new Bend($kerb, $entry, $exit, M_PI_2), $least)->spareMetres();
        foreach ([[3.65, 3.65, 6.0], [3.0, 7.3, 4.0]] as [$entry, $exit, $kerb]) {
            $bend = new Bend($kerb, $entry, $exit, M_PI_2);
            $found = BendLine::best($units, $bend, $least)->spareMetres();
            foreach ([0.5, 0.7, 0.9] as $in) {
                foreach ([0.3, 0.6, 0.9] as $out) {
                    foreach ([1.0, 1.3, 1.7, 2.4] as $times) {
                        $half = $units[0]->widthMetres / 2.0;
                        $line = BendLine::at(
                            $units, $bend, $half + ($entry - 2 * $half) * $in, $half + ($exit - 2 * $half) * $out,
                            max($least, ($kerb + $entry / 2.0) * $times),
                        );
                        expect($line->spareMetres())->toBeLessThanOrEqual($found + 0.06, "{$id} in {$entry}/{$exit}/{$kerb}");
                    }
                }
            }
            expect($spare($entry + 0.5, $exit + 0.5, $kerb))->toBeGreaterThan($found - 0.05);
        }
    }
});

it('names the field of what no vehicle can be', function (string $tool, array $input, string $field): void {
    try {
        Ask::tool($tool, $input);
        $named = [];
    } catch (NobleTurn\Core\Fault\BadInput $bad) {
        $named = array_keys($bad->errors);
    }
    expect($named)->toContain($field);
})->with([
    ['swept-path', ['vehicle' => 'rigid-lorry', 'path' => ['radius_m' => 4]], 'path.radius_m'],
    ['swept-path', ['units' => [['wheelbase_m' => 3, 'width_m' => 2, 'hitch_offset_m' => -4]], 'path' => ['radius_m' => 10]], 'units.0.hitch_offset_m'],
    ['swept-path', ['vehicle' => 'rigid-lorry', 'units' => [['wheelbase_m' => 3, 'width_m' => 2]], 'path' => ['radius_m' => 10]], 'vehicle'],
    ['swept-path', ['path' => ['points' => [[0, 0], [0, 0]]]], 'path.points.1'],
    ['swept-path', ['path' => ['radius_m' => 10, 'pieces' => [['length_m' => 3]]]], 'path'],
    ['swept-path', ['path' => ['pieces' => [['radius_m' => 10]]]], 'path.pieces.0'],
    ['swept-path', ['path' => ['pieces' => [['length_m' => 9]]], 'kerbs' => ['inner_radius_m' => 5]], 'kerbs'],
    ['steering', ['radius_m' => 2.0], 'radius_m'],
    ['steering', ['kerb_radius_m' => 0.0, 'kerb_gap_m' => 0.1, 'vehicle' => 'rigid-lorry'], 'kerb_radius_m'],
    ['engine', ['speed_mph' => 30, 'ratios' => [1.3, 1.95]], 'ratios.1'],
    ['engine', ['speed_mph' => 30, 'tyre' => 'round'], 'tyre'],
    ['engine', ['speed_mph' => 30, 'vehicle' => ['mass_kg' => 0]], 'vehicle.mass_kg'],
    ['engine', ['speed_mph' => 30, 'vehicle' => ['torque_rpm' => 6000, 'power_rpm' => 4000]], 'vehicle.power_rpm'],
    ['engine', ['speed_mph' => 30, 'vehicle' => ['wheelbase_m' => 4.5, 'turning_circle_m' => 8]], 'vehicle.turning_circle_m'],
    ['engine', ['speed_mph' => 30, 'from_gear' => 2], 'to_gear'],
    ['engine', ['speed_mph' => 30, 'from_gear' => 2, 'to_gear' => 7], 'to_gear'],
    ['engine', ['rpm' => 2000], 'gear'],
    ['engine', ['speed_mph' => 30, 'vehicle' => ['final_drive' => 1.0, 'ratios' => [0.3], 'red_line_rpm' => 20000]], 'vehicle.final_drive'],
    ['engine', ['speed_mph' => 30, 'final_drive' => 1.0, 'ratios' => [3.6, 1.95, 1.3, 0.97, 0.3]], 'final_drive'],
    ['approach', ['routine' => 'emerge-left', 'speed_mph' => 60, 'vehicle' => ['final_drive' => 20.0, 'ratios' => [20.0, 19.0]]], '(input)'],
    ['reverse', ['exercise' => 'bay', 'kerb_gap_m' => 1], 'kerb_gap_m'],
    ['reverse', ['exercise' => 'bay', 'vehicle' => 'loaded-van', 'bay_width_m' => 1.9], 'bay_width_m'],
    ['clearance', ['vehicle_height_m' => 4], 'sign_height_m'],
    ['clearance', ['vehicle_height_m' => 4, 'sign_height_ft_in' => '13,9'], 'sign_height_ft_in'],
]);

it('reaches as far beside an arc as round its middle, and mirrored to the other side', function (): void {
    foreach (trains(10, 300) as $seed => [$draw, $units]) {
        [$radius, $angle] = [$draw->number(12, 30), $draw->number(30, 150)];
        $left = Ask::tool('swept-path', ['units' => $units, 'path' => ['radius_m' => $radius, 'angle_deg' => $angle]]);
        $right = Ask::tool('swept-path', ['units' => $units, 'path' => ['radius_m' => $radius, 'angle_deg' => -$angle]]);
        expect($left['reach_m']['left'])->toEqualWithDelta($right['reach_m']['right'], 1e-6, "seed {$seed}")
            // Points half a metre apart along a side: between them a curve comes nearer by less than 8 mm at these radii.
            ->and($radius - $left['inner_radius_min_m'])->toEqualWithDelta($left['reach_m']['left'], 0.008, "seed {$seed}")
            ->and($left['outer_radius_max_m'] - $radius)->toEqualWithDelta($left['reach_m']['right'], 0.008, "seed {$seed}");
        // What comes after the first turn does not change how the tail swings at its beginning.
        $there = [['length_m' => 30], ['radius_m' => $radius, 'angle_deg' => $angle], ['length_m' => 30]];
        $back = [...$there, ['radius_m' => $radius, 'angle_deg' => -$angle], ['length_m' => 30]];
        $swing = fn (array $pieces): float => Ask::tool('swept-path', ['units' => $units, 'path' => ['pieces' => $pieces]])['tail_swing_m'];
        expect($swing($back))->toBe($swing($there));
        $kerbs = Ask::tool(
            'swept-path',
            [
                'units' => $units, 'path' => ['pieces' => [['length_m' => 20], ['radius_m' => $radius, 'angle_deg' => $angle], ['length_m' => 20]]],
                'kerbs' => ['left_m' => $left['reach_m']['left'] + 0.1],
            ],
        );
        expect($kerbs['spare_left_m'])->toEqualWithDelta(0.1, 0.01, "seed {$seed}")->and($kerbs['spare_right_m'])->toBeNull();
    }
});

it('gains speed no sooner uphill, with more mass or with slower changes, and hardly otherwise in finer steps', function (): void {
    foreach (['small-petrol-hatch', 'small-electric', 'small-automatic'] as $like) {
        $time = function (array $figures, float $gradient = 0.0) use ($like): float {
            $run = Ask::tool(
                'engine', ['vehicle' => ['like' => $like, ...$figures], 'speed_mps' => 5.0, 'to_speed_mps' => 24.0, 'gradient' => $gradient],
            )['run'];
            expect($run['reached'])->toBeTrue()->and($run['distance_m'])->toBeGreaterThan(5.0 * $run['time_s'])->toBeLessThan(24.0 * $run['time_s']);

            return $run['time_s'];
        };
        expect($time([], 0.04))->toBeGreaterThan($time([]))->and($time(['mass_kg' => 1900]))->toBeGreaterThan($time(['mass_kg' => 1100]));
        expect($time(['shift_time_s' => 2.0]))->toBeGreaterThanOrEqual($time(['shift_time_s' => 0.2]));
    }
    $vehicle = DemoVehicles::byId('loaded-van');
    $run = fn (float $step): float => FullGas::run(
        $vehicle, Speed::ofMetresPerSecond(2.0), Speed::ofMetresPerSecond(25.0), Gradient::ofRiseOverRun(0.02), 1, $step,
    )->metres;
    expect($run(0.02))->toEqualWithDelta($run(0.01), 0.1);
});

it('pulls away in the lowest gear where every gear would labour, and loses no pull between first and second', function (): void {
    foreach (DemoVehicles::all() as $vehicle) {
        foreach ([0.5, 1.5, 2.1, 2.3] as $speed) {
            $choice = GearChoice::for($vehicle, Purpose::Pull, Speed::ofMetresPerSecond($speed), Gradient::level());
            expect($choice->gear)->toBeLessThanOrEqual(max(1, intdiv($vehicle->gearbox->topGear(), 3) + 1), "{$vehicle->id} at {$speed} m/s")
                ->and($choice->accelerationMps2)->toBeGreaterThan(0.3);
        }
    }
});

it('plans no way in harder than tyres and brakes hold, or says that nothing holds', function (): void {
    $asked = 0;
    foreach (Approaches::many(120, 77_000) as $seed => $input) {
        foreach (['dry' => 0.7, 'wet' => 0.45, 'ice' => 0.1] as $surface => $grip) {
            foreach (['small-petrol-hatch' => 1.0, 'articulated-lorry' => 5.0 / 6.43] as $vehicle => $share) {
                $plan = Ask::tool('approach', ['surface' => $surface, 'vehicle' => $vehicle] + $input);
                if ($plan['not_planned'] !== null || in_array('no-grip', array_column($plan['conflicts'], 'code'), true)) {
                    continue;
                }
                $asked++;
                $holds = 9.80665 * ($grip * $share + ($input['gradient'] ?? 0.0));
                expect($plan['peak_decel_mps2'])->toBeLessThan($holds + 0.02, "seed {$seed}, {$vehicle}, {$surface}");
            }
        }
    }
    expect($asked)->toBeGreaterThan(600);
});
