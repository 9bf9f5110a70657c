<?php

declare(strict_types=1);

use NobleTurn\Core\Record\Count;
use NobleTurn\Core\Record\Counted;
use NobleTurn\Core\Record\MarkedRound;
use NobleTurn\Core\Record\Outcome;
use NobleTurn\Core\Record\StepMark;
use NobleTurn\Core\Record\Taught;
use NobleTurn\Core\Skill\HabitKept;
use NobleTurn\Core\Skill\Habits;
use NobleTurn\Core\Skill\LessonCounts;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/** @param  list<array{Counted, int, float}>  $counts */
function countedRound(string $lesson, RoutineCode $routine, array $counts): MarkedRound
{
    return new MarkedRound($lesson, new DateTimeImmutable('2026-05-20T10:00Z'), $routine, [], counts: array_map(
        static fn (array $count): Count => new Count(...$count), $counts,
    ));
}

function needs(?float $seconds): Closure
{
    return static fn (RoutineCode $routine): ?float => $seconds;
}

it('adds the stretches of a lesson up to one rate of rear looks, and says over lessons whether it changed', function (): void {
    $stretch = static fn (string $lesson, int $looks, float $seconds): MarkedRound => countedRound(
        $lesson, RoutineCode::BetweenHazards, [[Counted::RearLooks, $looks, $seconds]],
    );
    $habits = Habits::of([$stretch('a', 4, 120.0), $stretch('a', 2, 60.0), $stretch('b', 7, 180.0)], needs(null));
    expect($habits->lessons)->toHaveCount(2)->and($habits->lessons[0]->rearLooks->estimate)->toEqualWithDelta(2.0, 1e-9)
        ->and($habits->change()['more'])->toBeNull()->and($habits->change()['message'])->toContain('2.0 a minute then, 2.3 now');
    expect(Habits::of([$stretch('a', 6, 180.0), $stretch('b', 24, 180.0)], needs(null))->change()['more'])->toBeTrue()
        ->and(Habits::of([$stretch('a', 24, 180.0), $stretch('b', 6, 180.0)], needs(null))->change()['more'])->toBeFalse()
        ->and(Habits::of([$stretch('a', 24, 180.0)], needs(null))->change()['message'])->toContain('one lesson')
        ->and(Habits::of([], needs(null))->change()['message'])->toBe('Not counted yet.');
});

it('says of each lesson in how many stretches speed was kept, signals were right and the car steady, and what it was where not', function (): void {
    $stretch = static fn (string $lesson, array $marks, ?Taught $taught = null, RoutineCode $of = RoutineCode::BetweenHazards): MarkedRound => new MarkedRound(
        $lesson, new DateTimeImmutable('2026-05-20T10:00Z'), $of, $marks, $taught,
    );
    $clean = new StepMark(Outcome::Unaided);
    $fault = static fn (string $kind): StepMark => new StepMark(Outcome::Reminded, fault: $kind);
    $habits = Habits::of([
        $stretch('a', ['signal' => $fault('misleads'), 'speed' => $clean]), $stretch('a', ['signal' => $fault('missing')]),
        $stretch('a', ['signal' => $fault('misleads'), 'speed' => $fault('too-slow')]), $stretch('a', ['signal' => $clean]),
        // What was shown says nothing of the learner; another routine is no stretch.
        $stretch('a', ['signal' => $fault('late')], Taught::Shown), $stretch('a', ['signal' => $fault('late')], of: RoutineCode::TurnLeft),
        $stretch('b', ['position' => $clean]), $stretch('c', [], Taught::Shown),
    ], needs(null));
    $said = static fn (LessonCounts $one): array => array_map(
        static fn (HabitKept $kept): array => [$kept->step, $kept->clean, $kept->of, $kept->faults], $one->kept,
    );
    expect(array_map($said, $habits->lessons))->toBe([
        [[Step::Signal, 1, 4, ['misleads' => 2, 'missing' => 1]], [Step::Speed, 1, 2, ['too-slow' => 1]]], [[Step::Position, 1, 1, []]],
    ])->and($habits->change()['message'])->toBe('Not counted yet.')->and($habits->junctions)->toBe([]);
});

