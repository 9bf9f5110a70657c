<?php

declare(strict_types=1);

use NobleTurn\Core\Record\Debrief;
use NobleTurn\Core\Record\MarkedRound;
use NobleTurn\Core\Record\Need;
use NobleTurn\Core\Record\NeedKind;
use NobleTurn\Core\Record\Outcome;
use NobleTurn\Core\Record\StepMark;
use NobleTurn\Core\Record\Tally;
use NobleTurn\Core\Record\Taught;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Rules\GreatBritain;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/** @param  array<string, string>  $outcomes step => outcome, "!" in front for out of order */
function round_(
    array $outcomes, string $lesson = 'a', string $at = '2026-05-01', ?Taught $taught = null, RoutineCode $routine = RoutineCode::EmergeRight,
): MarkedRound {
    $marks = array_map(fn (string $said): StepMark => new StepMark(Outcome::from(ltrim($said, '!')), $said[0] === '!'), $outcomes);

    return new MarkedRound($lesson, new DateTimeImmutable($at), $routine, $marks, $taught);
}

it('counts honestly: by outcome, by lesson, taught rounds apart', function (): void {
    $rounds = [
        round_(['position' => 'unaided'], 'b', '2026-05-08'),
        round_(['position' => 'prompted'], 'a'),
        round_(['position' => '!unaided'], 'a'),
        round_(['position' => 'missed'], 'a', taught: Taught::Shown),
        round_(['position' => 'missed'], 'a', routine: RoutineCode::TurnLeft),
    ];
    $tally = Tally::of(RoutineCode::EmergeRight, Step::Position, $rounds);
    expect($tally->counts)->toBe(['intervened' => 0, 'missed' => 0, 'prompted' => 1, 'reminded' => 0, 'unaided' => 2])
        ->and($tally->marked())->toBe(3)
        ->and($tally->taught)->toBe(1)
        ->and($tally->outOfOrder)->toBe(1)
        ->and(Tally::of(RoutineCode::EmergeLeft, Step::Look, $rounds)->marked())->toBe(0)
        ->and(array_unique(array_map(static fn (Tally $tally): string => $tally->routine->value, Tally::all($rounds))))->toHaveCount(2);
});

it('suggests the step that needed most support, with the cause one step earlier and whether the marks show it', function (): void {
    $debrief = Debrief::of([
        round_(['mirrors' => 'unaided', 'signal' => 'reminded', 'position' => 'prompted', 'look' => 'unaided']),
        round_(['mirrors' => 'unaided', 'signal' => 'unaided', 'position' => 'missed', 'look' => 'unaided']),
        round_(['look' => 'intervened'], taught: Taught::TalkedThrough),
    ], new GreatBritain, hasClutch: true);
    expect($debrief->fault?->step)->toBe(Step::Position)
        ->and($debrief->fault?->causeIn)->toBe(Step::Signal)
        ->and([$debrief->faultRounds, $debrief->faultOf, $debrief->causeSeen])->toBe([2, 2, 1])
        ->and($debrief->well)->toBe(Step::Look)
        ->and($debrief->wellRounds)->toBe(2);
    expect(Debrief::of([], new GreatBritain, true)->fault)->toBeNull();
});

it('sees a step that is weak in every routine before one bad round in a single one', function (): void {
    $debrief = Debrief::of([
        round_(['position' => 'prompted', 'look' => 'unaided'], routine: RoutineCode::EmergeLeft),
        round_(['position' => 'prompted', 'look' => 'unaided'], routine: RoutineCode::TurnRight),
        round_(['position' => 'reminded', 'look' => 'intervened'], routine: RoutineCode::TurnRight),
    ], new GreatBritain, hasClutch: true);
    expect($debrief->fault?->step)->toBe(Step::Position)
        ->and($debrief->routine)->toBe(RoutineCode::TurnRight)
        ->and([$debrief->faultRounds, $debrief->faultOf])->toBe([3, 3]);
});

