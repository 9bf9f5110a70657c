<?php

declare(strict_types=1);

use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Vehicle\BayWay;
use NobleTurn\Core\Vehicle\Chassis;
use NobleTurn\Core\Vehicle\DemoVehicles;
use NobleTurn\Core\Vehicle\FlatBay;
use NobleTurn\Core\Vehicle\KerbSpace;

/**
 * Points round a body, close together.
 *
 * @param  array{x: float, y: float, heading: float}  $rear  its rear axle's middle; degrees of the way the nose points, against the clock
 * @return list<array{float, float}>
 */
function outline(Chassis $car, array $rear): array
{
    [$cos, $sin] = [cos($rear['heading'] * M_PI / 180.0), sin($rear['heading'] * M_PI / 180.0)];
    $points = [];
    for ($i = 0; $i <= 80; $i++) {
        $along = -$car->rearOverhangMetres + $car->lengthMetres() * $i / 80;
        foreach ([-0.5, -0.25, 0.0, 0.25, 0.5] as $share) {
            if ($i === 0 || $i === 80 || abs($share) === 0.5) {
                $across = $share * $car->widthMetres;
                $points[] = [$rear['x'] + $along * $cos - $across * $sin, $rear['y'] + $along * $sin + $across * $cos];
            }
        }
    }

    return $points;
}

/** How deep any of the way lies in a box, m; 0 where it stays out of it. */
function deepest(Chassis $car, array $poses, float $left, float $right, float $bottom, float $top): float
{
    $deepest = 0.0;
    foreach ($poses as $pose) {
        foreach (outline($car, $pose) as [$x, $y]) {
            $deepest = max($deepest, min($x - $left, $right - $x, $y - $bottom, $top - $y));
        }
    }

    return $deepest;
}

$cars = ['small-petrol-hatch', 'loaded-van', 'small-electric'];

it('leaves a flat bay without touching either neighbour, and touches one where it turns sooner', function (string $id): void {
    $car = DemoVehicles::byId($id)->chassis;
    foreach ([2.4, 2.6, 3.0] as $bay) {
        foreach ([1.1, 1.4] as $share) {
            $way = new FlatBay($car, $share * $car->minimumRadiusMetres(), $bay);
            $touched = static function (float $sooner) use ($way, $car, $bay): float {
                $poses = [];
                for ($s = 0.0; $s <= $way->lengthMetres() - $sooner; $s += 0.02) {
                    // Going back the nose points into the bay.
                    $at = $way->at($s < $way->straightMetres - $sooner ? $s : $s + $sooner);
                    $poses[] = ['x' => $at['x'] - ($s < $way->straightMetres - $sooner ? 0.0 : $sooner), 'y' => $at['y'], 'heading' => 180.0 + $at['heading']];
                }
                [$near, $far] = [$bay - $car->widthMetres / 2.0, $bay + $car->widthMetres / 2.0];

                return max(deepest($car, $poses, -6.0, 0.0, $near, $far), deepest($car, $poses, -6.0, 0.0, -$far, -$near));
            };
            expect($touched(0.0))->toBeLessThan(0.01);
            if ($way->straightMetres > $way->viewAfterMetres + 0.3) {
                expect($touched(0.3))->toBeGreaterThan(0.01);
            }
            // Nothing sticks out farther into the aisle than is said.
            $out = 0.0;
            for ($s = 0.0; $s <= $way->lengthMetres(); $s += 0.02) {
                $at = $way->at($s);
                $out = max($out, ...array_column(outline($car, ['heading' => 180.0 + $at['heading']] + $at), 0));
            }
            expect($out)->toEqualWithDelta($way->aisleMetres, 0.02);
        }
    }
})->with($cars);

