<?php

declare(strict_types=1);

use NobleTurn\Core\Rules\GreatBritain;
use NobleTurn\Core\Skill\Evidence;
use NobleTurn\Core\Skill\Fit;
use NobleTurn\Core\Tests\Approaches;
use NobleTurn\Core\Tests\Simulation;
use NobleTurn\Core\Tests\SteppingFilter;
use NobleTurn\Core\Tests\SteppingLearner;
use NobleTurn\Core\Tests\SteppingPopulation;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/* Learners of another form than the model: cells that jump between a few states, days of form, falling back after a pause, slips and guesses. */

it('goes more than half of the way from the best of the simple baselines to a filter that knows how such learners work',
    function (SteppingPopulation $people, float $least = 0.5): void {
        $loss = ['model' => 0.0, 'last mark' => 0.0, 'moving average' => 0.0, 'all marks' => 0.0, 'filter' => 0.0];
        $marks = 0;
        for ($i = 0; $i < 40; $i++) {
            [$learner, $filter] = [new SteppingLearner(new Approaches(Simulation::UNSEEN + 90_000 + $i), $people), new SteppingFilter($people)];
            for ($lesson = 0; $lesson < 2 + $i % 10; $lesson++) {
                $filter->learn($learner->drive(15));
            }
            $before = $learner->evidence;
            $next = $learner->drive(15);
            $fit = Fit::of($before, new GreatBritain, $next[0]->at);
            $seen = $byCell = [];
            foreach ($before as $one) {
                $byCell[$one->cell()][] = $seen[] = $one->rank;
            }
            foreach ($next as $one) {
                $history = $byCell[$one->cell()] ?? [];
                foreach ([
                    'model' => $fit->foretells($one->routine, $one->step, $one->conditions),
                    'last mark' => Simulation::smoothed(array_slice($history, -1), $seen, 1.0),
                    'moving average' => Simulation::smoothed(array_slice($history, -6), $seen, 2.0),
                    'all marks' => Simulation::smoothed($history, $seen, 2.0), 'filter' => $filter->foretells($one),
                ] as $name => $chances) {
                    $loss[$name] -= log($chances[$one->rank]);
                }
                $marks++;
            }
        }
        $best = min($loss['last mark'], $loss['moving average'], $loss['all marks']);
        $way = ($best - $loss['model']) / ($best - $loss['filter']);
        Simulation::printed(sprintf('%s: %.2f of the way', implode(', ', array_map(
            static fn (string $name, float $sum): string => sprintf('%s %.4f', $name, $sum / $marks), array_keys($loss), $loss,
        )), $way));
        expect($way)->toBeGreaterThan($least)->toBeLessThan(1.0);
    })->with([
        'as they are assumed' => [new SteppingPopulation],
        'all alike to begin with' => [new SteppingPopulation(begins: [[0.45, 0.35, 0.15, 0.05]], came: [1.0], climbs: [0.1])],
        'of three states' => [new SteppingPopulation(
            [[0.30, 0.40, 0.15, 0.10, 0.05], [0.03, 0.12, 0.30, 0.30, 0.25], [0.01, 0.02, 0.05, 0.12, 0.80]], [[0.7, 0.25, 0.05], [0.3, 0.5, 0.2]], [0.5, 0.5],
            [0.04, 0.15],
        )],
        // The furthest from the model that was tried: nothing between not knowing it and knowing it. Not quite half.
        'of two states, slow to climb' => [new SteppingPopulation(
            [[0.2, 0.3, 0.25, 0.15, 0.1], [0.02, 0.04, 0.06, 0.13, 0.75]], [[0.9, 0.1], [0.5, 0.5]], [0.5, 0.5], [0.03, 0.1],
        ), 0.4],
        'of five states' => [new SteppingPopulation(
            [[0.45, 0.35, 0.1, 0.05, 0.05], [0.15, 0.4, 0.25, 0.12, 0.08], [0.05, 0.15, 0.35, 0.25, 0.2], [0.02, 0.05, 0.13, 0.3, 0.5],
                [0.01, 0.01, 0.03, 0.07, 0.88]],
            [[0.6, 0.3, 0.1, 0.0, 0.0], [0.2, 0.3, 0.3, 0.15, 0.05], [0.0, 0.1, 0.3, 0.3, 0.3]], [0.4, 0.4, 0.2], [0.06, 0.15, 0.3], falls: 0.3, pause: 30.0,
        )],
        'moody, and quick to forget' => [new SteppingPopulation(days: [0.35, 0.30, 0.35], byTheDay: 0.7, falls: 0.6, pause: 20.0)],
    ]);

it('knows a filter that is right about its own learners: what it foretells comes about as often as it says', function (): void {
    $bins = array_fill(0, 10, [0.0, 0]);
    $sum = array_fill(0, 10, 0.0);
    for ($i = 0; $i < 60; $i++) {
        [$learner, $filter] = [new SteppingLearner(new Approaches(Simulation::UNSEEN + 95_000 + $i)), new SteppingFilter];
        for ($lesson = 0; $lesson < 5; $lesson++) {
            $filter->learn($learner->drive(15));
        }
        foreach ($learner->drive(15) as $one) {
            $chances = $filter->foretells($one);
            expect(array_sum($chances))->toEqualWithDelta(1.0, 1e-9);
            $bin = min(9, (int) ($chances[4] * 10));
            $bins[$bin][0] += (int) ($one->rank === 4);
            $bins[$bin][1]++;
            $sum[$bin] += $chances[4];
        }
    }
    foreach ($bins as $bin => [$came, $of]) {
        // Within three standard deviations, and a little for the day that a whole lesson has in common.
        $p = $of === 0 ? 0.0 : $sum[$bin] / $of;
        expect($of < 100 || abs($came / $of - $p) < 3.0 * sqrt($p * (1.0 - $p) / $of) + 0.03)->toBeTrue("bin {$bin}: {$came} of {$of}, foretold {$p}");
    }
});

it('holds both generators to their word: the same seed is the same learner, and each jumps as it says', function (): void {
    $of = static fn (int $seed): array => array_map(static fn (Evidence $one): int => $one->rank, (new SteppingLearner(new Approaches($seed)))->drive(15));
    expect($of(7))->toBe($of(7))->and($of(7))->not->toBe($of(8));
    // Who is driven for long enough ends up as well as anybody can.
    $learner = new SteppingLearner(new Approaches(9), new SteppingPopulation(falls: 0.0));
    for ($lesson = 0; $lesson < 60; $lesson++) {
        $last = $learner->drive(30);
    }
    expect(count(array_filter($last, static fn (Evidence $one): bool => $one->rank === 4)) / count($last))->toBeGreaterThan(0.6)
        ->and(Fit::of($learner->evidence, new GreatBritain, $learner->now)->belief(RoutineCode::TurnLeft, Step::Look)->unaided())->toBeGreaterThan(0.6);
});
