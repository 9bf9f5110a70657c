<?php

declare(strict_types=1);

use NobleTurn\Core\Compute\Toolbox;
use NobleTurn\Core\Record\Conditions;
use NobleTurn\Core\Record\Outcome;
use NobleTurn\Core\Record\StepMark;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Rules\GreatBritain;
use NobleTurn\Core\Rules\Ireland;
use NobleTurn\Core\Rules\NorthAmerica;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Skill\Cell;
use NobleTurn\Core\Skill\Evidence;
use NobleTurn\Core\Skill\Level;
use NobleTurn\Core\Skill\Record;
use NobleTurn\Core\Skill\Trend;
use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/**
 * @param  list<string>  $outcomes  of one step in one lesson after another, three of each
 * @return list<array<string, mixed>>
 */
function marked(string $routine, string $step, array $outcomes, string $from = '2026-03-02'): array
{
    $marks = [];
    foreach ($outcomes as $lesson => $outcome) {
        for ($i = 0; $i < 3; $i++) {
            $at = (new DateTimeImmutable("{$from}T10:00:00Z"))->modify('+'.(7 * $lesson)." days +{$i} minutes");
            $marks[] = ['at' => $at->format('Y-m-d\TH:i:s\Z'), 'routine' => $routine, 'step' => $step, 'outcome' => $outcome, 'lesson' => "lesson {$lesson}"];
        }
    }

    return $marks;
}

/** @param  list<array<string, mixed>>  $marks */
function recordOf(array $marks, string $today = '2026-04-20', string $pack = 'gb', array $more = []): array
{
    usort($marks, static fn (array $a, array $b): int => $a['at'] <=> $b['at']);

    return Ask::tool('skill', ['pack' => $pack, 'today' => $today, 'marks' => $marks] + $more);
}

it('says a trend by the marks of the last lessons against what was believed before them', function (): void {
    $trend = static fn (array $outcomes): string => recordOf(marked('emerge-right', 'look', $outcomes))['cells'][0]['trend'];
    expect($trend(['missed', 'missed', 'missed', 'unaided', 'unaided', 'unaided']))->toBe('rising')
        ->and($trend(['unaided', 'unaided', 'unaided', 'missed', 'missed', 'missed']))->toBe('falling')
        ->and($trend(['unaided', 'missed']))->toBe('unknown');
    // A twentieth either way is no trend, a hair more is one.
    expect(array_map(Trend::of(...), [null, 0.05, 0.0501, -0.05, -0.0501, 0.0]))
        ->toBe([Trend::Unknown, Trend::Steady, Trend::Rising, Trend::Steady, Trend::Falling, Trend::Steady]);
});

it('names the weakest first, and each cell where it stands', function (): void {
    $record = recordOf([
        ...marked('emerge-right', 'look', ['missed', 'missed', 'prompted', 'missed']), ...marked('turn-left', 'mirrors', ['unaided', 'unaided', 'unaided',
            'unaided']),
        ...marked('roundabout', 'signal', ['prompted', 'reminded', 'prompted', 'reminded']),
    ]);
    $estimates = array_column($record['cells'], 'estimate');
    $weakest = array_map(static fn (array $one): float => array_values(array_filter(
        $record['cells'], static fn (array $cell): bool => $cell['routine'] === $one['routine'] && $cell['step'] === $one['step'],
    ))[0]['estimate'], $record['weakest']);
    sort($estimates);
    expect($weakest)->toBe($estimates)->and($record['weakest'][0])->toBe(['routine' => 'emerge-right', 'step' => 'look']);
    foreach ($record['cells'] as $cell) {
        expect(Level::from($cell['level']))->toBe(Level::of($cell['estimate']))
            ->and($cell['unsure'])->toBe($cell['high'] - $cell['low'] > Level::GUESS)
            ->and($cell['evidence'])->toBe(12)->and($cell['lessons'])->toBe(4);
    }
});

it('sorts routines into never done, only shown and not done for long; a car driver owes no lorry work', function (): void {
    $old = marked('emerge-left', 'look', ['unaided'], '2026-01-05');
    $fresh = marked('turn-left', 'look', ['unaided'], '2026-04-15');
    $shown = [['at' => '2026-04-16T10:00:00Z', 'routine' => 'roundabout', 'step' => 'look', 'outcome' => 'prompted', 'taught' => 'shown', 'lesson' => 'shown']];
    $record = recordOf([...$old, ...$fresh, ...$shown]);
    expect(array_column($record['not_for_long'], 'routine'))->toBe(['emerge-left'])
        ->and($record['not_for_long'][0]['days'])->toBe(105)
        ->and($record['only_shown'])->toBe(['roundabout'])
        ->and($record['never_done'])->toContain('emerge-right')->not->toContain('turn-left')->not->toContain('long-left')
        ->and(recordOf([...$fresh, ...marked('long-left', 'look', ['unaided'])])['never_done'])->toContain('long-right')
        // What the pack does not have is not missed.
        ->and(recordOf($fresh, pack: 'na')['never_done'])->not->toContain('mini-roundabout')->toContain('all-way-stop');
});

