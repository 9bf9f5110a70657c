<?php

declare(strict_types=1);

use NobleTurn\Core\Site\Position;
use Random\Engine\Mt19937;
use Random\Randomizer;

/*
 * Distances and bearings against GeographicLib (Debian's package `geographiclib-tools`, C. F. F. Karney), which solves geodesics on WGS84 to
 * fifteen nanometres. Tolerance: 1 mm, and a bearing to within 1 mm at the far end. bin/test installs it.
 */

/**
 * @param  non-empty-list<array{float, float, float, float}>  $pairs
 * @return list<array{float, float}> metres and bearing from the first place
 */
function solved(array $pairs): array
{
    if (trim((string) shell_exec('command -v GeodSolve')) === '') {
        if (getenv('CI')) {
            throw new RuntimeException('GeodSolve is missing: bin/test installs it.');
        }
        test()->markTestSkipped('GeodSolve is not installed: bin/test core installs it.');
    }
    $process = proc_open(['GeodSolve', '-i', '-p', '9'], [['pipe', 'r'], ['pipe', 'w'], ['file', '/dev/null', 'w']], $pipes);
    if ($process === false) {
        throw new RuntimeException('GeodSolve did not start.');
    }
    fwrite($pipes[0], implode("\n", array_map(static fn (array $pair): string => vsprintf('%.9F %.9F %.9F %.9F', $pair), $pairs))."\n");
    fclose($pipes[0]);
    $said = trim((string) stream_get_contents($pipes[1]));
    proc_close($process);

    return array_map(static function (string $line): array {
        [$bearing, , $metres] = array_map(floatval(...), explode(' ', $line));

        return [$metres, fmod($bearing + 360.0, 360.0)];
    }, explode("\n", $said));
}

it('measures as a geodesic library does, from one end of a street to the other side of the earth', function (): void {
    $chance = new Randomizer(new Mt19937(20));
    $drawn = static fn (float $most): float => ($chance->getInt(0, 2_000_000) / 1_000_000 - 1.0) * $most;
    $pairs = [
        // Along a meridian, along the equator, over the date line, over a pole.
        [0.0, 0.0, 1.0, 0.0], [0.0, 0.0, 0.0, 1.0], [49.0, 179.999, 49.0, -179.999], [89.9, 10.0, 89.9, -170.0], [-33.0, 18.0, -33.001, 18.001],
    ];
    foreach ([0.0005, 0.02, 1.0, 40.0] as $degrees) {
        for ($i = 0; $i < 50; $i++) {
            $at = [$drawn(70.0), $drawn(180.0)];
            $to = [$at[0] + $drawn($degrees / 2.0), fmod($at[1] + $drawn($degrees) + 540.0, 360.0) - 180.0];
            $pairs[] = array_map(static fn (float $value): float => round($value, 9), [...$at, ...$to]);
        }
    }
    foreach (solved($pairs) as $i => [$metres, $bearing]) {
        $from = Position::ofDegrees($pairs[$i][0], $pairs[$i][1]);
        $to = Position::ofDegrees($pairs[$i][2], $pairs[$i][3]);
        $off = deg2rad(abs(fmod($from->bearingTo($to) - $bearing + 540.0, 360.0) - 180.0)) * min($metres, 6.4e6);
        expect($from->metresTo($to))->toEqualWithDelta($metres, 0.001, implode(' ', $pairs[$i]))
            ->and($off)->toBeLessThan(0.001, implode(' ', $pairs[$i]));
    }
});

it('answers where the formula does not settle: at opposite ends of the earth', function (): void {
    // The longest way there is: half a meridian ellipse, twice the quarter of 10 001 965.729 m (WGS84, from memory; GeodSolve says the same).
    expect(solved([[0.0, 0.0, 0.0, 180.0]])[0][0])->toEqualWithDelta(2 * 10_001_965.729, 0.01);
    foreach ([[0.0, 0.0, 0.0, 180.0], [0.0, 0.0, 0.5, 179.7], [30.0, 0.0, -30.0, 179.9], [90.0, 0.0, -90.0, 0.0]] as $pair) {
        $metres = Position::ofDegrees($pair[0], $pair[1])->metresTo(Position::ofDegrees($pair[2], $pair[3]));
        $known = solved([$pair])[0][0];
        expect(abs($metres - $known) / $known)->toBeLessThan(0.006, implode(' ', $pair));
    }
});

it('is nowhere from itself, and as far back as there', function (): void {
    $here = Position::ofDegrees(49.2, -8.1);
    $there = Position::ofDegrees(49.25, -8.02);
    expect($here->metresTo($here))->toBe(0.0)->and($here->bearingTo($here))->toBe(0.0)
        ->and($here->metresTo($there))->toEqualWithDelta($there->metresTo($here), 1e-6)
        ->and(abs($here->bearingTo($there) - $there->bearingTo($here)))->toEqualWithDelta(180.0, 0.2);
});

it('knows no place beyond a pole or round the earth twice', function (float $latitude, float $longitude): void {
    Position::ofDegrees($latitude, $longitude);
})->with([[90.1, 0.0], [0.0, -180.5], [NAN, 0.0], [0.0, INF]])->throws(NobleTurn\Core\Fault\InvalidQuantity::class);
