<?php

declare(strict_types=1);

use NobleTurn\Core\Motion\Path;
use NobleTurn\Core\Motion\SweptPath;
use NobleTurn\Core\Motion\TurnReach;
use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Vehicle\DemoVehicles;
use NobleTurn\Core\Vehicle\Handling;

/** @return array<string, mixed> */
function longPlan(array $more, string $vehicle = 'articulated-lorry'): array
{
    return Ask::tool('approach', $more + ['routine' => 'turn-left', 'vehicle' => $vehicle]);
}

/** @return array<string, array<string, mixed>> what is said of it, by code */
function longSaid(array $more, string $vehicle = 'articulated-lorry'): array
{
    return array_column(longPlan($more, $vehicle)['warnings'], null, 'code');
}

function longKerb(string $vehicle, float $radius): float
{
    return longSaid(['turn_radius_m' => $radius, 'road_width_m' => 16.0], $vehicle)['long-towards-kerb']['data']['kerb_m'];
}

/**
 * The least distance between the inside of a vehicle and a kerb that turns a right angle on a radius, walked along its path corner by corner of its
 * sides: a way of its own to the same answer.
 */
function clearOfKerb(string $vehicle, float $radius, float $fromKerb, float $kerbRadius = 6.0): float
{
    $units = DemoVehicles::byId($vehicle)->units();
    $swept = SweptPath::along(Path::of([['length' => 2.0], ['radius' => $radius, 'angle' => M_PI_2], ['length' => 12.0]], 0.1), $units);
    // The path leads along x, then left: the block lies beyond the kerb on the left, and its corner is rounded.
    [$cx, $cy] = [2.0 + $radius - $fromKerb - $kerbRadius, $fromKerb + $kerbRadius];
    $least = INF;
    foreach ($swept->frames as $frame) {
        foreach ($units as $i => $unit) {
            [$frontLeft, , , $rearLeft] = SweptPath::corners($unit, $frame[$i]);
            for ($share = 0.0; $share <= 1.0; $share += 0.02) {
                [$x, $y] = [$frontLeft[0] + $share * ($rearLeft[0] - $frontLeft[0]), $frontLeft[1] + $share * ($rearLeft[1] - $frontLeft[1])];
                $least = min($least, match (true) {
                    $x > $cx && $y < $cy => hypot($x - $cx, $y - $cy) - $kerbRadius,
                    $y < $cy => $fromKerb - $y,
                    default => $x - ($cx + $kerbRadius),
                });
            }
        }
    }

    return $least;
}

it('keeps what it says off the kerb, and its rear clears it by about half a metre: walked along', function (string $vehicle): void {
    $half = DemoVehicles::byId($vehicle)->width->inMetres() / 2.0;
    foreach ([8.0, 10.0, 14.0] as $radius) {
        $detail = longSaid(['turn_radius_m' => $radius, 'road_width_m' => 14.0], $vehicle)['long-towards-kerb']['data'];
        $from = $detail['kerb_m'] + $half;
        expect(clearOfKerb($vehicle, $radius, $from))->toBeGreaterThan(0.35)->toBeLessThan(0.7);
        // A wider arc needs more of the lane.
        expect($detail['kerb_m'])->toBeLessThan(longKerb($vehicle, $radius + 2.0));
    }
})->with(['articulated-lorry', 'rigid-lorry']);

it('comes in less than on a circle that never ends, more the tighter it turns and the longer it is, and a car hardly', function (): void {
    $in = static fn (string $vehicle, float $radius): float => TurnReach::rightAngle(DemoVehicles::byId($vehicle)->units(), $radius)->comesInMetres;
    foreach (['articulated-lorry', 'rigid-lorry', 'small-petrol-hatch'] as $vehicle) {
        $last = INF;
        foreach ([8.0, 9.0, 11.0, 15.0, 25.0] as $radius) {
            $steady = array_reverse(SweptPath::steadyRadii(DemoVehicles::byId($vehicle)->units(), $radius))[0];
            $now = $in($vehicle, $radius);
            expect($now)->toBeLessThan($steady === null ? $radius : $radius - $steady + 1e-6)->toBeLessThan($last)->toBeGreaterThan(0.05);
            $last = $now;
        }
    }
    expect($in('articulated-lorry', 9.0))->toBeGreaterThan($in('rigid-lorry', 9.0))
        ->and($in('rigid-lorry', 9.0))->toBeGreaterThan($in('small-petrol-hatch', 9.0));
});

