<?php

declare(strict_types=1);

use NobleTurn\Core\Record\Conditions;
use NobleTurn\Core\Record\Hours;
use NobleTurn\Core\Rules\GreatBritain;
use NobleTurn\Core\School\Failure;
use NobleTurn\Core\School\PlaceDriven;
use NobleTurn\Core\School\RoutineTaught;
use NobleTurn\Core\School\Share;
use NobleTurn\Core\Tests\Approaches;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

it('gives shares the interval whose ends a test would just not refuse (Wilson 1927, from memory: the score equation)', function (): void {
    foreach ([[0, 1], [1, 1], [0, 10], [3, 10], [50, 100], [997, 1000]] as [$count, $of]) {
        $share = new Share($count, $of);
        foreach ([$share->low, $share->high] as $end) {
            $apart = abs($count / $of - $end);
            // |p^ - p| = z sqrt(p (1 - p) / n), z leaving a tenth on either side.
            expect($apart)->toEqualWithDelta(1.2815515655 * sqrt($end * (1.0 - $end) / $of), 1e-9);
        }
        expect($share->low)->toBeLessThanOrEqual($count / $of)->and($share->high)->toBeGreaterThanOrEqual($count / $of);
    }
    expect(new Share(0, 0))->low->toBe(0.0)->high->toBe(1.0)->and(fn () => new Share(3, 2))->toThrow(InvalidArgumentException::class);
});

it('orders routines by learners, each counted once, and makes no order of few', function (): void {
    $learner = static fn (array $cells, array $shown = []): array => ['cells' => $cells, 'shown' => $shown];
    $learners = [
        // Five who drove left turns, the weakest at position; one of them has twice as many cells and counts no more.
        ...array_map(static fn (float $at): array => $learner(['turn-left' => ['position' => $at - 0.2, 'look' => $at + 0.2]]), [0.5, 0.6, 0.7, 0.8]),
        $learner(['turn-left' => ['position' => 0.5, 'look' => 0.9], 'turn-right' => ['look' => 0.1]]),
        $learner([], ['turn-right']),
    ];
    $taught = RoutineTaught::of([RoutineCode::TurnRight, RoutineCode::EmergeLeft, RoutineCode::TurnLeft], $learners);
    expect(array_map(fn (RoutineTaught $one): string => $one->routine->value, $taught))->toBe(['turn-left', 'turn-right', 'emerge-left']);
    [$left, $right, $never] = $taught;
    // By hand: the average of .5 .6 .7 .8 .7 is .66, their variance .013, the half range 1.28155 sqrt(.013 / 5).
    expect($left)->average->toEqualWithDelta(0.66, 1e-12)->low->toEqualWithDelta(
        0.66 - 1.2815515655 * sqrt(0.013 / 5), 1e-9,
    )->weakest->toBe('position')->never->toBe(1)
        ->and([$right->learners, $right->onlyShown, $right->never, $right->low, $right->isEnough()])->toBe([1, 1, 4, null, false])
        ->and([$never->learners, $never->never, $never->average])->toBe([0, 6, null]);
});

it('sets a cause beside how often it was off where the step went well', function (): void {
    $steps = [
        ['routine' => 'emerge-right', 'step' => 'position', 'marks' => 40, 'helped' => 20, 'learners' => 4],
        ['routine' => 'emerge-right', 'step' => 'mirrors', 'marks' => 40, 'helped' => 30, 'learners' => 2],
        ['routine' => 'hump', 'step' => 'signal', 'marks' => 40, 'helped' => 40, 'learners' => 9],
    ];
    $pair = fn (bool $helped, int $rounds, int $other): array => [
        'routine' => 'emerge-right', 'step' => 'position', 'other' => 'signal', 'helped' => $helped, 'rounds' => $rounds, 'other_helped' => $other,
    ];
    [$position, $mirrors] = $found = Failure::of($steps, [$pair(true, 18, 15), $pair(false, 19, 2)], new GreatBritain);
    // A hump has no signal; two learners are no pattern, however often.
    expect($found)->toHaveCount(2)->and([$position->step, $position->isEnough(), $mirrors->isEnough()])->toBe([Step::Position, true, false])
        ->and([$position->cause, $position->with->count, $position->with->of, $position->without->count])->toBe([Step::Signal, 15, 18, 2])
        ->and([$position->causeShows(), $mirrors->causeShows()])->toBe([true, false])->and($mirrors->cause)->toBeNull();
});

it('sets a place beside the same routine elsewhere', function (): void {
    $place = fn (string $name, int $rounds, int $failed, int $learners = 4, string $routine = 'emerge-right'): array => [
        'place' => $name, 'routine' => $routine, 'rounds' => $rounds, 'failed' => $failed, 'learners' => $learners,
    ];
    $found = PlaceDriven::of([$place('even', 40, 10), $place('hard', 40, 30), $place('new', 5, 5), $place('other', 40, 0, 4, 'turn-left')], [
        ['place' => 'hard', 'routine' => 'emerge-right', 'step' => 'look', 'failed' => 20],
        ['place' => 'hard', 'routine' => 'emerge-right', 'step' => 'speed', 'failed' => 21],
    ]);
    expect(array_map(fn (PlaceDriven $one): array => [$one->place, $one->isEnough(), $one->failsMore(), $one->elsewhere->of], $found))
        ->toBe([['hard', true, true, 45], ['even', true, false, 45], ['other', true, false, 0], ['new', false, false, 80]])
        ->and([$found[0]->step, $found[0]->stepRounds])->toBe([Step::Speed, 21]);
});

it('spreads time over conditions so that every kind adds up to the whole', function (): void {
    foreach (range(1, 30) as $seed) {
        $draw = new Approaches($seed);
        $lessons = array_map(fn (): array => ['minutes' => $draw->number(30.0, 120.0), 'rounds' => array_map(fn (): Conditions => Conditions::of([
            'traffic' => $draw->one(['quiet', 'busy', 'loud', null]), 'light' => $draw->one(['day', 'night', 3]),
            'surface' => $draw->one(['wet', []]), 'road' => 'town',
        ]), range(1, (int) $draw->number(1.0, 6.0)))], range(1, 5));
        $lessons[] = ['minutes' => 60.0, 'rounds' => []];
        $hours = Hours::of($lessons);
        foreach ($hours->minutes as $kind) {
            expect(array_sum($kind))->toEqualWithDelta($hours->totalHours, 1e-9)->and(min($kind))->toBeGreaterThanOrEqual(0.0);
        }
        expect($hours->minutes['road'][Hours::NOT_NOTED])->toEqualWithDelta(60.0, 1e-9);
    }
});
