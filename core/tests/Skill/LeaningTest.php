<?php

declare(strict_types=1);

use NobleTurn\Core\Compute\Toolbox;
use NobleTurn\Core\Record\Count;
use NobleTurn\Core\Record\Counted;
use NobleTurn\Core\Record\MarkedRound;
use NobleTurn\Core\Record\Outcome;
use NobleTurn\Core\Record\StepMark;
use NobleTurn\Core\Skill\Evidence;
use NobleTurn\Core\Skill\Leaning;
use NobleTurn\Core\Skill\Leant;
use NobleTurn\Core\Skill\Model;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/* Timid or bold: by faults that say so and gaps that were counted, apart from how well somebody drives. */

function signs(int $timid, int $bold, string $at = '2026-05-20T10:00:00Z'): array
{
    return [...array_fill(0, $timid, new Leant('a', new DateTimeImmutable($at), -1.0)),
        ...array_fill(0, $bold, new Leant('a', new DateTimeImmutable($at), 1.0))];
}

function leans(array $signs, array $lessons = ['a'], string $today = '2026-05-20T10:00:00Z'): ?Leaning
{
    return Leaning::of($signs, $lessons, new DateTimeImmutable($today));
}

it('has the range of a beta distribution: where all signs are of one kind its ends are roots', function (int $times): void {
    // Percentiles of beta(n + 1, 1): x = p^(1 / (n + 1)), a matter of algebra.
    $bold = leans(signs(0, $times));
    $root = static fn (float $share): float => 2.0 * $share ** (1.0 / ($times + 1)) - 1.0;
    expect($bold->low)->toEqualWithDelta($root(0.1), 1e-3)->and($bold->high)->toEqualWithDelta($root(0.9), 1e-3)
        ->and($bold->estimate)->toEqualWithDelta($times / ($times + 2), 1e-9);
    $timid = leans(signs($times, 0));
    expect([$timid->low, $timid->estimate, $timid->high])->toEqualWithDelta([-$bold->high, -$bold->estimate, -$bold->low], 1e-3);
})->with([5, 12, 400, 5000]);

it('has the range of a beta distribution where both were seen', function (): void {
    // Beta(4, 3): its distribution function is a sum of binomial chances (Abramowitz and Stegun 26.5.24, from memory).
    $below = static function (float $x): float {
        $sum = 0.0;
        foreach ([4, 5, 6] as $k) {
            $sum += [4 => 15, 5 => 6, 6 => 1][$k] * $x ** $k * (1.0 - $x) ** (6 - $k);
        }

        return $sum;
    };
    $leaning = leans(signs(2, 3));
    expect($below(($leaning->low + 1.0) / 2.0))->toEqualWithDelta(0.1, 1e-3)->and($below(($leaning->high + 1.0) / 2.0))->toEqualWithDelta(0.9, 1e-3);
});

it('says nothing under five signs, moves with each of them, and says so aloud', function (): void {
    expect(leans(signs(4, 0)))->toBeNull()->and(leans(signs(5, 0))->message())->toStartWith('Timid')->and(leans(signs(0, 5))->message())->toStartWith('Bold')
        ->and(leans(signs(4, 4))->message())->toStartWith('Now timid, now bold')->and(leans(signs(4, 1))->message())->toStartWith('Neither');
    $before = -1.0;
    for ($bold = 0; $bold <= 20; $bold++) {
        $leaning = leans(signs(6, $bold));
        expect($leaning->estimate)->toBeGreaterThan($before)->and($leaning->low)->toBeLessThan($leaning->estimate)
            ->and($leaning->high)->toBeGreaterThan($leaning->estimate)
            ->and($leaning->evidence())->toBe(6 + $bold);
        $before = $leaning->estimate;
    }
});

