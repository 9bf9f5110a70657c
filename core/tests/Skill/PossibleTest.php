<?php

declare(strict_types=1);

use NobleTurn\Core\Rules\GreatBritain;
use NobleTurn\Core\Skill\Fit;
use NobleTurn\Core\Skill\Linear;
use NobleTurn\Core\Tests\Approaches;
use NobleTurn\Core\Tests\SteppingLearner;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;
use Random\Engine\Mt19937;
use Random\Randomizer;

/* Learners drawn from what the marks say: of the mean and spread that is believed, and hanging together as the parts do. */

/** Box and Muller, "A note on the generation of random normal deviates", Annals of Mathematical Statistics 29 (1958). */
function normals(int $seed): Closure
{
    $chance = new Randomizer(new Mt19937($seed));
    $one = static fn (): float => ($chance->getInt(0, 1_000_000_000) + 0.5) / 1_000_000_001;

    return static fn (): float => sqrt(-2.0 * log($one())) * cos(2.0 * M_PI * $one());
}

/** @param  list<float>  $a  @param  list<float>  $b */
function covariance(array $a, array $b): float
{
    [$meanA, $meanB] = [array_sum($a) / count($a), array_sum($b) / count($b)];

    return array_sum(array_map(static fn (float $x, float $y): float => ($x - $meanA) * ($y - $meanB), $a, $b)) / count($a);
}

it('draws with the covariance that is the inverse of the matrix', function (): void {
    $matrix = [[4.0, 1.0, 0.5], [1.0, 3.0, -0.8], [0.5, -0.8, 2.0]];
    $system = Linear::of($matrix);
    $normal = normals(5);
    $draws = array_map(static fn (): array => $system->drawn([$normal(), $normal(), $normal()]), range(1, 30_000));
    foreach ([0, 1, 2] as $i) {
        foreach ([0, 1, 2] as $j) {
            $unit = static fn (int $at): array => array_replace([0.0, 0.0, 0.0], [$at => 1.0]);
            expect(covariance(array_column($draws, $i), array_column($draws, $j)))->toEqualWithDelta($system->between($unit($i), $unit($j)), 0.012);
        }
    }
});

it('is, over many, what is believed of each step, and hangs together where parts are shared', function (): void {
    $learner = new SteppingLearner(new Approaches(4));
    foreach (range(1, 4) as $lesson) {
        $learner->drive(10);
    }
    $fit = Fit::of($learner->evidence, new GreatBritain, $learner->now);
    $normal = normals(9);
    // Around what is likeliest; by how much the mean lies beside it is held in SkewTest.
    $none = Fit::of([], new GreatBritain, $learner->now)->skew();
    $cells = [
        [RoutineCode::TurnLeft, Step::Look], [RoutineCode::TurnRight, Step::Look], [RoutineCode::BayIn, Step::Look], [RoutineCode::BayIn, Step::Position],
    ];
    $drawn = [];
    $practice = [];
    for ($i = 0; $i < 6_000; $i++) {
        $one = $fit->drawn($normal, $none);
        foreach ($cells as $at => [$routine, $step]) {
            $drawn[$at][] = $one->stands($routine, $step);
            // The same learner is asked twice.
            expect($one->stands($routine, $step))->toBe($drawn[$at][$i]);
        }
        $practice[] = $one->practice();
    }
    foreach ($cells as $at => [$routine, $step]) {
        $believed = $fit->stands($routine, $step);
        expect(array_sum($drawn[$at]) / 6_000)->toEqualWithDelta($believed->mean, 5.0 * sqrt($believed->variance / 6_000))
            ->and(covariance($drawn[$at], $drawn[$at]) / $believed->variance)->toBeGreaterThan(0.9)->toBeLessThan(1.1);
    }
    $related = static fn (int $a, int $b): float => covariance($drawn[$a], $drawn[$b])
        / sqrt(covariance($drawn[$a], $drawn[$a]) * covariance($drawn[$b], $drawn[$b]));
    // A routine nobody has marked: its steps go together.
    expect($related(2, 3))->toBeGreaterThan(0.05)->and(array_sum($practice) / 6_000)->toEqualWithDelta($fit->practice(), 0.02)
        ->and(min($practice))->toBeGreaterThanOrEqual(0.0);
});
