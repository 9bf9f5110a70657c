<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Record\Need;
use NobleTurn\Core\Record\Outcome;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Routine\Routine;
use NobleTurn\Core\Routine\Section;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Skill\Belief;
use NobleTurn\Core\Skill\Evidence;
use NobleTurn\Core\Skill\Fit;
use NobleTurn\Core\Skill\HoldsBack;
use NobleTurn\Core\Skill\Level;
use NobleTurn\Core\Skill\Overruling;
use NobleTurn\Core\Skill\OwnRating;

/** What the marks say as the arrays of the tool's answer. */
final class SkillPresenter
{
    /** A trend is said where the estimate without the last lessons differs by more than this (assumed). */
    private const RISES_BY = 0.05;

    private const LAST_LESSONS = 3;

    private const MOST_NAMED = 5;

    private const MOST_WEAK = 4;

    private const LEANS = [-1 => 'lower', 0 => 'alike', 1 => 'higher'];

    /**
     * @param  list<Evidence>  $evidence  in the order of time, up to today
     * @param  list<Overruling>  $words  up to today
     * @param  array<string, array<string, Outcome>>  $ratings  the learner's own, by lesson and step, oldest first
     * @return array<string, mixed>
     */
    public static function body(array $evidence, RulePack $pack, \DateTimeImmutable $today, array $words = [], array $ratings = [], ?Fit $fit = null): array
    {
        $fit ??= Fit::of($evidence, $pack, $today, words: $words);
        $lessons = array_values(array_unique(array_map(static fn (Evidence $one): string => $one->lesson, $evidence)));
        $early = array_slice($lessons, 0, max(0, count($lessons) - self::LAST_LESSONS));
        $then = $early === [] ? null : Fit::of(array_values(array_filter($evidence, static fn (Evidence $one): bool => in_array($one->lesson, $early, true))), $pack, $today);
        $alone = $words === [] ? null : Fit::of($evidence, $pack, $today);

        $cells = self::cells($fit, $then, $alone, $evidence, $words, $today);
        $weakest = $cells;
        usort($weakest, static fn (array $a, array $b): int => $a['estimate'] <=> $b['estimate']);

        return [
            'cells' => $cells,
            'weakest' => array_map(static fn (array $cell): array => ['routine' => $cell['routine'], 'step' => $cell['step']], array_slice($weakest, 0, self::MOST_WEAK)),
            'holds_back' => array_map(static fn (HoldsBack $one): array => [
                'step' => $one->step?->value, 'section' => $one->section?->value, 'routine' => $one->routine?->value, 'condition' => $one->condition, 'deficit' => round($one->deficit, 2), 'gain' => round($one->gain, 3), 'evidence' => $one->evidence,
            ], array_slice(HoldsBack::of($fit, $evidence), 0, self::MOST_NAMED)),
            ...self::routines($evidence, $pack, $today),
            'own_ratings' => array_map(static fn (OwnRating $one): array => [
                'step' => $one->step->value, 'lessons' => $one->lessons, 'said' => round($one->said, 2), 'marked' => round($one->marked, 2), 'leans' => self::LEANS[$one->leans()],
            ], OwnRating::of($ratings, $evidence)),
        ];
    }

    /**
     * The little of an answer that stands for the learner among many: each step over all routines, and the estimates alone.
     *
     * @param  array<string, mixed>  $body
     * @return array<string, mixed>
     */
    public static function glance(array $body): array
    {
        $cells = $steps = [];
        foreach ($body['cells'] as $cell) {
            $cells[$cell['routine']][$cell['step']] = $cell['estimate'];
            $steps[$cell['step']][] = $cell;
        }
        $mean = static fn (array $cells, string $of): float => round(array_sum(array_column($cells, $of)) / count($cells), 4);

        return [
            'average' => $body['cells'] === [] ? null : $mean($body['cells'], 'estimate'),
            'steps' => array_map(static fn (array $of): array => ['estimate' => $mean($of, 'estimate'), 'low' => $mean($of, 'low'), 'high' => $mean($of, 'high')], $steps),
            'marks' => (int) array_sum(array_column($body['cells'], 'evidence')),
            'holds_back' => $body['holds_back'][0] ?? null,
            'never_done' => count($body['never_done']),
            'not_for_long' => count($body['not_for_long']),
            'only_shown' => $body['only_shown'],
            'cells' => $cells,
        ];
    }