it('is slowed for earlier and gentler than a car on every road, and the brakes answer after the light', function (): void {
    foreach ([['turn-left', 30], ['turn-right', 40], ['emerge-right', 30], ['roundabout', 50]] as [$routine, $mph]) {
        foreach ([-0.06, 0.0, 0.06] as $gradient) {
            foreach (['dry', 'wet'] as $surface) {
                $asked = ['routine' => $routine, 'limit_mph' => 60, 'speed_mph' => $mph, 'gradient' => $gradient, 'surface' => $surface];
                [$lorry, $car] = [longPlan($asked), longPlan($asked, 'small-automatic')];
                // Uphill the load slows it before the brake does: what is earlier everywhere is the foot off the gas.
                expect($lorry['ease_off_m'])->toBeGreaterThan($car['ease_off_m'])->and($lorry['line_speed_mps'])->toBeLessThanOrEqual($car['line_speed_mps']);
                $decel = max(array_map(static fn (float|int $one): float => (float) $one, $lorry['profile']['decel_mps2']));
                expect($decel)->toBeLessThanOrEqual(1.2 * Handling::LONG_COMFORT + 1e-6);
            }
        }
    }
});

it('says the lag and its own comfort among what is assumed, and of a car neither', function (): void {
    $named = static fn (array $plan): array => array_column($plan['assumptions'], 'value', 'name');
    expect($named(longPlan([]))['from the brake pedal to the brakes'])->toBe(0.6)->and($named(longPlan([]))['comfort_decel'])->toBe(1.3)
        ->and($named(longPlan([], 'small-petrol-hatch')))->not->toHaveKey('from the brake pedal to the brakes')
        ->and($named(longPlan([], 'small-petrol-hatch'))['comfort_decel'])->toEqual(2.0)
        ->and($named(longPlan([])))->toMatchArray(['radius of the kerb at the corner' => 6.0, 'its rear clear of the kerb' => 0.5])
        ->and($named(longPlan(['routine' => 'turn-right'])))->not->toHaveKey('its rear clear of the kerb')
        // What was said by hand stands.
        ->and($named(longPlan(['comfort_decel_mps2' => 1.0])))->not->toHaveKey('comfort_decel');
});

it('covers two below one width of the road, and above it never: the distances go on without a jump', function (): void {
    [$last, $flips, $was] = [null, 0, null];
    for ($width = 6.0; $width <= 14.0; $width += 0.25) {
        $said = longSaid(['road_width_m' => $width]);
        $now = isset($said['long-covers-two']);
        $detail = ($said['long-covers-two'] ?? $said['long-towards-kerb'])['data'];
        $flips += $was !== null && $was !== $now ? 1 : 0;
        if (abs($detail['line_m'] - 0.3) > 0.011) {
            expect($now)->toBe($detail['line_m'] < 0.3);
        }
        if ($last !== null) {
            expect($detail['line_m'] - $last)->toEqualWithDelta(0.125, 0.011);
        }
        [$was, $last] = [$now, $detail['line_m']];
    }
    expect($flips)->toBe(1);
});

it('drives through its own gears: a slow engine is not kept at a car’s speed', function (): void {
    foreach ([20, 30, 40, 50] as $mph) {
        $plan = longPlan(['limit_mph' => 60, 'speed_mph' => $mph], 'rigid-lorry');
        $box = DemoVehicles::byId('rigid-lorry')->gearbox;
        $gear = $plan['profile']['gear'][0];
        $rpm = $box->engineSpeed(NobleTurn\Core\Quantity\Speed::ofMilesPerHour($mph), $gear)->inRevolutionsPerMinute();
        expect($rpm)->toBeGreaterThan(1000.0)->toBeLessThan(2700.0);
        foreach ($plan['gear_changes'] as $change) {
            expect($change['to'])->toBeLessThan($change['from'])->and($change['down_m'])->toBeGreaterThan($change['up_m']);
        }
    }
});

it('counts car lengths of cars, and nothing of all this is said to a car', function (): void {
    $rule = static fn (string $vehicle): float => array_column(longPlan(['practice' => ['signal' => 'car-lengths']], $vehicle)['assumptions'], 'value', 'name')[
        'signal rule of the practice'
    ];
    expect($rule('articulated-lorry'))->toEqual(40.5)->and($rule('small-petrol-hatch'))->toEqual(40.5);
    foreach (['small-petrol-hatch', 'loaded-van', 'small-electric'] as $vehicle) {
        $codes = array_keys(longSaid([], $vehicle) + longSaid(['routine' => 'queue-stop'], $vehicle));
        expect(array_filter($codes, static fn (string $code): bool => str_starts_with($code, 'long-') || $code === 'keep-rolling'))->toBe([]);
    }
});
