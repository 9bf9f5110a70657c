<?php

declare(strict_types=1);

use NobleTurn\Core\Record\Outcome;
use NobleTurn\Core\Record\StepMark;
use NobleTurn\Core\Rules\GreatBritain;
use NobleTurn\Core\Rules\NorthAmerica;
use NobleTurn\Core\Skill\Evidence;
use NobleTurn\Core\Skill\Fit;
use NobleTurn\Core\Skill\HoldsBack;
use NobleTurn\Core\Skill\Standstill;
use NobleTurn\Core\Skill\StandstillReason;
use NobleTurn\Core\Tests\Approaches;
use NobleTurn\Core\Tests\SimulatedLearner;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/**
 * Lessons one after another, each with rounds of these routines, three of each; every step of every round marked.
 *
 * @param  list<array<string, string>>  $lessons  the outcome of each routine, by its code
 * @param  array<string, string>  $faults  the kind of fault seen at a step that was not done alone, by step
 * @return list<Evidence>
 */
function lessonsOf(array $lessons, float $everyDays = 7.0, array $faults = []): array
{
    $found = [];
    foreach ($lessons as $i => $routines) {
        $at = (new DateTimeImmutable('2026-01-05T10:00:00Z'))->modify(sprintf('+%d minutes', (int) round($i * $everyDays * 1440)));
        foreach ($routines as $routine => $outcome) {
            foreach ([0, 1, 2] as $round) {
                foreach (Step::cases() as $step) {
                    $is = Outcome::from($outcome);
                    $at = $at->modify('+20 seconds');
                    $found[] = new Evidence(
                        "lesson {$i}", $at, RoutineCode::from($routine), $step,
                        new StepMark($is, fault: $is === Outcome::Unaided ? null : $faults[$step->value] ?? null),
                    );
                }
            }
        }
    }

    return $found;
}

function standstill(array $evidence): ?Standstill
{
    $pack = new GreatBritain;
    $last = end($evidence);

    return Standstill::of($evidence, $last === false ? [] : HoldsBack::of(Fit::of($evidence, $pack, $last->at), $evidence), $pack);
}

/** @return list<array<string, string>> so many lessons with the same in each */
function alike(int $lessons, array $routines): array
{
    return array_fill(0, $lessons, $routines);
}

it('says nothing of who gains, of who has nothing left to gain, and of who has hardly begun', function (): void {
    $climbing = ['intervened', 'intervened', 'prompted', 'prompted', 'prompted', 'reminded', 'reminded', 'unaided', 'unaided', 'unaided'];

    expect(standstill(lessonsOf(array_map(static fn (string $one): array => ['turn-left' => $one, 'turn-right' => $one], $climbing))))->toBeNull()
        ->and(standstill(lessonsOf(alike(12, ['turn-left' => 'unaided', 'turn-right' => 'unaided']))))->toBeNull()
        ->and(standstill(lessonsOf(alike(7, ['turn-left' => 'prompted', 'turn-right' => 'prompted']))))->toBeNull()
        ->and(standstill([]))->toBeNull();
});

it('sees a standstill, with what it rests on', function (): void {
    $found = standstill(lessonsOf(alike(12, ['turn-left' => 'prompted', 'turn-right' => 'reminded'])));

    expect($found)->not->toBeNull()->and($found?->gain)->toBeLessThan(0.03)->and($found?->steps)->toBe(10)
        ->and($found?->marks)->toBe(5 * 2 * 3 * 5);
});

it('names lessons that are too far apart before anything else', function (float $days, bool $seldom): void {
    $found = standstill(lessonsOf(alike(12, ['turn-left' => 'prompted', 'turn-right' => 'prompted']), $days));

    expect($found?->reason === StandstillReason::Seldom)->toBe($seldom);
    if ($seldom) {
        expect($found?->message)->toContain(round($days).' days between lessons');
    }
})->with([[7.0, false], [13.5, false], [15.0, true], [28.0, true]]);

it('names too much that is new at once', function (): void {
    $new = ['roundabout' => 'prompted', 'lights-left' => 'prompted', 'lights-right' => 'prompted', 'cross' => 'prompted', 'turn-left' => 'prompted'];
    $found = standstill(lessonsOf([...alike(8, ['turn-left' => 'prompted', 'turn-right' => 'prompted']), ...alike(5, $new)]));

    expect($found?->reason)->toBe(StandstillReason::TooMuchNew)->and($found?->message)->toContain('4 new routines in 5 lessons');
});

it('names the fault that comes back lesson after lesson, in the words of the place', function (): void {
    $evidence = lessonsOf(alike(12, ['turn-left' => 'prompted', 'turn-right' => 'prompted']), 7.0, ['position' => 'wide']);
    $found = standstill($evidence);

    expect($found?->reason)->toBe(StandstillReason::SameFault)->and($found?->message)->toStartWith('The same fault in 5 of 5 lessons: position, ')
        ->and(Standstill::of($evidence, [], new NorthAmerica)?->message)->not->toContain('{');
});

it('names what was left lying: the weakest steps were not driven', function (): void {
    $early = ['emerge-right' => 'intervened', 'turn-left' => 'reminded', 'turn-right' => 'reminded'];
    $found = standstill(lessonsOf([...alike(7, $early), ...alike(5, ['turn-left' => 'reminded', 'turn-right' => 'reminded'])]));

    expect($found?->reason)->toBe(StandstillReason::NotPractised);
});

it('does not hold fading between lessons against a gain, nor what is new for a loss', function (): void {
    // Up at last, with a new routine that goes badly beside it: of what was driven before, all rose.
    $outcomes = ['prompted', 'prompted', 'prompted', 'prompted', 'prompted', 'reminded', 'unaided', 'unaided', 'unaided', 'unaided'];
    $lessons = array_map(
        static fn (string $one, int $i): array => ['turn-left' => $one, 'turn-right' => $one] + ($i >= 6 ? ['roundabout' => 'intervened'] : []),
        $outcomes, array_keys($outcomes),
    );

    expect(standstill(lessonsOf($lessons)))->toBeNull();
});

it('finds among simulated learners of another form those who really gained least', function (): void {
    $gained = ['found' => [], 'not found' => []];
    for ($i = 0; $i < 60; $i++) {
        $learner = new SimulatedLearner(new Approaches(83_000 + $i), SimulatedLearner::KINDS[$i % 5]);
        $only = ['turn-left', 'turn-right', 'emerge-left', 'emerge-right'];
        for ($lesson = 0; $lesson < 6 + $i % 9; $lesson++) {
            $learner->drive(8, $only);
        }
        $then = $learner->now;
        $truth = static fn (): float => array_sum(array_map(static fn (string $one): float => array_sum(array_map(
            static fn (Step $step): float => $learner->truth(RoutineCode::from($one), $step, $learner->now), Step::cases(),
        )), $only)) / (5 * count($only));
        $before = $truth();
        for ($lesson = 0; $lesson < 5; $lesson++) {
            $learner->drive(8, $only);
        }
        expect($learner->now)->toBeGreaterThan($then);
        $gained[standstill($learner->evidence) === null ? 'not found' : 'found'][] = $truth() - $before;
    }
    $mean = static fn (array $one): float => array_sum($one) / count($one);

    expect(count($gained['found']))->toBeGreaterThan(5)->and(count($gained['not found']))->toBeGreaterThan(5)
        ->and($mean($gained['found']))->toBeLessThan(0.6 * $mean($gained['not found']));
});