it('forgets: what was long ago leans less, by lessons and by days, without a jump', function (): void {
    $signs = signs(8, 0);
    $last = -1.0;
    foreach (range(0, 900, 30) as $days) {
        $now = leans($signs, ['a'], (new DateTimeImmutable('2026-05-20T10:00:00Z'))->modify("+{$days} days")->format('c'));
        expect($now->estimate)->toBeGreaterThanOrEqual($last)->and($now->estimate - $last)->toBeLessThan($days === 0 ? 1.0 : 0.2);
        $last = $now->estimate;
    }
    expect($last)->toEqualWithDelta(0.0, 0.05);
    $later = leans($signs, ['a', ...array_map(static fn (int $i): string => "l{$i}", range(1, 11))]);
    expect($later->estimate)->toBeGreaterThan(leans($signs)->estimate);
    // As old as the model says, exactly.
    $weight = (new Model)->remains(11, 0) * 8;
    expect($later->estimate)->toEqualWithDelta(-$weight / ($weight + 2.0), 1e-9);
    // Newer ones turn it round.
    expect(leans([...signs(8, 0, '2025-01-01T10:00:00Z'), ...signs(0, 6)])->estimate)->toBeGreaterThan(0.3);
});

it('reads marks: what was held for nothing, an unsafe go, and nothing where another kind was named or it was shown', function (): void {
    $mark = static fn (Step $step, ?string $fault, bool $taught = false): ?Leant => Leant::ofMark(new Evidence(
        'a', new DateTimeImmutable('2026-05-20'), RoutineCode::EmergeRight, $step, new StepMark(Outcome::Missed, fault: $fault), taught: $taught,
    ));
    expect($mark(Step::Look, 'held-needlessly')->by)->toBe(-1.0)->and($mark(Step::Look, 'goes-unsafe')->by)->toBe(1.0)
        ->and($mark(Step::Speed, 'too-slow')->by)->toBeLessThan(0.0)->and($mark(Step::Speed, 'too-fast')->by)->toBeGreaterThan(0.0)
        ->and($mark(Step::Speed, 'late'))->toBeNull()->and($mark(Step::Look, null))->toBeNull()->and($mark(Step::Look, 'held-needlessly', true))->toBeNull();
});

it('reads gaps: long ones let go and short ones taken, nothing in between', function (): void {
    $of = static fn (Count ...$counts): array => array_map(static fn (Leant $one): float => $one->by, Leant::ofGaps(
        new MarkedRound('a', new DateTimeImmutable('2026-05-20'), RoutineCode::EmergeRight, [], counts: array_values($counts)), 6.0,
    ));
    expect($of(new Count(Counted::GapsLetGo, 3, 8.0)))->toBe([-0.5, -0.5, -0.5])->and($of(new Count(Counted::GapsLetGo, 2, 6.5)))->toBe([])
        ->and($of(new Count(Counted::GapTaken, 1, 4.0)))->toBe([0.5])->and($of(new Count(Counted::GapTaken, 1, 6.0)))->toBe([])
        ->and($of(new Count(Counted::RearLooks, 9, 60.0)))->toBe([]);
    $round = new MarkedRound('a', new DateTimeImmutable('2026-05-20'), RoutineCode::EmergeRight, [], counts: [new Count(Counted::GapTaken, 1, 1.0)]);
    expect(Leant::ofGaps($round, null))->toBe([]);
});

it('is in the answer of the tool, and apart from how well somebody drives', function (): void {
    $marks = static fn (array $faults, string $outcome): array => array_map(static fn (?string $fault, int $i): array => array_filter([
        'at' => "2026-05-01T10:{$i}0:00Z", 'routine' => 'emerge-right', 'step' => 'look', 'outcome' => $outcome, 'fault' => $fault,
    ]), $faults, array_keys($faults));
    $ask = static fn (array $marks): ?array => Toolbox::run('skill', ['today' => '2026-05-02', 'marks' => $marks])['leaning'];
    expect($ask($marks([null, null, null, null, null, null], 'unaided')))->toBeNull()->and($ask([]))->toBeNull();
    foreach (['reminded', 'missed'] as $outcome) {
        expect($ask($marks(array_fill(0, 6, 'held-needlessly'), $outcome)))->toMatchArray(['evidence' => 6, 'timid' => 6, 'bold' => 0])
            ->and($ask($marks(array_fill(0, 6, 'goes-unsafe'), $outcome))['low'])->toBeGreaterThan(0.0);
    }
    expect($ask($marks(array_fill(0, 6, 'held-needlessly'), 'missed')))->toBe($ask($marks(array_fill(0, 6, 'held-needlessly'), 'reminded')));
});
