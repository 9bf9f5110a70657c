<?php

declare(strict_types=1);

use NobleTurn\Core\Circuit\Drive;
use NobleTurn\Core\Circuit\KindOfRoad;
use NobleTurn\Core\Circuit\Legs;
use NobleTurn\Core\Circuit\Stop;
use NobleTurn\Core\Next\Aim;
use NobleTurn\Core\Next\AimReason;
use NobleTurn\Core\Next\Aims;
use NobleTurn\Core\Next\Here;
use NobleTurn\Core\Next\Learner;
use NobleTurn\Core\Next\Prerequisites;
use NobleTurn\Core\Record\Outcome;
use NobleTurn\Core\Record\StepMark;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Routine\Routine;
use NobleTurn\Core\Rules\GreatBritain;
use NobleTurn\Core\Rules\Ireland;
use NobleTurn\Core\Rules\NorthAmerica;
use NobleTurn\Core\Site\Position;
use NobleTurn\Core\Skill\Evidence;
use NobleTurn\Core\Tests\Approaches;
use NobleTurn\Core\Tests\SteppingLearner;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;
use NobleTurn\Core\Vehicle\Transmission;

/* What a lesson is for. */

/** Rounds of a routine on a day, every step as said. */
function roundsOf(string $routine, string $day, string $outcome, int $rounds): array
{
    $marks = [];
    for ($i = 0; $i < $rounds; $i++) {
        foreach (Step::cases() as $step) {
            if (Catalogue::routine(RoutineCode::from($routine), new GreatBritain)->has($step)) {
                $marks[] = new Evidence(
                    $day, new DateTimeImmutable("{$day}T10:0{$i}:00Z"), RoutineCode::from($routine), $step, new StepMark(Outcome::from($outcome)),
                );
            }
        }
    }

    return $marks;
}

function aimsOf(array $marks, string $on = '2026-05-20T10:00:00Z', mixed ...$more): array
{
    usort($marks, static fn (Evidence $a, Evidence $b): int => $a->at <=> $b->at);

    return Aims::of(new Learner($marks, new GreatBritain, new DateTimeImmutable($on)), ...$more);
}

/**
 * Ways of these routines, each so far north of where the lesson starts, with an hour for the drive.
 *
 * @param  array<string, float>  $ways  degrees, by routine
 */
function hereWith(array $marks, array $ways): Here
{
    usort($marks, static fn (Evidence $a, Evidence $b): int => $a->at <=> $b->at);
    $start = Position::ofDegrees(49.2, -8.1);
    $at = static fn (float $north): Position => Position::ofDegrees(49.2 + $north, -8.1);
    $stops = array_map(
        static fn (string $code, float $north): Stop => new Stop($code, $code, $at($north), $at($north), KindOfRoad::Town, 0.1, 4, new Drive),
        array_keys($ways), $ways,
    );

    return Here::of(
        new Learner($marks, new GreatBritain, new DateTimeImmutable('2026-05-20T10:00:00Z')), $stops,
        array_map(static fn (string $code): Routine => Catalogue::routine(RoutineCode::from($code), new GreatBritain), array_keys($ways)),
        Legs::between($start, $start, $stops, new Drive, []), 3_600.0, [],
    );
}

/** Everything that comes before a routine, well driven lately. */
function behind(string $routine): array
{
    return array_merge(...array_map(
        static fn (RoutineCode $code): array => roundsOf($code->value, '2026-05-18', 'unaided', 5),
        Prerequisites::all(RoutineCode::from($routine), new GreatBritain),
    ));
}

it('begins with what begins, for somebody nobody has marked', function (): void {
    foreach ([new GreatBritain, new Ireland, new NorthAmerica] as $pack) {
        foreach (Transmission::cases() as $transmission) {
            $aims = Aims::of(new Learner([], $pack, new DateTimeImmutable('2026-05-20'), transmission: $transmission));
            expect(count($aims))->toBeGreaterThanOrEqual(1)->toBeLessThanOrEqual(2);
            foreach ($aims as $aim) {
                expect(Prerequisites::of($aim->routine->code, $pack))->toBe([])->and($aim->reason)->toBe(AimReason::NeverDone);
            }
        }
    }
});

