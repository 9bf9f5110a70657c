<?php

declare(strict_types=1);

use NobleTurn\Core\Motion\LaneLine;
use NobleTurn\Core\Motion\MiddleLine;
use NobleTurn\Core\Motion\Path;
use NobleTurn\Core\Motion\PathReach;
use NobleTurn\Core\Motion\SweptPath;
use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Vehicle\DemoVehicles;
use Random\Engine\Mt19937;
use Random\Randomizer;

function drawnBetween(Randomizer $random, float $least, float $most): float
{
    return $least + ($most - $least) * $random->getInt(0, 1_000_000) / 1_000_000;
}

/** @return non-empty-list<array{length: float}|array{radius: float, angle: float}> */
function windingLane(Randomizer $random): array
{
    $pieces = [['length' => drawnBetween($random, 5.0, 15.0)]];
    for ($i = $random->getInt(2, 3); $i > 0; $i--) {
        $pieces[] = ['radius' => drawnBetween($random, 11.0, 40.0), 'angle' => drawnBetween($random, 0.4, 1.6) * ($random->getInt(0, 1) === 0 ? 1.0 : -1.0)];
    }

    return [...$pieces, ['length' => 20.0]];
}

/** @return non-empty-list<array{length: float}|array{radius: float, angle: float}> right round a ring on its left */
function ringLane(float $degrees, float $side = 1.0): array
{
    $aside = ['radius' => 15.0, 'angle' => $side * 50.0 * M_PI / 180.0];

    return [['length' => 12.0], $aside, ['radius' => 14.0, 'angle' => -$side * $degrees * M_PI / 180.0], $aside, ['length' => 25.0]];
}

it('finds how far beside a lane’s middle a place lies, wherever it was put', function (): void {
    $random = new Randomizer(new Mt19937(3));
    for ($i = 0; $i < 60; $i++) {
        $lane = new MiddleLine(windingLane($random));
        $left = drawnBetween($random, -4.0, 4.0);
        $at = 0;
        for ($along = 0.0; $along <= $lane->metres; $along += 0.7) {
            [$x, $y] = $lane->beside($along, $left);
            [$aside, $at] = $lane->aside($x, $y, $at, $along);
            expect($aside)->toEqualWithDelta($left, 1e-9);
        }
    }
});

it('reaches as far from the middle of a lane as is found by walking along it point by point', function (): void {
    $random = new Randomizer(new Mt19937(4));
    foreach (['articulated-lorry', 'rigid-lorry', 'small-petrol-hatch'] as $id) {
        $units = DemoVehicles::byId($id)->units();
        for ($i = 0; $i < 8; $i++) {
            $pieces = windingLane($random);
            $lane = new MiddleLine($pieces);
            $line = LaneLine::at($units, $lane, 8.0, array_fill(0, count($pieces), 0.0), 5.0);
            $walked = PathReach::of(SweptPath::along(Path::of($pieces, 0.1), $units));
            expect(4.0 - $line->spareLeftMetres)->toEqualWithDelta($walked->left, 0.03)
                ->and(4.0 - $line->spareRightMetres)->toEqualWithDelta($walked->right, 0.03);
        }
    }
});

it('cuts in on a long ring as far as the closed form of a circle says', function (): void {
    $units = DemoVehicles::byId('articulated-lorry')->units();
    $lane = new MiddleLine([['length' => 12.0], ['radius' => 16.0, 'angle' => -2.0 * M_PI]]);
    $line = LaneLine::at($units, $lane, 8.0, [0.0, 0.0], 5.0);
    $steady = SweptPath::steadyRadii($units, 16.0)[count($units) - 1];
    expect(4.0 - $line->spareRightMetres)->toEqualWithDelta(16.0 - $steady + $units[count($units) - 1]->widthMetres / 2.0, 0.03);
});

it('leaves no less room than the middle of the lane, nor than any of a hundred other lines, and is mirrored where the lane is', function (): void {
    $random = new Randomizer(new Mt19937(5));
    foreach (['articulated-lorry', 'rigid-lorry'] as $id) {
        $units = DemoVehicles::byId($id)->units();
        $least = $units[0]->wheelbaseMetres + 0.5;
        foreach ([100.0, 190.0] as $degrees) {
            $lane = new MiddleLine(ringLane($degrees));
            $best = LaneLine::best($units, $lane, 6.0, $least);
            $middle = LaneLine::at($units, $lane, 6.0, array_fill(0, 5, 0.0), $least);
            expect($best->spareMetres())->toBeGreaterThan($middle->spareMetres());
            $most = (6.0 - $units[0]->widthMetres) / 2.0;
            for ($i = 0; $i < 100; $i++) {
                $asides = array_map(static fn (): float => drawnBetween($random, -$most, $most), range(1, 5));
                expect(LaneLine::at($units, $lane, 6.0, $asides, $least)->spareMetres())->toBeLessThanOrEqual($best->spareMetres() + 0.06);
            }
            $mirrored = LaneLine::best($units, new MiddleLine(ringLane($degrees, -1.0)), 6.0, $least);
            expect($mirrored->spareLeftMetres)->toEqualWithDelta($best->spareRightMetres, 0.05)
                ->and($mirrored->spareRightMetres)->toEqualWithDelta($best->spareLeftMetres, 0.05);
        }
    }
});

it('has more to spare in a wider lane, without a jump', function (): void {
    $before = null;
    foreach (range(4.0, 7.0, 0.25) as $width) {
        $answer = Ask::tool('swept-path', [
            'vehicle' => 'articulated-lorry', 'path' => ['roundabout' => ['radius_m' => 14, 'exit' => 'ahead']], 'lane_width_m' => $width,
        ]);
        $spare = min($answer['spare_left_m'], $answer['spare_right_m']);
        if ($before !== null) {
            expect($spare - $before)->toBeGreaterThan(-0.05)->toBeLessThan(0.5);
        }
        $before = $spare;
        foreach ($answer['aim'] as $aim) {
            expect($aim['left_m'] + $aim['right_m'])->toEqualWithDelta($width - 2.5, 0.02)->and(min($aim['left_m'], $aim['right_m']))->toBeGreaterThan(-0.01);
        }
        expect($answer['fits'])->toBe($spare >= 0.0)->and($answer['cover_two'] === null)->toBe($spare >= 0.0);
    }
    expect($before)->toBeGreaterThan(0.3);
});

it('says what a lane cannot stand beside', function (array $input, string $field): void {
    expect(Ask::refusal('swept-path', ['vehicle' => 'rigid-lorry', 'lane_width_m' => 5, ...$input]))->toHaveKey($field);
})->with([
    [['path' => ['radius_m' => 14]], 'lane_width_m'],
    [['path' => ['s_bend' => ['radius_m' => 14]], 'kerbs' => ['left_m' => 3]], 'kerbs'],
    [['bend' => ['kerb_radius_m' => 8, 'entry_width_m' => 4, 'exit_width_m' => 4]], 'lane_width'],
]);