it('names a slip in the order as a fault, though the step was unaided', function (): void {
    expect(Debrief::of([round_(['mirrors' => 'unaided', 'signal' => '!unaided'])], new GreatBritain, true)->fault?->step)->toBe(Step::Signal);
});

it('leaves out of its suggestion what the routine has no step for', function (): void {
    $debrief = Debrief::of([round_(['signal' => 'missed', 'speed' => 'reminded'], routine: RoutineCode::Hump)], new GreatBritain, hasClutch: true);
    expect($debrief->fault?->step)->toBe(Step::Speed)->and($debrief->fault?->causeIn)->toBe(Step::Mirrors);
    expect(Debrief::of([round_(['signal' => 'missed'], routine: RoutineCode::Hump)], new GreatBritain, true)->fault)->toBeNull();
});

it('puts routines in the order in which the record asks for them', function (): void {
    $today = new DateTimeImmutable('2026-06-01');
    $rounds = [
        ...array_fill(0, 3, round_(['mirrors' => 'unaided', 'position' => 'prompted'], at: '2026-05-30')),
        ...array_fill(0, 6, round_(['mirrors' => 'unaided', 'signal' => 'unaided'], at: '2026-05-29', routine: RoutineCode::TurnLeft)),
        // Old faults leave the picture once six clean rounds lie on top of them.
        ...array_fill(0, 6, round_(['signal' => 'missed'], at: '2026-05-01', routine: RoutineCode::TurnLeft)),
        round_(['position' => 'unaided'], at: '2026-04-20', routine: RoutineCode::TurnRight),
        round_([], at: '2026-05-30', taught: Taught::Shown, routine: RoutineCode::Roundabout),
    ];
    $needs = Need::all($rounds, new GreatBritain, $today);
    $kinds = array_combine(
        array_map(static fn (Need $need): string => $need->routine->value, $needs),
        array_map(static fn (Need $need): NeedKind => $need->kind, $needs),
    );
    expect($kinds['emerge-right'])->toBe(NeedKind::Weak)
        ->and($kinds['turn-left'])->toBe(NeedKind::GoingWell)
        ->and($kinds['turn-right'])->toBe(NeedKind::LongNotDriven)
        ->and($kinds['roundabout'])->toBe(NeedKind::OnlyShown)
        ->and($kinds['emerge-left'])->toBe(NeedKind::NeverDriven)
        ->and([$needs[0]->routine, $needs[0]->step, $needs[0]->helped, $needs[0]->of])->toBe([RoutineCode::EmergeRight, Step::Position, 3, 3])
        ->and($needs)->toHaveCount(count(Catalogue::codes(new GreatBritain)));
});

it('names the cause and the remedy of the kind of fault that was seen, not of the step alone', function (): void {
    $at = new DateTimeImmutable('2026-05-01');
    $wide = static fn (?string $fault): MarkedRound => new MarkedRound('a', $at, RoutineCode::EmergeRight, [
        'position' => new StepMark(Outcome::Missed, fault: $fault), 'look' => new StepMark(Outcome::Reminded),
    ]);
    $seen = Debrief::of([$wide('wide'), $wide('wide'), $wide('cut')], new GreatBritain, true);
    expect([$seen->kind, $seen->kindRounds, $seen->cause?->in])->toBe(['wide', 2, Step::Look])
        ->and($seen->cause?->cause)->toContain('eyes were still on the traffic')->and($seen->causeSeen)->toBe(3);
    // Said of the step where nobody said which kind it was.
    $unsaid = Debrief::of([$wide(null)], new GreatBritain, true);
    expect([$unsaid->kind, $unsaid->kindRounds])->toBe([null, 0])->and($unsaid->cause?->cause)->toBe($unsaid->fault?->likelyCause)
        ->and($unsaid->cause?->in)->toBe($unsaid->fault?->causeIn);
});
