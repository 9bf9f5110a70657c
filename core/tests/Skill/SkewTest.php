<?php

declare(strict_types=1);

use NobleTurn\Core\Record\Outcome;
use NobleTurn\Core\Record\StepMark;
use NobleTurn\Core\Rules\GreatBritain;
use NobleTurn\Core\Skill\Evidence;
use NobleTurn\Core\Skill\Fit;
use NobleTurn\Core\Skill\Ladder;
use NobleTurn\Core\Skill\Linear;
use NobleTurn\Core\Skill\Model;
use NobleTurn\Core\Skill\Parts;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/*
 * The mean beside the mode, held against draws of the whole posterior, weighed by how much likelier it is there than where they were drawn from
 * (importance sampling; J. Geweke, "Bayesian inference in econometric models using Monte Carlo integration", Econometrica 57 (1989), from memory). A
 * second implementation: every part in one dense matrix, nothing eliminated.
 */

/** @return list<Evidence> one lesson: rounds in turn of a few routines, each step's marks as the pattern has them */
function skewMarks(array $routines, array $steps, array $pattern, int $rounds): array
{
    $at = new DateTimeImmutable('2026-03-02T10:00:00Z');
    $marks = [];
    foreach (range(0, $rounds - 1) as $round) {
        foreach ($routines as $r => $routine) {
            foreach ($steps as $s => $step) {
                $rank = $pattern[(3 * $round + 5 * $r + 7 * $s) % count($pattern)];
                $marks[] = new Evidence('l1', $at, $routine, $step, new StepMark(Outcome::cases()[$rank]));
                $at = $at->modify('+1 second');
            }
        }
    }

    return $marks;
}

/** The marks as rows of one dense regression: which parts each tells of, and where it starts. */
function denseRows(array $marks, Model $model): array
{
    $parts = new Parts(new GreatBritain, $model);
    $index = $prior = $rows = $cells = $before = [];
    $place = static function (string $name, float $sd) use (&$index, &$prior): int {
        if (! isset($index[$name])) {
            $index[$name] = count($index);
            $prior[] = 1.0 / $sd ** 2;
        }

        return $index[$name];
    };
    $place(Parts::PRACTICE, $model->practiceDiffers);
    $driven = array_count_values(array_map(static fn (Evidence $one): string => $one->cell(), $marks));
    foreach ($marks as $one) {
        $cell = $one->cell();
        $made = [$place("own {$cell}", $model->cell) => 1.0];
        foreach ($parts->of($one->routine, $one->step, $one->turnedTo()) as $name => $sd) {
            $made[$place($name, $sd)] = 1.0;
        }
        $grown = log((1.0 + $driven[$cell]) / (1.0 + ($before[$cell] ?? 0)));
        $before[$cell] = ($before[$cell] ?? 0) + 1;
        $cells[$cell] = ['made' => $made, 'routine' => $one->routine, 'step' => $one->step];
        $rows[] = ['rank' => $one->rank, 'offset' => $model->start - $model->practice * $grown, 'on' => $made + [0 => -$grown]];
    }

    return [$rows, $prior, $cells];
}

function denseAbility(array $row, array $at): float
{
    $ability = $row['offset'];
    foreach ($row['on'] as $i => $x) {
        $ability += $x * $at[$i];
    }

    return $ability;
}

/** @return array{list<float>, Linear} the mode by Newton's method, and the curvature there */
function denseMode(array $rows, array $prior): array
{
    $at = array_fill(0, count($prior), 0.0);
    for ($round = 0; $round < 50; $round++) {
        $gradient = array_map(static fn (float $precision, float $value): float => -$precision * $value, $prior, $at);
        $matrix = array_map(static fn (int $i): array => array_replace(array_fill(0, count($prior), 0.0), [$i => $prior[$i]]), array_keys($prior));
        foreach ($rows as $row) {
            [$slope, $bend] = Ladder::derivatives($row['rank'], denseAbility($row, $at));
            foreach ($row['on'] as $i => $x) {
                $gradient[$i] += $x * $slope;
                foreach ($row['on'] as $j => $y) {
                    $matrix[$i][$j] += $x * $y * $bend;
                }
            }
        }
        $system = Linear::of($matrix);
        foreach ($system->solve($gradient) as $i => $by) {
            $at[$i] += max(-1.5, min(1.5, $by));
        }
    }

    return [$at, $system];
}

