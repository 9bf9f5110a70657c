<?php

declare(strict_types=1);

use NobleTurn\Core\Record\Outcome;
use NobleTurn\Core\Record\StepMark;
use NobleTurn\Core\Rules\GreatBritain;
use NobleTurn\Core\Skill\Belief;
use NobleTurn\Core\Skill\Evidence;
use NobleTurn\Core\Skill\Fit;
use NobleTurn\Core\Skill\Ladder;
use NobleTurn\Core\Skill\Linear;
use NobleTurn\Core\Skill\Model;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

it('has the derivatives of its likelihood, by differences', function (): void {
    foreach (range(0, 4) as $rank) {
        foreach ([-4.0, -1.0, 0.0, 0.7, 3.0] as $eta) {
            $log = fn (float $at): float => log(Ladder::probabilities($at)[$rank]);
            expect(Ladder::derivatives($rank, $eta)[0])->toEqualWithDelta(($log($eta + 1e-4) - $log($eta - 1e-4)) / 2e-4, 1e-5)
                ->and(Ladder::derivatives($rank, $eta)[1])->toEqualWithDelta(-($log($eta + 1e-3) - 2.0 * $log($eta) + $log($eta - 1e-3)) / 1e-6, 1e-4)
                ->and(array_sum(Ladder::probabilities($eta)))->toEqualWithDelta(1.0, 1e-9);
        }
    }
});

it('averages over its uncertainty as Simpson’s rule does', function (): void {
    foreach ([[-1.0, 0.3], [0.5, 1.5], [2.0, 4.0]] as [$mean, $variance]) {
        $sd = sqrt($variance);
        [$sum, $n] = [array_fill(0, 5, 0.0), 2000];
        for ($i = 0; $i <= $n; $i++) {
            $x = $mean + $sd * 8.0 * (2.0 * $i / $n - 1.0);
            $weight = (
                $i === 0 || $i === $n
                    ? 1.0
                    : ($i % 2 === 1 ? 4.0 : 2.0)
            ) * 16.0 * $sd / $n / 3.0 * exp(-($x - $mean) ** 2 / 2.0 / $variance) / sqrt(2.0 * M_PI * $variance);
            foreach (Ladder::probabilities($x) as $rank => $p) {
                $sum[$rank] += $weight * $p;
            }
        }
        foreach ((new Belief($mean, $variance))->outcomes() as $rank => $p) {
            expect($p)->toEqualWithDelta($sum[$rank], 0.002);
        }
        // Ten per cent lie above the upper end: the normal quantile 1.2815515655 (published tables).
        [$low, $high] = (new Belief($mean, $variance))->range();
        expect(log($high / (1.0 - $high)))->toEqualWithDelta($mean + 1.2815515655 * $sd, 1e-6)->and($low)->toBeLessThan($high);
    }
});

it('solves what a hand solves', function (): void {
    // [[4, 2], [2, 3]] x = [2, 5] has x = [-1/2, 2]; its inverse is [[3, -2], [-2, 4]] / 8.
    $system = Linear::of([[4.0, 2.0], [2.0, 3.0]]);
    expect($system->solve([2.0, 5.0]))->toEqualWithDelta([-0.5, 2.0], 1e-12)->and($system->quadratic([1.0, 1.0]))->toEqualWithDelta(3.0 / 8.0, 1e-12);
});