it('keeps an instructor’s word apart from progress: the trend is the marks’ own, and what they say alone is said', function (): void {
    $marks = marked('emerge-right', 'look', ['missed', 'missed', 'missed', 'missed', 'missed']);
    $word = ['overrulings' => [['at' => '2026-04-01T10:00:00Z', 'routine' => 'emerge-right', 'step' => 'look', 'level' => 'nearly-always']]];
    [$alone, $said] = [recordOf($marks)['cells'][0], recordOf($marks, more: $word)['cells'][0]];
    expect($said['estimate'])->toBeGreaterThan($alone['estimate'] + 0.1)
        ->and($said['marks_alone'])->toBe($alone['estimate'])->and($said['said'])->toBe('nearly-always')
        ->and($said['trend'])->toBe($alone['trend'])->and($alone['said'])->toBeNull()->and($alone['marks_alone'])->toBeNull();
});

it('is the same record whichever fit it is given, and gives cells by routine and step', function (RulePack $pack): void {
    $evidence = array_map(static fn (int $i): Evidence => new Evidence(
        'lesson '.($i % 5), new DateTimeImmutable('2026-04-0'.(1 + $i % 5).'T10:00:00Z'), $i % 2 === 0 ? RoutineCode::TurnLeft : RoutineCode::EmergeRight,
        Step::cases()[$i % 5], new StepMark(Outcome::Unaided), new Conditions,
    ), range(0, 19));
    usort($evidence, static fn (Evidence $a, Evidence $b): int => $a->at <=> $b->at);
    $record = new Record($evidence, $pack, new DateTimeImmutable('2026-04-10T00:00:00Z'));
    $again = new Record($evidence, $pack, new DateTimeImmutable('2026-04-10T00:00:00Z'), fit: $record->fit);
    $keys = array_map(static fn (Cell $cell): string => "{$cell->routine->value}.{$cell->step->value}", $record->cells);
    $sorted = $keys;
    sort($sorted);
    expect($keys)->toBe($sorted)->and($again->cells)->toEqual($record->cells)->and($record->weakest())->toHaveCount(4);
})->with([new GreatBritain, new NorthAmerica]);

it('leaves out of what was never done what the car cannot do, and asks no less of anybody else', function (): void {
    $never = static fn (array $more): array => NobleTurn\Core\Tests\Ask::tool('skill', ['today' => '2026-06-01', 'marks' => [], ...$more])['never_done'];
    expect($never(['transmission' => 'automatic']))->not->toContain('gear-change')
        ->and(array_values(array_diff($never([]), $never(['transmission' => 'automatic']))))->toBe(['gear-change']);
    foreach (['gb', 'ie', 'na'] as $pack) {
        // Lorry work is asked of those alone who have begun it.
        $long = ['at' => '2026-05-01T10:00:00Z', 'routine' => 'long-left', 'step' => 'look', 'outcome' => 'unaided'];
        expect($never(['pack' => $pack]))->not->toContain('long-right', 'height')
            ->and($never(['pack' => $pack, 'marks' => [$long]]))->toContain('long-right', 'height');
    }
});

it('says what holds back in the words of each place, with nothing left to fill in', function (RulePack $pack): void {
    $ask = static fn (RoutineCode $weak, RoutineCode $other): array => array_column(Toolbox::run('skill', [
        'pack' => $pack->code(), 'today' => '2026-05-20', 'marks' => array_merge(...array_map(static fn (int $i): array => array_merge(...array_map(
            static fn (Step $step): array => array_values(array_filter([
                Catalogue::routine($weak, $pack)->has($step) ? array_filter([
                    'at' => "2026-05-1{$i}T10:00:00Z", 'routine' => $weak->value, 'step' => $step->value, 'outcome' => 'intervened',
                    'fault' => ['position' => 'contact', 'look' => 'held-needlessly', 'mirrors' => 'missing'][$step->value] ?? null,
                ]) : null,
                Catalogue::routine($other, $pack)->has($step) ? [
                    'at' => "2026-05-1{$i}T11:00:00Z", 'routine' => $other->value, 'step' => $step->value, 'outcome' => 'unaided',
                ] : null,
            ])), Step::cases(),
        )), range(0, 7))),
    ])['holds_back'], 'message');
    $whole = 0;
    foreach (Catalogue::codes($pack) as $code) {
        $said = $ask($code, $code === RoutineCode::TurnLeft ? RoutineCode::Cross : RoutineCode::TurnLeft);
        foreach ($said as $message) {
            expect($message)->not->toMatch('/[{}\[\]|]/')->toMatch('/^[A-Z]/');
        }
        $whole += count(array_filter($said, static fn (string $message): bool => str_ends_with($message, ', all steps')));
    }
    expect($whole)->toBeGreaterThan(20);
})->with([[new GreatBritain], [new NorthAmerica], [new Ireland]]);
