<?php

declare(strict_types=1);

use NobleTurn\Core\Motion\Path;
use NobleTurn\Core\Motion\SweptPath;
use NobleTurn\Core\Quantity\Acceleration;
use NobleTurn\Core\Quantity\Distance;
use NobleTurn\Core\Quantity\Gradient;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Vehicle\Body;
use NobleTurn\Core\Vehicle\Controls;
use NobleTurn\Core\Vehicle\Corner;
use NobleTurn\Core\Vehicle\DemoVehicles;
use NobleTurn\Core\Vehicle\Engine;
use NobleTurn\Core\Vehicle\FullGas;
use NobleTurn\Core\Vehicle\Gearbox;
use NobleTurn\Core\Vehicle\Performance;
use NobleTurn\Core\Vehicle\Transmission;
use NobleTurn\Core\Vehicle\Tyre;
use NobleTurn\Core\Vehicle\Unit;
use NobleTurn\Core\Vehicle\Vehicle;

it('takes a lorry tyre with a half inch in its rim', function (): void {
    // Arithmetic of the ISO marking: 22.5 x 25.4 + 2 x 315 x 0.70 = 1012.5 mm across.
    expect(Tyre::fromMarking('315/70R22.5')->circumferenceInMetres())->toEqualWithDelta(M_PI * 1.0125, 1e-9);
});

it('finds the shift tables worked by hand, and says where the feel rules clash', function (): void {
    $box = ['tyre' => '195/65R15', 'final_drive' => 4.06, 'ratios' => [3.6, 1.95, 1.3, 0.97, 0.78]];
    $shift = fn (float $rpm, int $from, int $to): array => Ask::tool('engine', [...$box, 'rpm' => $rpm, 'from_gear' => $from, 'to_gear' => $to]);
    // Common practice, no source: down from 2000 add about 1000. 2000 x 1.95 / 1.3 = 3000: agrees.
    expect($shift(2000, 3, 2)['rev_change'])->toEqualWithDelta(1000.0, 0.1)->and($shift(2000, 3, 2)['rule_of_thumb']['agrees'])->toBeTrue();
    // From 1000 add 200 to 300 is said; the same gears ask 500: a clash, said as one.
    expect($shift(1000, 3, 2)['rev_change'])->toEqualWithDelta(500.0, 0.1)
        ->and($shift(1000, 3, 2)['rule_of_thumb']['agrees'])->toBeFalse()
        ->and($shift(1000, 3, 2)['rule_of_thumb']['message'])->toContain('does not fit');
    // Up at 4000 to about 2500: 4000 x 1.3 / 1.95 = 2667.
    expect($shift(4000, 2, 3)['rpm_after_shift'])->toEqualWithDelta(2666.7, 0.1);
    // A block change from fifth to second at 50 mph: 22.352 / 1.9933 x 60 x 1.95 x 4.06 = 5327.
    $block = Ask::tool('engine', [...$box, 'speed_mph' => 50, 'from_gear' => 5, 'to_gear' => 2]);
    expect($block['rpm_after_shift'])->toEqualWithDelta(5327, 2)->and($block['over_rev'])->toBeFalse();
    expect(Ask::tool('engine', [...$box, 'speed_mph' => 50, 'from_gear' => 5, 'to_gear' => 1])['over_rev'])->toBeTrue();
});

it('has to give 0.49 m/s2 more up a slope of five in a hundred', function (): void {
    // Worked by hand: g sin(atan 0.05) = 0.490 m/s2 of the mass; of the mass with everything that turns a little less.
    $car = new Performance(DemoVehicles::byId('small-petrol-hatch'));
    $speed = Speed::ofMilesPerHour(40);
    $less = $car->acceleration($speed, 3, Gradient::level()) - $car->acceleration($speed, 3, Gradient::ofRiseOverRun(0.05));
    expect($less)->toBeLessThan(0.490)->toBeGreaterThan(0.44);
});

it('takes third on a slip, also uphill, and lower gears the lower the speed', function (float $gradient): void {
    // Common practice, no source: third pulls on a slip, also uphill.
    $gear = fn (array $input): int => Ask::tool('engine', ['gradient' => $gradient, ...$input])['best_gear'];
    expect($gear(['speed_mph' => 30, 'purpose' => 'slip-road']))->toBe(3)
        ->and($gear(['speed_mph' => 3, 'purpose' => 'creep']))->toBe(1)
        ->and($gear(['speed_mph' => 70, 'purpose' => 'cruise']))->toBeGreaterThanOrEqual(4);
})->with([0.0, 0.05]);

