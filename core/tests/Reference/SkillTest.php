<?php

declare(strict_types=1);

use NobleTurn\Core\Record\Conditions;
use NobleTurn\Core\Record\Outcome;
use NobleTurn\Core\Record\StepMark;
use NobleTurn\Core\Rules\GreatBritain;
use NobleTurn\Core\Skill\Belief;
use NobleTurn\Core\Skill\Evidence;
use NobleTurn\Core\Skill\Fit;
use NobleTurn\Core\Skill\Ladder;
use NobleTurn\Core\Skill\Linear;
use NobleTurn\Core\Skill\Mode;
use NobleTurn\Core\Skill\Model;
use NobleTurn\Core\Skill\Overruling;
use NobleTurn\Core\Skill\Parts;
use NobleTurn\Core\Skill\Rows;
use NobleTurn\Core\Tests\Approaches;
use NobleTurn\Core\Tests\SteppingLearner;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Side;
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

/** @return list<array{float, float}> what somebody may gain by practice, and how likely that is: four standard deviations each way */
function practices(Model $model): array
{
    return array_map(
        static fn (int $i): array => [$model->practice + $i / 4.0 * $model->practiceDiffers, exp(-($i / 4.0) ** 2 / 2.0)], range(-16, 16),
    );
}

it('agrees with the exact posterior on a grid where there is one skill only', function (array $outcomes): void {
    $model = new Model;
    $at = new DateTimeImmutable('2026-05-01T10:00:00Z');
    $marks = array_map(
        fn (string $outcome): Evidence => new Evidence('a', $at, RoutineCode::EmergeRight, Step::Position, new StepMark(Outcome::from($outcome))),
        $outcomes,
    );
    $belief = Fit::of($marks, new GreatBritain, $at, $model)->belief(RoutineCode::EmergeRight, Step::Position);
    $variance = $model->learner ** 2 + $model->step ** 2 + $model->routine ** 2 + $model->stepInSection ** 2 + $model->stepOnSide ** 2 + $model->cell ** 2;
    // Marks are read in the order of their rank where they were made at one time.
    $ranks = array_map(fn (Evidence $one): int => $one->rank, $marks);
    sort($ranks);
    [$total, $first, $second] = [0.0, 0.0, 0.0];
    $ability = static fn (float $practice): Closure => static function (float $a) use ($ranks, $model, $variance, $practice): float {
        $density = exp(-($a - $model->start) ** 2 / 2.0 / $variance);
        foreach ($ranks as $before => $rank) {
            $density *= Ladder::probabilities($a - $practice * log((1 + count($ranks)) / (1 + $before)))[$rank];
        }

        return $density;
    };
    for ($a = -15.0; $a <= 15.0; $a += 0.02) {
        $density = 0.0;
        foreach (practices($model) as [$practice, $likely]) {
            $density += $likely * $ability($practice)($a);
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

it('agrees with the exact posterior of two related skills, on a grid of both', function (array $here, array $there, RoutineCode $other, string $like): void {
    // Position at two routines of one section, or turned to one side: what they share makes the covariance of the prior.
    $model = new Model;
    $at = new DateTimeImmutable('2026-05-01T10:00:00Z');
    $mark = fn (RoutineCode $routine): Closure => fn (string $outcome): Evidence => new Evidence(
        'a', $at, $routine, Step::Position, new StepMark(Outcome::from($outcome)),
    );
    $marks = [...array_map($mark(RoutineCode::EmergeRight), $here), ...array_map($mark($other), $there)];
    $fit = Fit::of($marks, new GreatBritain, $at, $model);
    $parts = ['section' => $model->stepInSection ** 2, 'side' => $model->stepOnSide ** 2];
    $shared = $model->learner ** 2 + $model->step ** 2 + $parts[$like];
    $all = $model->learner ** 2 + $model->step ** 2 + array_sum($parts) + $model->routine ** 2 + $model->cell ** 2;
    $determinant = $all ** 2 - $shared ** 2;
    $likelihood = function (array $outcomes, float $practice): Closure {
        $ranks = array_map(fn (string $outcome): int => 4 - Outcome::from($outcome)->stepsFromUnaided(), $outcomes);
        sort($ranks);

        return fn (float $a): float => array_product(array_map(
            fn (int $before, int $rank): float => Ladder::probabilities($a - $practice * log((1 + count($ranks)) / (1 + $before)))[$rank], array_keys($ranks),
            $ranks,
        ));
    };
    [$total, $means, $squares] = [0.0, [0.0, 0.0], [0.0, 0.0]];
    $grid = array_map(static fn (int $i): float => $i / 10.0, range(-100, 100));
    foreach (practices($model) as [$practice, $likely]) {
        $seen = array_map($likelihood($there, $practice), $grid);
        foreach (array_map($likelihood($here, $practice), $grid) as $i => $ofHere) {
            foreach ($seen as $j => $ofThere) {
                [$x, $y] = [$grid[$i] - $model->start, $grid[$j] - $model->start];
                $density = $likely * $ofHere * $ofThere * exp(-($all * $x * $x - 2.0 * $shared * $x * $y + $all * $y * $y) / 2.0 / $determinant);
                $total += $density;
                foreach ([$grid[$i], $grid[$j]] as $of => $value) {
                    $means[$of] += $density * $value;
                    $squares[$of] += $density * $value * $value;
                }
            }
        }
    }
    foreach ([RoutineCode::EmergeRight, $other] as $i => $routine) {
        $mean = $means[$i] / $total;
        $sd = sqrt($squares[$i] / $total - $mean ** 2);
        $belief = $fit->belief($routine, Step::Position);
        expect($belief->mean)->toEqualWithDelta($mean, 0.3 * $sd)->and(sqrt($belief->variance - $model->ofTheDay))->toEqualWithDelta($sd, 0.12 * $sd);
    }
})->with([
    'one unmarked' => [['unaided', 'unaided', 'reminded'], [], RoutineCode::EmergeLeft, 'section'],
    'both alike' => [['prompted', 'reminded'], ['prompted', 'unaided', 'reminded'], RoutineCode::EmergeLeft, 'section'],
    'against each other' => [['unaided', 'unaided', 'unaided'], ['missed', 'prompted', 'missed'], RoutineCode::EmergeLeft, 'section'],
    'of one side' => [['prompted', 'missed', 'prompted'], ['reminded'], RoutineCode::TurnRight, 'side'],
    'of one side, the other unmarked' => [['missed', 'missed'], [], RoutineCode::TurnRight, 'side'],
]);

it('stands at the top of what is likely, with the curvature there: by differences, and inverted whole', function (): void {
    // Two lessons of other learners than the model's, with places, conditions, two markers, a side said, and a word of an instructor.
    $learner = new SteppingLearner(new Approaches(31));
    $marks = [];
    foreach ([...$learner->drive(5), ...$learner->drive(4)] as $i => $one) {
        $marks[] = new Evidence(
            $one->lesson, $one->at, $one->routine, $one->step, $one->mark, new Conditions(['quiet', 'busy'][$i % 2], 'night'), ['Ada', 'Ben', null][$i % 3],
            $i % 7 === 0, ['here', 'there', null][$i % 3], $i % 5 === 0 ? Side::Left : null,
        );
    }
    [$model, $today] = [new Model, new DateTimeImmutable('2026-02-20T10:00:00Z')];
    $word = new Overruling($marks[3]->at, $marks[3]->routine, $marks[3]->step, 0.8);
    $rows = new Rows($marks, [$word], new Parts(new GreatBritain, $model), $today, $model);
    $mode = new Mode($rows, 1.0 / $model->cell ** 2);
    $cells = array_keys($mode->own);
    $shared = count($mode->shared);
    // Written once more, from what a mark is the sum of.
    $likely = static function (array $x) use ($rows, $mode, $cells, $shared): float {
        $own = array_combine($cells, array_slice($x, $shared));
        $sum = 0.0;
        foreach ($x as $i => $value) {
            $sum -= ($rows->prior[$i] ?? $mode->ownPrior) * $value ** 2 / 2.0;
        }
        foreach ($rows->groups as $group) {
            foreach ($group['rows'] as $row) {
                $eta = $row['offset'] + $own[$group['cell']];
                foreach ($row['more'] + array_fill_keys($group['parts'], 1.0) as $i => $by) {
                    $eta += $by * $x[$i];
                }
                $sum += $row['weight'] * log(Ladder::probabilities($eta)[$row['rank']]);
            }
        }
        foreach ($rows->overrulings as $said) {
            $apart = $said['target'] - $own[$said['cell']];
            foreach ($said['parts'] as $i => $by) {
                $apart -= $by * $x[$i];
            }
            $sum -= $said['precision'] * $apart ** 2 / 2.0;
        }

        return $sum;
    };
    $top = [...$mode->shared, ...array_values($mode->own)];
    $by = static function (int ...$steps) use ($top): array {
        foreach ($steps as $step) {
            $top[abs($step) - 1] += 1e-3 * ($step <=> 0);
        }

        return $top;
    };
    $curvature = [];
    foreach (array_keys($top) as $i) {
        expect(($likely($by($i + 1)) - $likely($by(-$i - 1))) / 2e-3)->toEqualWithDelta(0.0, 1e-3);
        for ($j = 0; $j <= $i; $j++) {
            $curvature[$i][$j] = -($likely($by($i + 1, $j + 1)) - $likely($by($i + 1, -$j - 1)) - $likely($by(-$i - 1, $j + 1)) + $likely($by(-$i - 1,
                -$j - 1))) / 4e-6;
        }
    }
    $whole = Linear::of($curvature);
    $fit = Fit::of($marks, new GreatBritain, $today, $model, [$word]);
    foreach ($cells as $at => $cell) {
        [$routine, $step] = array_map(static fn (string $name, string $enum): mixed => $enum::from($name), explode('.', $cell),
            [RoutineCode::class, Step::class]);
        $sum = array_fill(0, count($top), 0.0);
        $sum[$shared + $at] = 1.0;
        $unmarked = 0.0;
        foreach ((new Parts(new GreatBritain, $model))->of($routine, $step, $routine->turnsTo()) as $name => $sd) {
            isset($rows->index[$name]) ? $sum[$rows->index[$name]] = 1.0 : $unmarked += $sd ** 2;
        }
        $mean = $model->start + array_sum(array_map(static fn (float $x, float $y): float => $x * $y, $sum, $top));
        expect($fit->stands($routine, $step)->mean)->toEqualWithDelta($mean, 1e-9)
            ->and($fit->stands($routine, $step)->variance)->toEqualWithDelta($whole->quadratic($sum) + $unmarked, 1e-4);
    }
    expect($cells)->not->toHaveCount(0)->and($rows->index)->toHaveKeys([Parts::PRACTICE, 'marker Ada', 'place here', 'load traffic', 'look on the left']);
});
