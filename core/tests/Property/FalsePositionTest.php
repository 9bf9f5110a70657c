<?php

declare(strict_types=1);

use NobleTurn\Core\Motion\FalsePosition;

it('finds where nothing is left any more, on the side that still leaves enough', function (callable $left, float $good, float $bad, float $root): void {
    $calls = 0;
    $found = FalsePosition::last(function (float $x) use ($left, &$calls): float {
        $calls++;

        return $left($x);
    }, $good, $bad, 1e-6);
    expect($found)->toEqualWithDelta($root, 1e-4)->and($left($found))->toBeGreaterThanOrEqual(0.0)->and($calls)->toBeLessThan(20);
})->with([
    'a straight line' => [static fn (float $x): float => 3.0 - $x, 0.0, 10.0, 3.0],
    'a parabola' => [static fn (float $x): float => 9.0 - $x ** 2, 0.0, 10.0, 3.0],
    'rising, the good end above' => [static fn (float $x): float => $x ** 3 - 8.0, 10.0, 0.0, 2.0],
    'flat, then steep' => [static fn (float $x): float => 1.0 - ($x / 4.0) ** 8, 0.0, 6.0, 4.0],
    'a corner in it' => [static fn (float $x): float => min(2.0, 5.0 - 2.0 * $x), 0.0, 9.0, 2.5],
    'just enough at the good end' => [static fn (float $x): float => -$x, 0.0, 1.0, 0.0],
]);

it('finds the same, whatever was drawn, as two hundred halvings', function (): void {
    mt_srand(20261128);
    foreach (range(1, 300) as $i) {
        [$a, $b, $c] = [mt_rand(1, 100) / 10.0, mt_rand(1, 30) / 10.0, mt_rand(1, 200) / 10.0];
        $left = static fn (float $x): float => $c - $a * $x - $b * $x ** 2;
        [$good, $bad] = [0.0, 50.0];
        foreach (range(1, 200) as $halving) {
            $middle = ($good + $bad) / 2.0;
            $left($middle) >= 0.0 ? $good = $middle : $bad = $middle;
        }
        expect(FalsePosition::last($left, 0.0, 50.0, 1e-7))->toEqualWithDelta($good, 1e-6);
    }
});