it('gives the radii of half, three quarters and a whole turn of the wheel', function (): void {
    // Worked by hand from R = L / tan(turns x 360 / ratio), 2.6 m and 15.5 : 1: 12.7, 8.3 and 6.1 m.
    foreach ([[12.65, 0.5], [8.29, 0.75], [6.05, 1.0]] as [$radius, $turns]) {
        expect(Ask::tool('steering', ['wheelbase_m' => 2.6, 'steering_ratio' => 15.5, 'radius_m' => $radius])['turns'])->toEqualWithDelta($turns, 0.005);
    }
});

it('takes a corner in a lorry at what is comfortable in it', function (array $corner): void {
    // v^2 / r: 2.5 m/s2 in a car, 1.0 in a lorry (both assumed).
    foreach (['small-petrol-hatch' => 2.5, 'loaded-van' => 2.5, 'rigid-lorry' => 1.0, 'articulated-lorry' => 1.0] as $vehicle => $sideways) {
        $turn = Ask::tool('steering', ['vehicle' => $vehicle] + $corner);
        expect($turn['comfortable_speed_mps'])->toEqualWithDelta(sqrt($sideways * $turn['radius_m']), 0.01)
            ->and($turn['speed_mps'])->toEqualWithDelta(sqrt($sideways * $turn['radius_m']), 0.01)
            ->and(array_column($turn['assumptions'], 'value', 'name')['comfortable sideways acceleration'])->toEqual($sideways);
    }
})->with([[['radius_m' => 14]], [['kerb_radius_m' => 12]]]);

it('steers its outer front wheel round half its turning circle at full lock', function (string $id): void {
    $chassis = DemoVehicles::byId($id)->chassis;
    expect(2.0 * hypot($chassis->minimumRadiusMetres() + $chassis->trackMetres / 2.0,
        $chassis->wheelbaseMetres))->toEqualWithDelta($chassis->turningCircleMetres, 1e-9);
    expect(Corner::of($chassis, $chassis->minimumRadiusMetres(), M_PI_2, null)->turns())->toBeLessThan(2.5);
})->with(['small-petrol-hatch', 'loaded-van', 'rigid-lorry', 'articulated-lorry']);

it('turns a semi-trailer of 8.135 m inside 12.5 and 5.3 m', function (): void {
    // Published: directive 96/53/EC: 12.50 m outer, 5.30 m inner radius; the wheelbase that just does it with the
    // kingpin 2.04 m inside the outer circle and 2.55 m of width is sqrt((12.5 - 2.04)^2 - (5.3 + 1.275)^2) = 8.135 m.
    expect(sqrt((12.5 - 2.04) ** 2 - (5.3 + 2.55 / 2) ** 2))->toEqualWithDelta(8.135, 0.001);
    $circle = fn (float $angle): array => Ask::tool(
        'swept-path', ['units' => [['wheelbase_m' => 8.135, 'width_m' => 2.55]], 'path' => ['radius_m' => 10.46, 'angle_deg' => $angle]],
    );
    expect($circle(540)['inner_radius_min_m'])->toEqualWithDelta(5.30, 0.02);
    // Less than the whole circle never cuts in as far.
    expect($circle(120)['inner_radius_min_m'])->toBeGreaterThan(5.6);
});

it('settles where the steady off-tracking formula says', function (): void {
    // Published: WHI formula (from memory): R_inner^2 = R^2 - sum L^2 + sum h^2.
    $units = [new Unit(3.8, 2.5, 1.4, 0.9, -0.6), new Unit(7.7, 2.55, 1.6, 3.3)];
    $formula = sqrt(15.0 ** 2 - 3.8 ** 2 - 7.7 ** 2 + 0.6 ** 2);
    expect(SweptPath::steadyRadii($units, 15.0)[1])->toEqualWithDelta($formula, 1e-9);
    $swept = SweptPath::along(Path::of([['radius' => 15.0, 'angle' => 6 * M_PI]], 0.05), $units);
    [$x, $y] = $swept->frames[count($swept->frames) - 1][1];
    expect(hypot($x, $y - 15.0))->toEqualWithDelta($formula, 0.001);
});

