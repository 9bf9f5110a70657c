<?php

declare(strict_types=1);

use NobleTurn\Core\Assessment\MarkedFault;
use NobleTurn\Core\Assessment\Silence;
use NobleTurn\Core\Record\Outcome;
use NobleTurn\Core\Record\StepMark;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Rules\GreatBritain;
use NobleTurn\Core\Trade\Effect;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/* A mock test is driven in silence: what each way of it says about the learner. */

function silently(string $routine, MarkedFault ...$faults): array
{
    return Silence::marks(Catalogue::routine(RoutineCode::from($routine), new GreatBritain), array_values($faults));
}

it('takes every step without a fault as done alone, and of every routine just the steps that it has', function (): void {
    foreach (Catalogue::all(new GreatBritain) as $routine) {
        $marks = Silence::marks($routine, []);
        $steps = array_filter(Step::cases(), $routine->has(...));
        expect(array_keys($marks))->toBe(array_values(array_map(static fn (Step $step): string => $step->value, $steps)));
        foreach ($marks as $mark) {
            expect($mark)->toEqual(new StepMark(Outcome::Unaided))->and($mark->isClean())->toBeTrue();
        }
    }
});

it('weighs a fault the more, the more others had to do about it', function (): void {
    $support = static fn (?Effect $effect, ?string $kind): int => silently(
        'emerge-right', new MarkedFault(Step::Look, fault: $kind, effect: $effect),
    )['look']->support();
    foreach ([null, 'late'] as $kind) {
        $weights = array_map(
            static fn (?Effect $effect): int => $support($effect, $kind), [null, Effect::Nobody, Effect::Potential, Effect::Affected, Effect::Intervened],
        );
        $sorted = $weights;
        sort($sorted);
        expect($weights)->toBe($sorted)->and($weights[0])->toBeGreaterThan(0)->and($weights[4])->toBeGreaterThan($weights[3])
            ->and($weights[1])->toBe(Outcome::Reminded->stepsFromUnaided());
    }
    // Nobody reminded anybody: where the kind is known, that is what is written.
    expect(silently('emerge-right', new MarkedFault(Step::Look, fault: 'late', effect: Effect::Nobody))['look'])
        ->toEqual(new StepMark(Outcome::Unaided, fault: 'late', effect: Effect::Nobody));
});

it('keeps of two faults of a step the one that weighs most, whichever came first, and leaves the other steps alone', function (): void {
    $faults = [
        new MarkedFault(Step::Mirrors, effect: Effect::Nobody), new MarkedFault(Step::Mirrors, effect: Effect::Intervened), new MarkedFault(Step::Mirrors),
    ];
    foreach ([$faults, array_reverse($faults)] as $order) {
        $marks = silently('turn-left', ...$order);
        expect($marks['mirrors']->outcome)->toBe(Outcome::Intervened);
        unset($marks['mirrors']);
        expect(array_filter($marks, static fn (StepMark $mark): bool => ! $mark->isClean()))->toBe([]);
    }
});

it('leaves a fault of a step that the routine has not to the result of the test', function (): void {
    $without = array_values(array_filter(Catalogue::all(new GreatBritain), static fn ($routine): bool => ! $routine->has(Step::Signal)));
    expect($without)->not->toBe([]);
    foreach ($without as $routine) {
        $marks = Silence::marks($routine, [new MarkedFault(Step::Signal, effect: Effect::Intervened)]);
        expect($marks)->not->toHaveKey('signal')->and(array_filter($marks, static fn (StepMark $mark): bool => ! $mark->isClean()))->toBe([]);
    }
});