    /** @return array{estimate: float, low: float, high: float} */
    public static function belief(Belief $belief): array
    {
        [$low, $high] = $belief->range();

        return ['estimate' => round($belief->unaided(), 4), 'low' => round($low, 4), 'high' => round($high, 4)];
    }

    /**
     * What was never done, what was only shown, and what was not done for long.
     *
     * @param  list<Evidence>  $evidence
     * @return array{never_done: list<string>, only_shown: list<string>, not_for_long: list<array{routine: string, days: int}>}
     */
    private static function routines(array $evidence, RulePack $pack, \DateTimeImmutable $today): array
    {
        $last = $marked = [];
        foreach ($evidence as $one) {
            $last[$one->routine->value] = $one->at;
            $marked[$one->routine->value] = ($marked[$one->routine->value] ?? false) || ! $one->taught;
        }
        $never = $shown = $long = [];
        $drivesLong = array_filter(Catalogue::all($pack), static fn (Routine $routine): bool => $routine->section === Section::LongVehicles && isset($last[$routine->code->value])) !== [];
        foreach (Catalogue::all($pack) as $routine) {
            // A long vehicle wants another licence: its routines are no hole in a car driver's record.
            if ($routine->section === Section::LongVehicles && ! $drivesLong) {
                continue;
            }
            $code = $routine->code;
            $at = $last[$code->value] ?? null;
            $days = $at === null ? 0 : self::days($at, $today);
            match (true) {
                $at === null => $never[] = $code->value,
                ! ($marked[$code->value] ?? false) => $shown[] = $code->value,
                $days > Need::DAYS => $long[] = ['routine' => $code->value, 'days' => $days],
                default => null,
            };
        }
        usort($long, static fn (array $a, array $b): int => $b['days'] <=> $a['days']);

        return ['never_done' => $never, 'only_shown' => $shown, 'not_for_long' => $long];
    }

    private static function days(\DateTimeImmutable $at, \DateTimeImmutable $today): int
    {
        return max(0, intdiv($today->getTimestamp() - $at->getTimestamp(), 86_400));
    }

    /**
     * @param  list<Evidence>  $evidence
     * @param  list<Overruling>  $words
     * @return list<array<string, mixed>>
     */
    private static function cells(Fit $fit, ?Fit $then, ?Fit $alone, array $evidence, array $words, \DateTimeImmutable $today): array
    {
        $found = $driven = [];
        foreach ($evidence as $one) {
            $driven[$one->routine->value] = max($driven[$one->routine->value] ?? $one->at, $one->at);
            if (! $one->taught) {
                $found[$one->cell()][] = $one;
            }
        }
        ksort($found);
        $known = $then === null ? [] : array_flip($then->marked());
        $said = [];
        foreach ($words as $word) {
            $said[$word->cell()] = $word;
        }
        $rows = [];
        foreach ($found as $cell => $marks) {
            [$routine, $step] = [$marks[0]->routine, $marks[0]->step];
            $belief = $fit->belief($routine, $step);
            ['estimate' => $now, 'low' => $low, 'high' => $high] = self::belief($belief);
            // Of the marks alone: an instructor's word is no progress.
            $rose = isset($known[$cell]) && $then !== null ? ($alone ?? $fit)->belief($routine, $step)->unaided() - $then->belief($routine, $step)->unaided() : null;
            $faded = $fit->faded($routine);
            $word = $said[$cell] ?? null;
            $rows[] = [
                'routine' => $routine->value, 'step' => $step->value, 'estimate' => $now, 'low' => $low, 'high' => $high,
                'level' => Level::of($now)->value, 'unsure' => $high - $low > Level::GUESS,
                'evidence' => count($marks),
                'lessons' => count(array_unique(array_map(static fn (Evidence $one): string => $one->lesson, $marks))),
                'last' => max(array_map(static fn (Evidence $one): \DateTimeImmutable => $one->at, $marks))->format('Y-m-d\TH:i:s\Z'),
                'trend' => $rose === null ? 'unknown' : ($rose > self::RISES_BY ? 'rising' : ($rose < -self::RISES_BY ? 'falling' : 'steady')),
                'fading' => self::days($driven[$routine->value] ?? $today, $today) > Need::DAYS,
                'faded_by' => round((new Belief($belief->mean + $faded, $belief->variance))->unaided() - $belief->unaided(), 4),
                'said' => $word === null ? null : Level::of($word->chance)->value,
                'marks_alone' => $word === null || $alone === null ? null : round($alone->belief($routine, $step)->unaided(), 4),
            ];
        }

        return $rows;
    }
}