it('agrees with the closed form of a single unit drawn onto a circle', function (float $wheelbase, float $radius, float $angle): void {
    // With u = tan(psi/2), a = L/R: (u - u1)/(u - u2) = (u1/u2) exp(-sqrt(1 - a^2) s / L), u1,2 = (1 -+ sqrt(1 - a^2)) / a;
    // the rear axle then runs on sqrt(R^2 + L^2 - 2 R L sin(psi)). Solved by hand from d psi/ds = 1/R - sin(psi)/L.
    $a = $wheelbase / $radius;
    $root = sqrt(1.0 - $a ** 2);
    [$u1, $u2] = [(1.0 - $root) / $a, (1.0 + $root) / $a];
    $q = $u1 / $u2 * exp(-$root * $radius * $angle / $wheelbase);
    $psi = 2.0 * atan(($u1 - $q * $u2) / (1.0 - $q));
    $expected = sqrt($radius ** 2 + $wheelbase ** 2 - 2.0 * $radius * $wheelbase * sin($psi));
    $swept = SweptPath::along(Path::of([['radius' => $radius, 'angle' => $angle]], 0.02), [new Unit($wheelbase, 2.0)]);
    [$x, $y] = $swept->frames[count($swept->frames) - 1][0];
    expect(hypot($x, $y - $radius))->toEqualWithDelta($expected, 0.0005);
})->with([[2.6, 8.0, M_PI_2], [5.2, 10.0, M_PI_2], [7.7, 12.5, 0.6], [7.7, 9.0, 2.5]]);

it('reads feet and inches as signs print them', function (): void {
    // Exact: 13 ft 9 in = 165 x 25.4 mm = 4.191 m.
    $under = fn (float $height): array => Ask::tool('clearance', ['vehicle_height_m' => $height, 'sign_height_ft_in' => "13'9\""]);
    expect($under(4.0)['clearance_m'])
        ->toEqualWithDelta(0.191, 1e-9)
        ->and($under(4.0)['verdict'])
        ->toBe('passes')
        ->and($under(4.0)['clearance_ft_in'])
        ->toBe("0'7\"")
        ->and($under(4.15)['verdict'])->toBe('within-the-margin')
        ->and($under(4.2)['verdict'])->toBe('does-not-pass');
});

it('agrees with a drive in small steps in time of a unit drawn through an S-bend', function (): void {
    // A second way to the same place: the front axle's speed is split along and across the unit, and the heading is
    // turned by the part across, d theta = v sin(psi) / L dt (explicit Euler), with no use of the closed form under test.
    $pieces = [['length' => 5.0], ['radius' => 11.0, 'angle' => 1.2], ['radius' => 9.0, 'angle' => -1.6], ['length' => 6.0]];
    $fine = Path::of($pieces, 0.0005)->points;
    $heading = 0.0;
    $wheelbase = 5.2;
    for ($i = 1, $n = count($fine); $i < $n; $i++) {
        [$dx, $dy] = [$fine[$i][0] - $fine[$i - 1][0], $fine[$i][1] - $fine[$i - 1][1]];
        $heading += (-$dx * sin($heading) + $dy * cos($heading)) / $wheelbase;
    }
    $end = $fine[count($fine) - 1];
    $swept = SweptPath::along(Path::of($pieces, 0.1), [new Unit($wheelbase, 2.4)]);
    [$x, $y] = $swept->frames[count($swept->frames) - 1][0];
    expect($x)->toEqualWithDelta($end[0] - $wheelbase * cos($heading), 0.005)
        ->and($y)->toEqualWithDelta($end[1] - $wheelbase * sin($heading), 0.005);
});