it('never proposes what is not due, whatever was marked', function (): void {
    foreach (range(1, 25) as $seed) {
        $learner = new SteppingLearner(new Approaches($seed));
        for ($lesson = 0; $lesson < 1 + $seed % 6; $lesson++) {
            $learner->drive(8);
        }
        $known = new Learner($learner->evidence, new GreatBritain, $learner->now->modify('+3 days'));
        $aims = Aims::of($known);
        foreach ($aims as $aim) {
            expect($known->mayDrive($aim->routine))->toBeTrue()->and($aim->routine->has($aim->step))->toBeTrue()->and($aim->gain)->toBeGreaterThan(0.0)
                ->and($aim->message($known))->toMatch('/^[A-Z].*: .+\.$/')->not->toMatch('/[{}\[\]|]/');
        }
        // New things come one at a time, and the same record gives the same aims.
        expect(count(array_filter($aims, static fn (Aim $aim): bool => $aim->reason === AimReason::NeverDone)))->toBeLessThanOrEqual(1)
            ->and(Aims::of(new Learner($learner->evidence, new GreatBritain, $learner->now->modify('+3 days'))))->toEqual($aims);
    }
});

it('takes what was agreed, what was pinned, and leaves out what is not wanted', function (): void {
    $marks = [...behind('emerge-right'), ...roundsOf('emerge-right', '2026-05-18', 'prompted', 4)];
    $first = aimsOf($marks)[0];
    expect($first->routine->code)->toBe(RoutineCode::EmergeRight)->and($first->reason)->toBe(AimReason::Gain);
    $agreed = aimsOf($marks, agreed: [['routine' => RoutineCode::EmergeRight, 'step' => Step::Signal]])[0];
    expect($agreed->reason)->toBe(AimReason::Agreed)->and($agreed->step)->toBe(Step::Signal);
    $pinned = aimsOf($marks, pinned: [RoutineCode::Overtake]);
    expect($pinned[0]->routine->code)->toBe(RoutineCode::Overtake)->and($pinned[0]->reason)->toBe(AimReason::Pinned);
    foreach (aimsOf($marks, excluded: [RoutineCode::EmergeRight]) as $aim) {
        expect($aim->routine->code)->not->toBe(RoutineCode::EmergeRight);
    }
    expect(array_map(static fn (Aim $aim): RoutineCode => $aim->routine->code, aimsOf($marks, pinned: [RoutineCode::Hump, RoutineCode::Cross])))
        ->toEqualCanonicalizing([RoutineCode::Hump, RoutineCode::Cross]);
});