it('agrees with the exact posterior on a grid where there is one skill only', function (array $outcomes): void {
    $model = new Model;
    $at = new DateTimeImmutable('2026-05-01T10:00:00Z');
    $marks = array_map(
        fn (string $outcome): Evidence => new Evidence('a', $at, RoutineCode::EmergeRight, Step::Position, new StepMark(Outcome::from($outcome))),
        $outcomes,
    );
    $belief = Fit::of($marks, new GreatBritain, $at, $model)->belief(RoutineCode::EmergeRight, Step::Position);
    $variance = $model->learner ** 2 + $model->step ** 2 + $model->routine ** 2 + $model->stepInSection ** 2 + $model->cell ** 2;
    // Marks are read in the order of their rank where they were made at one time.
    $ranks = array_map(fn (Evidence $one): int => $one->rank, $marks);
    sort($ranks);
    [$total, $first, $second] = [0.0, 0.0, 0.0];
    for ($a = -15.0; $a <= 15.0; $a += 0.005) {
        $density = exp(-($a - $model->start) ** 2 / 2.0 / $variance);
        foreach ($ranks as $before => $rank) {
            $density *= Ladder::probabilities($a - $model->practice * log((1 + count($ranks)) / (1 + $before)))[$rank];
        }
        $total += $density;
        $first += $density * $a;
        $second += $density * $a * $a;
    }
    $mean = $first / $total;
    $sd = sqrt($second / $total - $mean ** 2);
    // The mode stands for the mean, its curvature for the spread: within a quarter and a tenth of the spread.
    expect($belief->mean)->toEqualWithDelta($mean, 0.25 * $sd)->and(sqrt($belief->variance - $model->ofTheDay))->toEqualWithDelta($sd, 0.1 * $sd);
})->with([[['unaided']], [['intervened']], [['prompted', 'reminded', 'unaided']], [['unaided', 'unaided', 'unaided', 'unaided']],
    [['missed', 'unaided', 'missed', 'unaided', 'reminded', 'reminded']]]);

it('agrees with the exact posterior of two related skills, on a grid of both', function (array $here, array $there): void {
    // Position at two routines of one section: what they share makes the covariance of the prior.
    $model = new Model;
    $at = new DateTimeImmutable('2026-05-01T10:00:00Z');
    $mark = fn (RoutineCode $routine): Closure => fn (string $outcome): Evidence => new Evidence(
        'a', $at, $routine, Step::Position, new StepMark(Outcome::from($outcome)),
    );
    $marks = [...array_map($mark(RoutineCode::EmergeRight), $here), ...array_map($mark(RoutineCode::EmergeLeft), $there)];
    $fit = Fit::of($marks, new GreatBritain, $at, $model);
    $shared = $model->learner ** 2 + $model->step ** 2 + $model->stepInSection ** 2;
    $all = $shared + $model->routine ** 2 + $model->cell ** 2;
    $determinant = $all ** 2 - $shared ** 2;
    $likelihood = function (array $outcomes) use ($model): Closure {
        $ranks = array_map(fn (string $outcome): int => 4 - Outcome::from($outcome)->stepsFromUnaided(), $outcomes);
        sort($ranks);

        return fn (float $a): float => array_product(
            array_map(
                fn (int $before, int $rank): float => Ladder::probabilities($a - $model->practice * log((1 + count($ranks)) / (1 + $before)))[$rank],
                array_keys($ranks), $ranks,
            ),
        );
    };
    [$ofHere, $ofThere] = [$likelihood($here), $likelihood($there)];
    [$total, $means, $squares] = [0.0, [0.0, 0.0], [0.0, 0.0]];
    $seen = [];
    for ($b = -10.0; $b <= 10.0; $b += 0.05) {
        $seen[] = [$b, $ofThere($b)];
    }
    for ($a = -10.0; $a <= 10.0; $a += 0.05) {
        $here = $ofHere($a);
        foreach ($seen as [$b, $there]) {
            [$x, $y] = [$a - $model->start, $b - $model->start];
            $density = $here * $there * exp(-($all * $x * $x - 2.0 * $shared * $x * $y + $all * $y * $y) / 2.0 / $determinant);
            $total += $density;
            foreach ([$a, $b] as $i => $value) {
                $means[$i] += $density * $value;
                $squares[$i] += $density * $value * $value;
            }
        }
    }
    foreach ([RoutineCode::EmergeRight, RoutineCode::EmergeLeft] as $i => $routine) {
        $mean = $means[$i] / $total;
        $sd = sqrt($squares[$i] / $total - $mean ** 2);
        $belief = $fit->belief($routine, Step::Position);
        expect($belief->mean)->toEqualWithDelta($mean, 0.3 * $sd)->and(sqrt($belief->variance - $model->ofTheDay))->toEqualWithDelta($sd, 0.12 * $sd);
    }
})->with([
    'one unmarked' => [['unaided', 'unaided', 'reminded'], []],
    'both alike' => [['prompted', 'reminded'], ['prompted', 'unaided', 'reminded']],
    'against each other' => [['unaided', 'unaided', 'unaided'], ['missed', 'prompted', 'missed']],
]);