it('holds each counted gap ahead against the seconds that were wanted', function (): void {
    $habits = Habits::of([countedRound('a', RoutineCode::BetweenHazards, [
        [Counted::CountedGap, 2, 1.4], [Counted::CountedGap, 2, 2.3], [Counted::CountedGap, 4, 3.9],
    ])], needs(null));
    expect($habits->lessons[0]->ahead)->toBe([1.4, 2.3, 3.9])->and($habits->lessons[0]->short)->toBe(2)->and($habits->lessons[0]->rearLooks)->toBeNull();
});

it('counts gaps let go that would have done, and gaps taken that would not', function (): void {
    $gaps = static fn (array $counts): MarkedRound => countedRound('a', RoutineCode::EmergeRight, $counts);
    $timid = Habits::of([
        $gaps([[Counted::GapsLetGo, 2, 4.0], [Counted::GapsLetGo, 1, 7.5], [Counted::GapTaken, 1, 12.0]]),
        $gaps([[Counted::GapsLetGo, 1, 8.0], [Counted::GapsLetGo, 1, 9.0], [Counted::GapTaken, 1, 13.0]]),
        $gaps([[Counted::GapsLetGo, 1, 9.5], [Counted::GapTaken, 1, 12.5]]),
    ], needs(7.0))->junctions[0];
    expect([$timid->letGo, $timid->wouldHaveDone, $timid->taken, $timid->tooShort])->toBe([6, 4, 3, 0])
        ->and($timid->threshold->low)->toBeGreaterThan(7.0)->and($timid->message())->toBe('Waits for longer gaps than are needed.');
    $bold = Habits::of([
        $gaps([[Counted::GapsLetGo, 1, 2.0], [Counted::GapTaken, 1, 4.0]]), $gaps([[Counted::GapsLetGo, 1, 2.5], [Counted::GapTaken, 1, 3.8]]),
        $gaps([[Counted::GapsLetGo, 1, 2.2], [Counted::GapTaken, 1, 4.5]]),
    ], needs(7.0))->junctions[0];
    expect($bold->tooShort)->toBe(3)->and($bold->message())->toBe('Goes in gaps that are too short.');
    $few = Habits::of([$gaps([[Counted::GapTaken, 1, 6.0]])], needs(7.0))->junctions[0];
    expect($few->threshold)->toBeNull()->and($few->message())->toContain('Too few');
});

it('says nothing of lessons and routines in which nothing was counted', function (): void {
    $habits = Habits::of([countedRound('a', RoutineCode::EmergeRight, []), countedRound('b', RoutineCode::EmergeLeft, [[Counted::Wait, 1, 9.0]])], needs(7.0));
    expect($habits->lessons)->toBe([])->and($habits->junctions)->toBe([]);
});

it('goes by the latest gaps: who was timid once and is so no more is not held to it', function (): void {
    $gaps = static fn (float $letGo, float $taken): MarkedRound => countedRound(
        'a', RoutineCode::EmergeRight, [[Counted::GapsLetGo, 1, $letGo], [Counted::GapTaken, 1, $taken]],
    );
    $timid = array_fill(0, 20, $gaps(10.0, 12.0));
    $since = array_fill(0, 15, $gaps(6.0, 7.8));
    $then = Habits::of($timid, needs(7.0))->junctions[0];
    $now = Habits::of([...$timid, ...$since], needs(7.0))->junctions[0];
    expect($then->threshold->low)->toBeGreaterThan(9.0)->and($now->threshold->estimate)->toBeLessThan(8.0)
        ->and([$now->letGo, $now->wouldHaveDone])->toBe([35, 20])->and($now->message())->toBe('Goes in gaps about as long as are needed.');
});