it('needs less straight the wider the bays, and shows the tail before the driver sees', function (string $id): void {
    $car = DemoVehicles::byId($id)->chassis;
    $before = INF;
    foreach (range(2.2, 3.6, 0.1) as $bay) {
        $way = new FlatBay($car, BayWay::usualRadiusMetres($car), $bay);
        expect($way->straightMetres)->toBeLessThanOrEqual($before + 1e-9);
        $before = $way->straightMetres;
    }
    expect((new FlatBay($car, BayWay::usualRadiusMetres($car)))->viewAfterMetres)->toEqualWithDelta($car->lengthMetres() - FlatBay::EYES_M, 1e-9);
})->with($cars);

it('goes forwards into a space at the kerb: past the car behind, off the kerb, parallel in the end and short of the car in front', function (string $id): void {
    $car = DemoVehicles::byId($id)->chassis;
    $way = new KerbSpace($car);
    $poses = [];
    for ($s = 0.0; $s <= $way->lengthMetres(); $s += 0.02) {
        $at = $way->at($s);
        $poses[] = ['heading' => -$at['heading']] + $at;
    }
    // The nose may reach over the kerb, no wheel touches it.
    $nearest = min(array_map(static fn (array $pose): float => $pose['y'] + min(
        0.0, $car->wheelbaseMetres * sin($pose['heading'] * M_PI / 180.0),
    ) - $car->trackMetres / 2.0 * cos($pose['heading'] * M_PI / 180.0), $poses));
    $end = $way->at($way->lengthMetres());
    expect(deepest($car, $poses, -5.0, 0.0, 0.0, KerbSpace::PARKED_M))->toBeLessThan(0.01)
        ->and($nearest)->toBeGreaterThan(0.049)
        ->and($end['heading'])->toEqualWithDelta(0.0, 1e-6)->and($end['y'] - $car->widthMetres / 2.0)->toEqualWithDelta(KerbSpace::KERB_GAP_M, 1e-6)
        ->and($end['x'] + $car->wheelbaseMetres + $car->frontOverhangMetres + KerbSpace::LEFT_AHEAD_M)->toEqualWithDelta($way->spaceMetres, 1e-6)
        // It begins beside the parked cars with room for a door.
        ->and($way->at(0.0)['y'] - $car->widthMetres / 2.0)->toEqualWithDelta(KerbSpace::PARKED_M + KerbSpace::PAST_M, 1e-6);
})->with($cars);

it('says as a tool where to turn, what room it takes and whether that is there', function (): void {
    $ask = static fn (array $more): array => Ask::tool('reverse', ['vehicle' => 'small-petrol-hatch', ...$more]);
    $out = $ask(['exercise' => 'out-of-bay', 'aisle_m' => 9]);
    expect($out['room'])->toMatchArray(['fits' => true])->and($out['room']['straight_m'])->toBeGreaterThanOrEqual($out['room']['view_after_m'])
        ->and($out['room']['message'])->toContain('stop for everybody')->and(end($out['path']['heading_deg']))->toBe(90.0)
        ->and($ask(['exercise' => 'out-of-bay', 'aisle_m' => 6])['room']['message'])->toContain('take two');
    $in = $ask(['exercise' => 'nose-in']);
    // The same way, driven the other way round.
    expect($in['path']['x_m'])->toBe(array_reverse($ask(['exercise' => 'out-of-bay'])['path']['x_m']))
        ->and($in['room']['fits'])->toBeNull()->and($in['control'])->not->toContain('backwards');
    $kerb = $ask(['exercise' => 'kerb-space', 'space_m' => 9.2]);
    // Common practice, no source: a space two cars long.
    expect($kerb['room']['needed_m'] / 4.5)->toEqualWithDelta(2.0, 0.2)->and($kerb['room']['fits'])->toBeTrue()
        ->and($ask(['exercise' => 'kerb-space', 'space_m' => 7])['room'])->toMatchArray(['fits' => false])
        ->and(Ask::refusal('reverse', ['exercise' => 'kerb-space', 'aisle_m' => 6]))->toHaveKey('aisle_m')
        ->and(Ask::refusal('reverse', ['exercise' => 'out-of-bay', 'space_m' => 9]))->toHaveKey('space_m')
        ->and(Ask::refusal('reverse', ['exercise' => 'nose-in', 'radius_m' => 2]))->toHaveKey('radius_m');
});