/** @return array<string, float> by cell: its mean over the whole posterior */
function weighedMeans(array $rows, array $prior, array $cells, array $mode, Linear $system, Closure $normal, int $draws): array
{
    $logs = $each = [];
    for ($i = 0; $i < $draws; $i++) {
        $standard = array_map(static fn (): float => $normal(), $prior);
        $by = $system->drawn($standard);
        $at = array_map(static fn (float $from, float $off): float => $from + $off, $mode, $by);
        $log = 0.5 * array_sum(array_map(static fn (float $x): float => $x * $x, $standard));
        foreach ($at as $j => $value) {
            $log -= 0.5 * $prior[$j] * $value ** 2;
        }
        foreach ($rows as $row) {
            $ability = denseAbility($row, $at);
            $log += log(Ladder::atLeast($row['rank'], $ability) - Ladder::atLeast($row['rank'] + 1, $ability));
        }
        $logs[] = $log;
        $each[] = array_map(static fn (array $cell): float => array_sum(array_map(static fn (int $j): float => $at[$j], array_keys($cell['made']))), $cells);
    }
    $most = max($logs);
    $weights = array_map(static fn (float $log): float => exp($log - $most), $logs);
    // Where a few draws weigh more than all the rest, nothing is known.
    expect(array_sum($weights) ** 2 / array_sum(array_map(static fn (float $weight): float => $weight ** 2, $weights)))->toBeGreaterThan(0.04 * $draws);

    return array_map(static fn (string $cell): float => array_sum(array_map(
        static fn (float $weight, array $of): float => $weight * $of[$cell], $weights, $each,
    )) / array_sum($weights), array_combine(array_keys($cells), array_keys($cells)));
}

it('lies where the whole of what somebody may be like has its middle, and the mode does not', function (array $pattern, int $rounds, int $leans): void {
    $model = new Model;
    $steps = [Step::Mirrors, Step::Speed, Step::Look];
    $marks = skewMarks([RoutineCode::TurnLeft, RoutineCode::TurnRight, RoutineCode::EmergeLeft], $steps, $pattern, $rounds);
    $fit = Fit::of($marks, new GreatBritain, $marks[count($marks) - 1]->at);
    [$rows, $prior, $cells] = denseRows($marks, $model);
    [$mode, $system] = denseMode($rows, $prior);
    $means = weighedMeans($rows, $prior, $cells, $mode, $system, normals(12), 12_000);
    $normal = normals(3);
    $skew = $fit->skew();
    $drawn = [];
    for ($i = 0; $i < 4_000; $i++) {
        $one = $fit->drawn($normal, $skew);
        foreach ($cells as $cell => $of) {
            $drawn[$cell][] = $one->stands($of['routine'], $of['step']) - $model->start;
        }
    }
    $offMode = $offMean = $apart = 0.0;
    foreach ($cells as $cell => $of) {
        $likeliest = $fit->stands($of['routine'], $of['step'])->mean - $model->start;
        // Eliminating the cells' own parts changes nothing.
        expect(array_sum(array_map(static fn (int $j): float => $mode[$j], array_keys($of['made']))))->toEqualWithDelta($likeliest, 2e-3);
        $mean = array_sum($drawn[$cell]) / count($drawn[$cell]);
        $apart += $means[$cell] - $likeliest;
        $offMode += abs($means[$cell] - $likeliest);
        $offMean += abs($means[$cell] - $mean);
    }
    expect($apart <=> 0.0)->toBe($leans)->and($offMean)->toBeLessThan(0.4 * $offMode);
})->with([
    'nearly all unaided' => [[4, 4, 4, 4, 4, 4, 3, 4, 4, 4, 4], 5, 1],
    'all unaided' => [[4], 4, 1],
    'nearly all by the hand' => [[0, 0, 0, 0, 1, 0, 0], 4, -1],
]);

it('is nothing where nothing was marked, and on the other side where the marks are the other way round', function (): void {
    $today = new DateTimeImmutable('2026-03-02T12:00:00Z');
    $none = Fit::of([], new GreatBritain, $today)->skew();
    expect($none->shared)->toBe([])->and($none->own)->toBe([]);
    // The rungs are not the same way up and down: the turn is about the middle of the ladder.
    foreach ([-3.0, -0.7, 0.4, 2.2] as $off) {
        foreach (range(0, Ladder::TOP) as $rank) {
            $slope = static fn (float $eta): float => Ladder::derivatives($rank, $eta)[1];
            expect(Ladder::third($rank, $off))->toEqualWithDelta(-($slope($off + 1e-4) - $slope($off - 1e-4)) / 2e-4, 1e-6);
        }
    }
});
