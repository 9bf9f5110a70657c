<?php

declare(strict_types=1);

use NobleTurn\Core\Record\Debrief;
use NobleTurn\Core\Record\Decision;
use NobleTurn\Core\Record\MarkedRound;
use NobleTurn\Core\Record\MarkLog;
use NobleTurn\Core\Record\Outcome;
use NobleTurn\Core\Record\StepMark;
use NobleTurn\Core\Record\Tally;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Skill\Evidence;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/** Logs of rounds and what stands of them: the database's word for the rule and the interface's are held to the same file. */
const MARK_LOG = __DIR__.'/../../../tests/answers/mark-log.json';

/** Ids of two places. */
const PLACES = ['0192a7b4-0000-7000-8000-000000000001', '0192a7b4-0000-7000-8000-000000000002'];

/** As often as they are pressed, more or less. */
const KINDS = ['step', 'step', 'step', 'step', 'taught', 'held-back-rightly', 'decision', 'count', 'moment', 'conditions', 'place'];

/**
 * Random logs, the same every time: presses that arrive in any order, at the same moment, corrected and taken back by several hands.
 *
 * @return list<list<array<string, mixed>>> rows of each round, in the order in which they arrived
 */
function randomLogs(): array
{
    $chance = new Random\Randomizer(new Random\Engine\Mt19937(20260527));
    $id = static fn (): string => vsprintf(
        '%s-%s-4%s-8%s-%s', array_map(static fn (int $length): string => substr(bin2hex($chance->getBytes(6)), 0, $length), [8, 4, 3, 3, 12]),
    );
    $logs = [];
    for ($round = 0; $round < 120; $round++) {
        $rows = [];
        $marks = $chance->getInt(0, 10);
        for ($i = 0; $i < $marks; $i++) {
            $before = $rows !== [] && $chance->getInt(0, 2) === 0 ? $rows[$chance->getInt(0, count($rows) - 1)] : null;
            $kind = $before['kind'] ?? KINDS[$chance->getInt(0, count(KINDS) - 1)];
            $withdrawn = $before !== null && $chance->getInt(0, 1) === 1;
            $step = $before['step'] ?? ($kind === 'step' ? Step::cases()[$chance->getInt(0, 4)]->value : null);
            $mark = [
                'id' => $id(), 'kind' => $kind, 'step' => $step,
                'stage' => $before['stage'] ?? ($kind === 'step' ? [null, null, 'approach', 'rejoin'][$chance->getInt(0, 3)] : null),
                'decision' => $kind === 'decision' ? $before['decision'] ?? Decision::cases()[$chance->getInt(0, 5)]->value : null,
                'what' => $kind === 'count' ? 'rear-looks' : null, 'number' => $kind === 'count' ? $chance->getInt(0, 20) : null,
                'seconds' => $kind === 'count' ? $chance->getInt(1, 400) / 4 : null,
                'outcome' => $kind === 'step' && ! $withdrawn ? Outcome::cases()[$chance->getInt(0, 4)]->value : null,
                'taught' => $kind === 'taught' && ! $withdrawn ? ['shown', 'talked-through'][$chance->getInt(0, 1)] : null,
                'place_id' => $kind === 'place' && ! $withdrawn ? PLACES[$chance->getInt(0, 1)] : null,
                'conditions' => $kind === 'conditions' && ! $withdrawn ? ['light' => ['day', 'night'][$chance->getInt(0, 1)]] : null,
                'out_of_order' => $kind === 'step' && ! $withdrawn && $chance->getInt(0, 4) === 0,
                'fault' => $kind === 'step' && ! $withdrawn && $chance->getInt(0, 2) === 0 ? 'late' : null,
                'effect' => $kind === 'step' && ! $withdrawn ? [null, 'nobody', 'affected'][$chance->getInt(0, 2)] : null,
                'corrects_id' => $before['id'] ?? null, 'withdrawn' => $withdrawn,
                // Few moments, so that some are the same; a correction is after what it corrects.
                'pressed' => max($chance->getInt(0, 6), ($before['pressed'] ?? -1) + ($before === null ? 0 : 1)),
            ];
            $mark['slot'] = MarkLog::slot($mark['kind'], $mark['step'], $mark['id'], $before['slot'] ?? null, $mark['stage'], $mark['decision']);
            $rows[] = $mark;
        }
        $logs[] = $rows;
    }

    return $logs;
}

/** @param  list<array<string, mixed>>  $rows */
function inOrderOfPresses(array $rows): array
{
    usort($rows, static fn (array $a, array $b): int => [$a['pressed'], $a['id']] <=> [$b['pressed'], $b['id']]);

    return array_map(static fn (array $row): object => (object) $row, $rows);
}

it('lets in each slot the latest press stand, unless it takes back what was there', function (): void {
    $emptied = 0;
    foreach (randomLogs() as $rows) {
        $stands = array_column(MarkLog::standing(inOrderOfPresses($rows)), 'id');
        $slots = array_unique(array_column($rows, 'slot'));
        $expected = [];
        foreach ($slots as $slot) {
            $of = array_filter($rows, static fn (array $row): bool => $row['slot'] === $slot);
            // No other of the slot is later: said without sorting.
            $latest = array_values(
                array_filter(
                    $of,
                    static fn (array $one): bool => array_filter(
                        $of,
                        static fn (array $other): bool => $other['pressed'] > $one['pressed']
                            || ($other['pressed'] === $one['pressed'] && $other['id'] > $one['id']),
                    ) === [],
                ),
            );
            expect($latest)->toHaveCount(1);
            if (! $latest[0]['withdrawn']) {
                $expected[] = $latest[0]['id'];
            }
        }
        expect($stands)->toEqualCanonicalizing($expected);
        $round = MarkLog::round('l', new DateTimeImmutable, 'emerge-right', 'p', ['light' => 'day'], inOrderOfPresses($rows));
        $says = array_filter(
            MarkLog::standing(inOrderOfPresses($rows)),
            static fn (object $mark): bool => ! in_array($mark->kind, ['conditions', 'place'], true),
        );
        expect($round === null)->toBe($says === []);
        $emptied += $rows !== [] && $round === null ? 1 : 0;
    }
    // Rounds that were emptied by undoing are among them.
    expect($emptied)->toBeGreaterThan(2);
});