it('names every figure that nobody gave, with its status', function (string $tool, array $input, array $names): void {
    $told = array_column(Ask::tool($tool, $input)['assumptions'], 'status', 'name');
    foreach ($names as $name) {
        expect($told)->toHaveKey($name)->and($told[$name])->not->toBe('');
    }
})->with([
    ['reverse', ['exercise' => 'kerb-space'], ['parked cars reach', 'passed at a creep with', 'stands off in the end', 'left to the car in front']],
    ['reverse', ['exercise' => 'out-of-bay'], ['the driver’s eyes behind the nose', 'bay_width', 'radius']],
    ['lights', [], ['our way out, our length besides', 'the others gain', 'room', 'vehicle']],
    ['gap', ['manoeuvre' => 'move-off', 'vehicle' => 'articulated-lorry', 'other_speed_mph' => 30, 'other_distance_m' => 60],
        ['a long vehicle asks for room after']],
    ['priority', ['pack' => 'gb'], ['first goes']],
]);

it('says of a bay that is entered whether a door opens in it, and how far the car stands out of it', function (): void {
    $warned = static fn (array $asked): array => array_column(Ask::tool('reverse', $asked)['warnings'], 'message', 'code');
    foreach (['bay', 'nose-in'] as $exercise) {
        $wide = Ask::tool('reverse', ['exercise' => $exercise])['car']['width_m'];
        // Half a metre in all, wherever in the bay the car stands.
        foreach ([[1.9, true], [$wide + 0.49, true], [$wide + 0.51, false], [2.4, false], [3.2, false]] as [$width, $isTight]) {
            expect(array_key_exists('no-door', $warned(['exercise' => $exercise, 'bay_width_m' => $width])))->toBe($isTight, "{$exercise} {$width}");
        }
    }
    expect($warned(['exercise' => 'bay', 'bay_width_m' => 2]))->toBe([
        'no-door' => 'Of 0.2 m beside the car, both sides together, no door opens far enough to get out: another bay.',
    ])->and($warned(['exercise' => 'bay', 'vehicle' => 'loaded-van', 'bay_width_m' => 3]))->toBe([
        'stands-out' => 'It stands 1.1 m out of the bay, where others pass.',
    ])->and($warned(['exercise' => 'bay', 'vehicle' => 'loaded-van', 'bay_width_m' => 3, 'bay_depth_m' => 6]))->toBe([])
        // Nobody says that it stands nothing out, or of nothing that it is too little.
        ->and($warned(['exercise' => 'bay', 'bay_width_m' => 1.82]))->toBe([
            'no-door' => 'With next to nothing beside the car no door opens far enough to get out: another bay.',
        ])
        ->and($warned(['exercise' => 'bay', 'vehicle' => 'loaded-van', 'bay_width_m' => 3, 'bay_depth_m' => 5.88]))->toBe([])
        // Who drives out of one has got in, and at the kerb no bay is painted.
        ->and($warned(['exercise' => 'out-of-bay', 'bay_width_m' => 1.9]))->toBe([])->and($warned(['exercise' => 'kerb-space']))->toBe([]);
});

it('works nothing out for a vehicle with a trailer, which backwards steers the other way', function (string $exercise): void {
    expect(fn () => Ask::tool('reverse', ['exercise' => $exercise, 'vehicle' => 'articulated-lorry']))
        ->toThrow(BadInput::class, 'vehicle: draws a trailer');
    expect(Ask::tool('reverse', ['exercise' => $exercise, 'vehicle' => 'rigid-lorry'] + (in_array($exercise, ['bay', 'out-of-bay', 'nose-in'], true)
        ? ['bay_width_m' => 4] : []))['length_m'])->toBeGreaterThan(5.0);
})->with(['pull-up-right-reverse', 'bay', 'ramp', 'out-of-bay', 'nose-in', 'kerb-space']);