it('keeps to what was agreed: one of the two, whatever brings more by now', function (): void {
    $codes = static fn (array $aims): array => array_map(static fn (Aim $aim): string => $aim->routine->code->value, $aims);
    $marks = [
        ...behind('roundabout'), ...roundsOf('emerge-right', '2026-05-18', 'intervened', 8), ...roundsOf('cross', '2026-05-18', 'missed', 8),
        ...roundsOf('roundabout', '2026-05-18', 'unaided', 6),
    ];
    $byWorth = $codes(aimsOf($marks));
    expect($byWorth)->not->toContain('roundabout');
    $word = static fn (RoutineCode ...$agreed): array => array_map(static fn (RoutineCode $one): array => ['routine' => $one, 'step' => null], $agreed);
    // Beside what is worth most; where that was agreed itself it is the first, and of more promises that which brings most is kept first.
    expect($codes(aimsOf($marks, agreed: $word(RoutineCode::Roundabout))))->toBe([$byWorth[0], 'roundabout'])
        ->and($codes(aimsOf($marks, agreed: $word(RoutineCode::from($byWorth[0]))))[0])->toBe($byWorth[0])
        ->and($codes(aimsOf($marks, agreed: $word(RoutineCode::Roundabout, RoutineCode::Cross))))->toContain('cross')->not->toContain('roundabout');
    // Not where there is no way for it, or none within reach, nor where it was thrown out; what is chosen by hand stands before it.
    $agreedHere = static fn (array $ways): array => $codes(aimsOf($marks, agreed: $word(RoutineCode::Roundabout), here: hereWith($marks, $ways)));
    expect($agreedHere(['emerge-right' => 0.003, 'cross' => 0.003]))->not->toContain('roundabout')
        ->and($agreedHere(['emerge-right' => 0.003, 'cross' => 0.003, 'roundabout' => 0.9]))->not->toContain('roundabout')
        ->and($agreedHere(['emerge-right' => 0.003, 'cross' => 0.003, 'roundabout' => 0.003]))->toContain('roundabout')
        ->and($codes(aimsOf($marks, agreed: $word(RoutineCode::Roundabout), excluded: [RoutineCode::Roundabout])))->toBe($byWorth)
        ->and($codes(aimsOf($marks, agreed: $word(RoutineCode::Roundabout), pinned: [RoutineCode::Hump])))->toBe(['hump', 'roundabout'])
        ->and($codes(aimsOf($marks, agreed: $word(RoutineCode::Roundabout), pinned: [RoutineCode::Hump, RoutineCode::TurnLeft])))
        ->toEqualCanonicalizing(['hump', 'turn-left']);
    // Two new things at once it never is: the promised one is then the first.
    expect($codes(aimsOf([], agreed: $word(RoutineCode::EmergeLeft))))->toBe(['emerge-left']);
});

it('waits with what comes after until what comes before is behind them', function (): void {
    $weak = [...roundsOf('move-off', '2026-05-18', 'unaided', 5), ...roundsOf('turn-left', '2026-05-18', 'intervened', 6)];
    $known = new Learner($weak, new GreatBritain, new DateTimeImmutable('2026-05-20'));
    expect($known->mayDrive($known->routines['turn-right']))->toBeFalse()->and($known->missing($known->routines['turn-right']))->toBe([RoutineCode::TurnLeft]);
    $good = new Learner([...$weak, ...roundsOf('turn-left', '2026-05-19', 'unaided', 9)], new GreatBritain, new DateTimeImmutable('2026-05-20'));
    expect($good->mayDrive($good->routines['turn-right']))->toBeTrue();
    // What they have driven already they may drive again, however it went.
    $driven = new Learner([...$weak, ...roundsOf('turn-right', '2026-05-18', 'intervened', 2)], new GreatBritain, new DateTimeImmutable('2026-05-20'));
    expect($driven->mayDrive($driven->routines['turn-right']))->toBeTrue();
});

it('says that something fades, and that a test is near', function (): void {
    $marks = [...behind('emerge-right'), ...roundsOf('emerge-right', '2026-03-01', 'reminded', 4)];
    $all = aimsOf($marks);
    $faded = array_values(array_filter($all, static fn (Aim $aim): bool => $aim->routine->code === RoutineCode::EmergeRight))[0];
    expect($faded->reason)->toBe(AimReason::Fading)->and($faded->message(new Learner($marks, new GreatBritain,
        new DateTimeImmutable('2026-05-20'))))->toContain('not driven for 79 days');
    $soon = aimsOf([...behind('emerge-right'), ...roundsOf('emerge-right', '2026-05-18', 'prompted', 4)],
        testOn: new DateTimeImmutable('2026-06-01T10:00:00Z'))[0];
    expect($soon->reason)->toBe(AimReason::TestSoon);
    // A test that is behind them is none.
    expect(aimsOf([...behind('emerge-right'), ...roundsOf('emerge-right', '2026-05-18', 'prompted', 4)],
        testOn: new DateTimeImmutable('2026-05-01'))[0]->reason)->toBe(AimReason::Gain);
});