it('reverses as the sine of the angle says, and into a bay on one arc', function (): void {
    // Worked by hand: 9 m at 2 degrees is 9 x sin 2 = 0.314 m more at the kerb; towards it, 0.3 m are used up after 0.3 / sin 2 = 8.60 m.
    $back = fn (float $angle): array => Ask::tool(
        'reverse', ['exercise' => 'pull-up-right-reverse', 'distance_m' => 9, 'kerb_gap_m' => 0.3, 'angle_deg' => $angle],
    );
    expect($back(2)['end_gap_m'])->toEqualWithDelta(0.614, 0.001)->and($back(2)['touches_at_m'])->toBeNull()
        ->and($back(-2)['touches_at_m'])->toEqualWithDelta(8.596, 0.001)
        ->and($back(2)['time_s'])->toEqualWithDelta(9 / 0.7, 0.01);
    $bay = Ask::tool('reverse', ['exercise' => 'bay', 'radius_m' => 5]);
    $last = count($bay['path']['x_m']) - 1;
    // It ends square in the bay, the rear axle a bay's depth less the overhang inside, and needs the front's circle of room.
    expect($bay['path']['heading_deg'][$last])->toEqualWithDelta(90.0, 1e-6)
        ->and($bay['path']['x_m'][$last])->toEqualWithDelta(-5.0, 0.001)
        ->and($bay['path']['y_m'][$last])->toEqualWithDelta(5.0 + 4.8 - 1.0, 0.001)
        ->and($bay['bay']['aisle_needed_m'])->toEqualWithDelta(hypot(5.0 + 0.9, 2.6 + 0.9), 0.001);
});

it('says of each figure whether it was entered or filled in', function (): void {
    $status = fn (array $input): array => array_column(Ask::tool('engine', ['speed_mph' => 30, ...$input])['assumptions'], 'status', 'name');
    $own = $status(['vehicle' => ['mass_kg' => 1400, 'tyre' => '185/65R15']]);
    expect([$own['mass with everybody'], $own['tyre'], $own['drag area'], $own['density of air']])->toBe(['given', 'given', 'assumed', 'from-memory'])
        ->and($status(['tyre' => '185/65R15'])['tyre'])->toBe('given')
        ->and($status(['vehicle' => 'loaded-van'])['mass with everybody'])->toBe('assumed');
});

it('gains speed as constant torque and constant power say where nothing resists', function (): void {
    // Textbook kinematics: v = a t under constant force, and m v^2 / 2 = P t under constant power.
    $motor = Engine::electric(200.0, 60.0, 20000.0, 0.0);
    $free = new Vehicle('free', 'free', Transmission::Automatic, Controls::Standard, Distance::ofMetres(4.5), Distance::ofMetres(1.8),
        Gearbox::of([1.0], 9.0, Tyre::fromMarking('195/65R15')), $motor, new Body(1500.0, 0.0, 0.0), DemoVehicles::byId('small-electric')->chassis,
        Acceleration::ofMetresPerSecondSquared(0.5));
    $mass = 1500.0 * (1.0 + Performance::WHEELS);
    $radius = $free->gearbox->circumferenceInMetres() / (2.0 * M_PI);
    $force = 200.0 * 9.0 * Performance::EFFICIENCY / $radius;
    $run = fn (float $from, float $to): FullGas => FullGas::run(
        $free, Speed::ofMetresPerSecond($from), Speed::ofMetresPerSecond($to), Gradient::ofRiseOverRun(0.0), 1,
    );
    expect($run(0.0, 8.0)->seconds)->toEqualWithDelta(8.0 / ($force / $mass), 0.005)
        ->and($run(0.0, 8.0)->metres)->toEqualWithDelta(64.0 / (2.0 * $force / $mass), 0.02)
        ->and($run(15.0, 25.0)->seconds)->toEqualWithDelta($mass * (625.0 - 225.0) / 2.0 / (60000.0 * Performance::EFFICIENCY), 0.01);
});

it('fills the gaps of an own vehicle from the kind it is like', function (): void {
    $electric = Ask::tool('engine', ['vehicle' => ['like' => 'small-electric', 'torque_nm' => 300], 'speed_mph' => 20]);
    expect($electric['gears'])->toHaveCount(1)->and($electric['idle_rpm'])->toEqual(0.0);
    $lorry = ['like' => 'articulated-lorry', 'length_m' => 16.5];
    expect(Ask::tool('swept-path', ['vehicle' => $lorry, 'path' => ['radius_m' => 12.5]])['off_tracking_m'])
        ->toBe(Ask::tool('swept-path', ['vehicle' => 'articulated-lorry', 'path' => ['radius_m' => 12.5]])['off_tracking_m']);
    expect(
        Ask::refusal('engine', ['vehicle' => ['like' => 'small-electric', 'transmission' => 'manual'], 'speed_mph' => 20]),
    )->toHaveKey('vehicle.transmission');
    expect(Ask::refusal('engine', ['vehicle' => ['like' => 'small-electric', 'idle_rpm' => 800], 'speed_mph' => 20]))->toHaveKey('vehicle.idle_rpm');
});