it('lets a place that is said afterwards stand instead of the one a round began with, or of none', function (): void {
    $round = static fn (?string $began, array $marks): ?MarkedRound => MarkLog::round('l', new DateTimeImmutable, 'hump', $began, [], array_map(
        static fn (array $mark): object => (object) ($mark + [
            'step' => null, 'outcome' => null, 'taught' => null, 'out_of_order' => false, 'conditions' => null, 'withdrawn' => false, 'place_id' => null,
        ]), $marks,
    ));
    $look = ['kind' => 'step', 'slot' => 'look', 'step' => 'look', 'outcome' => 'unaided'];
    $said = static fn (string $place, bool $withdrawn = false): array => [
        'kind' => 'place', 'slot' => 'place', 'place_id' => $withdrawn ? null : $place, 'withdrawn' => $withdrawn,
    ];
    expect($round(null, [$look])?->place)->toBeNull()->and($round(null, [$look, $said('quay')])?->place)->toBe('quay')
        ->and($round('hill', [$look, $said('quay')])?->place)->toBe('quay')->and($round('hill', [$look])?->place)->toBe('hill')
        ->and($round('hill', [$look, $said('quay'), $said('quay', true)])?->place)->toBe('hill')
        // Where it was alone is nothing that happened.
        ->and($round(null, [$said('quay')]))->toBeNull();
});

it('keeps a correction in the slot of what it corrects, however long the chain', function (): void {
    $slot = MarkLog::slot('moment', null, 'a', null);
    for ($i = 0; $i < 5; $i++) {
        $slot = MarkLog::slot('moment', null, "b{$i}", $slot);
    }
    expect($slot)->toBe('moment a')->and(MarkLog::slot('step', 'look', 'x', null))->toBe('look')->and(MarkLog::slot('taught', null, 'x', null))->toBe('taught');
});

it('counts a right decision to hold back as a clean look, and a look that was marked as it was marked', function (): void {
    $at = new DateTimeImmutable('2026-05-20 10:00');
    $round = static fn (array $marks, bool $held = true): MarkedRound => new MarkedRound(
        'l', $at, RoutineCode::EmergeRight, $marks, decisions: $held ? [Decision::HeldBack] : [],
    );
    $missed = new StepMark(Outcome::Missed);
    expect($round([])->says(Step::Look))->toEqual(new StepMark(Outcome::Unaided))
        ->and($round(['look' => $missed])->says(Step::Look))->toBe($missed)
        ->and($round([])->says(Step::Signal))->toBeNull()
        ->and($round([], held: false)->says(Step::Look))->toBeNull()
        ->and([$round([])->saysSomething(), $round([], held: false)->saysSomething()])->toBe([true, false]);
    // The same in all that is counted: the tally, what the record asks for, the debrief and the estimate.
    $rounds = [$round([]), $round(['look' => $missed]), $round(['signal' => new StepMark(Outcome::Unaided)])];
    $tally = Tally::of(RoutineCode::EmergeRight, Step::Look, $rounds);
    $debrief = Debrief::of($rounds, RulePacks::byCode('gb'), true);
    $routine = Catalogue::routine(RoutineCode::EmergeRight, RulePacks::byCode('gb'));
    $looks = array_filter(
        array_merge(...array_map(static fn (MarkedRound $one): array => Evidence::ofRound($one, $routine), $rounds)),
        static fn (Evidence $one): bool => $one->step === Step::Look,
    );
    expect([$tally->marked(), $tally->counts['unaided'], $tally->counts['missed']])->toBe([3, 2, 1])
        ->and([$debrief->faultRounds, $debrief->faultOf, $debrief->heldBackRightly])->toBe([1, 3, 3])
        ->and($looks)->toHaveCount(3);
});

it('is written down for those who say the rule in other words', function (): void {
    $cases = array_map(static fn (array $rows): array => [
        'marks' => $rows,
        'stands' => array_column(MarkLog::standing(inOrderOfPresses($rows)), 'id'),
        'driven' => ($round = MarkLog::round('l', new DateTimeImmutable, 'emerge-right', 'p', [], inOrderOfPresses($rows))) !== null,
        'says' => (object) array_filter(
            array_combine(
                array_column(Step::cases(), 'value'),
                array_map(static fn (Step $step): ?string => $round?->says($step)?->outcome->value, Step::cases()),
            ),
        ),
    ], randomLogs());
    $text = "[\n".implode(",\n", array_map(static fn (array $case): string => json_encode($case, JSON_THROW_ON_ERROR), $cases))."\n]\n";
    if (getenv('NOBLE_TURN_RECORD')) {
        file_put_contents(MARK_LOG, $text);
    }
    expect((string) file_get_contents(MARK_LOG))->toBe($text);
});
