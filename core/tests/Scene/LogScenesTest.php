<?php

declare(strict_types=1);

use NobleTurn\Core\Record\Counted;
use NobleTurn\Core\Record\Decision;
use NobleTurn\Core\Record\MarkLog;
use NobleTurn\Core\Record\Outcome;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Routine\FaultCauses;
use NobleTurn\Core\Routine\Faults;
use NobleTurn\Core\Routine\Watched;
use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/*
 * What the trade asks of the log: whatever happened can be said, and is read back as it was said.
 */

/** @param  list<array<string, mixed>>  $marks */
function toldRound(string $routine, array $marks): ?NobleTurn\Core\Record\MarkedRound
{
    $rows = [];
    foreach ($marks as $i => $mark) {
        $row = $mark + [
            'id' => "m{$i}", 'kind' => 'step', 'step' => null, 'stage' => null, 'outcome' => null, 'taught' => null, 'decision' => null, 'what' => null,
            'number' => null, 'seconds' => null, 'out_of_order' => false, 'fault' => null, 'effect' => null, 'place_id' => null, 'conditions' => null,
            'withdrawn' => false,
        ];
        $rows[] = (object) ($row + ['slot' => MarkLog::slot($row['kind'], $row['step'], $row['id'], null, $row['stage'], $row['decision'])]);
    }

    return MarkLog::round('l', new DateTimeImmutable('2026-05-20T10:00Z'), $routine, null, [], $rows);
}

it('takes a round of every routine without a place, with every kind of fault its card shows, and reads it back', function (string $pack): void {
    $said = 0;
    foreach (Catalogue::all(RulePacks::byCode($pack)) as $routine) {
        foreach ($routine->instructions as $instruction) {
            $step = $instruction->step;
            $likely = Faults::likely($routine->code, $routine->section, $step);
            expect(count($likely))->toBeGreaterThanOrEqual(3)->toBeLessThanOrEqual(Faults::MOST);
            foreach ($likely as $fault) {
                $round = toldRound($routine->code->value, [
                    ['step' => $step->value, 'outcome' => 'missed', 'fault' => $fault, 'effect' => 'potential'],
                ]);
                expect($round->place)->toBeNull()->and($round->says($step)->fault)->toBe($fault)
                    ->and($round->says($step)->outcome)->toBe(Outcome::Missed);
                // What was said has a cause, a remedy and a place in the watcher's order.
                expect(FaultCauses::of($step, $fault))->not->toBeNull("{$step->value} {$fault}")
                    ->and(Watched::in($step, $fault))->toBeInstanceOf(Watched::class);
                $said++;
            }
        }
    }
    expect($said)->toBeGreaterThan(400);
})->with(RulePacks::codes());

it('can say what instructors say', function (RoutineCode $routine, Step $step, string $fault): void {
    $section = Catalogue::routine($routine, RulePacks::byCode('gb'))->section;
    // Not only said, but offered: one press from its step, on the card's own row.
    expect(Faults::likely($routine, $section, $step))->toContain($fault);
})->with([
    'signal too early, another opening before ours' => [RoutineCode::TurnLeft, Step::Signal, 'early'],
    'wide out of the turn' => [RoutineCode::EmergeLeft, Step::Position, 'wide'],
    'cut the corner' => [RoutineCode::TurnRight, Step::Position, 'cut'],
    'the signal with the mirrors' => [RoutineCode::TurnRight, Step::Mirrors, 'late'],
    'coasting' => [RoutineCode::TurnLeft, Step::Speed, 'coasting'],
    'too slow on a clear green' => [RoutineCode::LightsAhead, Step::Speed, 'too-slow'],
    'held back for nothing' => [RoutineCode::EmergeRight, Step::Look, 'held-needlessly'],
    'joined too slowly' => [RoutineCode::Join, Step::Speed, 'joins-slow'],
    'too near a bus' => [RoutineCode::PassBus, Step::Position, 'too-near'],
    'half-hearted overtaking' => [RoutineCode::Overtake, Step::Speed, 'half-hearted'],
    'the back not watched' => [RoutineCode::BayIn, Step::Look, 'rear-not-watched'],
    'the tail swung out' => [RoutineCode::LongRight, Step::Position, 'swings'],
]);

it('counts a right decision to hold back as a look whichever way it was said, and says the other decisions beside it', function (): void {
    foreach ([['kind' => 'held-back-rightly'], ['kind' => 'decision', 'decision' => 'held-back-rightly']] as $held) {
        $round = toldRound('emerge-right', [$held, ['kind' => 'decision', 'decision' => 'let-go']]);
        expect($round->says(Step::Look)->outcome)->toBe(Outcome::Unaided)->and($round->heldBackRightly)->toBeTrue()
            ->and($round->decisions)->toBe([Decision::HeldBack, Decision::LetGo]);
    }
    // Letting somebody go says nothing of a look.
    $round = toldRound('meet', [['kind' => 'decision', 'decision' => 'let-go']]);
    expect($round->says(Step::Look))->toBeNull()->and($round->saysSomething())->toBeFalse();
    // Marked otherwise, the look stands as it was marked.
    $round = toldRound('emerge-right', [['kind' => 'decision', 'decision' => 'held-back-rightly'], ['step' => 'look', 'outcome' => 'prompted']]);
    expect($round->says(Step::Look)->outcome)->toBe(Outcome::Prompted);
});

it('keeps habits as counts of a stretch, which say nothing of any step', function (): void {
    $round = toldRound('between-hazards', [
        ['kind' => 'count', 'what' => 'rear-looks', 'number' => 14, 'seconds' => 180],
        ['kind' => 'count', 'what' => 'counted-gap', 'number' => 2, 'seconds' => 1.6],
    ]);
    expect($round->saysSomething())->toBeFalse()->and($round->counts[0]->what)->toBe(Counted::RearLooks)->and($round->counts[0]->number)->toBe(14)
        ->and($round->counts[1]->seconds)->toBe(1.6);
    foreach (Step::cases() as $step) {
        expect($round->says($step))->toBeNull();
    }
});
