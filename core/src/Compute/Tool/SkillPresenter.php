<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Skill\Evidence;
use NobleTurn\Core\Skill\Fit;
use NobleTurn\Core\Skill\HoldsBack;

/** What the marks say as the arrays of the tool's answer. */
final class SkillPresenter
{
    /** A trend is said where the estimate without the last lessons differs by more than this (assumed). */
    private const RISES_BY = 0.05;

    private const LAST_LESSONS = 3;

    private const MOST_NAMED = 5;

    /**
     * @param  list<Evidence>  $evidence  in the order of time, up to today
     * @return array{cells: list<array<string, mixed>>, holds_back: list<array<string, mixed>>}
     */
    public static function body(array $evidence, RulePack $pack, \DateTimeImmutable $today, ?Fit $fit = null): array
    {
        $fit ??= Fit::of($evidence, $pack, $today);
        $lessons = array_values(array_unique(array_map(static fn (Evidence $one): string => $one->lesson, $evidence)));
        $early = array_slice($lessons, 0, max(0, count($lessons) - self::LAST_LESSONS));
        $then = $early === [] ? null : Fit::of(array_values(array_filter($evidence, static fn (Evidence $one): bool => in_array($one->lesson, $early, true))), $pack, $today);

        return [
            'cells' => self::cells($fit, $then, $evidence),
            'holds_back' => array_map(static fn (HoldsBack $one): array => [
                'step' => $one->step?->value, 'section' => $one->section?->value, 'routine' => $one->routine?->value, 'deficit' => round($one->deficit, 2), 'gain' => round($one->gain, 3), 'evidence' => $one->evidence,
            ], array_slice(HoldsBack::of($fit, $evidence), 0, self::MOST_NAMED)),
        ];
    }

    /**
     * @param  list<Evidence>  $evidence
     * @return list<array<string, mixed>>
     */
    private static function cells(Fit $fit, ?Fit $then, array $evidence): array
    {
        $found = [];
        foreach ($evidence as $one) {
            if (! $one->taught) {
                $found[$one->cell()][] = $one;
            }
        }
        ksort($found);
        $rows = [];
        foreach ($found as $marks) {
            [$routine, $step] = [$marks[0]->routine, $marks[0]->step];
            $belief = $fit->belief($routine, $step);
            [$low, $high] = $belief->range();
            $now = $belief->unaided();
            $rose = $then === null || ! in_array($marks[0]->cell(), $then->marked(), true) ? null : $now - $then->belief($routine, $step)->unaided();
            $rows[] = [
                'routine' => $routine->value, 'step' => $step->value, 'estimate' => round($now, 4), 'low' => round($low, 4), 'high' => round($high, 4), 'evidence' => count($marks),
                'lessons' => count(array_unique(array_map(static fn (Evidence $one): string => $one->lesson, $marks))),
                'last' => max(array_map(static fn (Evidence $one): \DateTimeImmutable => $one->at, $marks))->format('Y-m-d\TH:i:s\Z'),
                'trend' => $rose === null ? 'unknown' : ($rose > self::RISES_BY ? 'rising' : ($rose < -self::RISES_BY ? 'falling' : 'steady')),
            ];
        }

        return $rows;
    }
}
