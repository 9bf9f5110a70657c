<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

use NobleTurn\Core\Routine\Section;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/**
 * What holds a learner back most: a step everywhere, a step in one section, or a routine, by how far it lies below its
 * like; or one kind of conditions, by how much more it takes off than it is reckoned to. The gain is what the average chance
 * of "unaided" over all marked cells (in those conditions) would rise by if it lay level.
 */
final readonly class HoldsBack
{
    private function __construct(
        public ?Step $step,
        public ?Section $section,
        public ?RoutineCode $routine,
        /** Such as "busy", where it is about conditions. */
        public ?string $condition,
        /** Below its like, logits. */
        public float $deficit,
        public float $gain,
        /** Marks it rests on. */
        public int $evidence,
        /** How much it stands out, on the logit scale, where a hole is as deep for a beginner as for somebody nearly ready. */
        private float $rank,
    ) {
    }

    /** Fewer marks name nothing, and a shallower hole, logits, is not worth naming (assumed). */
    private const LEAST_MARKS = 5;

    private const LEAST_DEFICIT = 0.4;

    /**
     * Of a deficit in many cells its squares count together,
     *     by this power of how many they are (chosen on simulated learners): a deep hole in a few comes before a little everywhere.
     */
    private const BREADTH = 0.3;

    /**
     * @param  list<Evidence>  $evidence
     * @return list<self> those clearly below their like, most first
     */
    public static function of(Fit $fit, array $evidence): array
    {
        /** @var array<string, array{routine: RoutineCode, step: Step, section: Section, mean: float, marks: int}> $cells */
        $cells = [];
        $marks = array_values(array_filter($evidence, static fn (Evidence $one): bool => ! $one->taught));
        foreach ($marks as $one) {
            $key = $one->cell();
            $cells[$key] ??= [
                'routine' => $one->routine, 'step' => $one->step, 'section' => $fit->section($one->routine),
                'mean' => $fit->belief($one->routine, $one->step)->mean, 'marks' => 0,
            ];
            $cells[$key]['marks']++;
        }
        $found = self::conditions($fit, $marks, $cells);
        foreach (Step::cases() as $step) {
            $found[] = self::held($cells, $step, null, null);
            foreach (array_unique(array_map(static fn (array $cell): string => $cell['section']->value, $cells)) as $section) {
                $found[] = self::held($cells, $step, Section::from($section), null);
            }
        }
        foreach (array_unique(array_map(static fn (array $cell): string => $cell['routine']->value, $cells)) as $routine) {
            $found[] = self::held($cells, null, null, RoutineCode::from($routine));
        }
        $found = array_values(
            array_filter($found, static fn (?self $one): bool => $one !== null && $one->deficit >= self::LEAST_DEFICIT && $one->evidence >= self::LEAST_MARKS),
        );
        usort($found, static fn (self $a, self $b): int => $b->rank <=> $a->rank);

        return $found;
    }

    /**
     * How far some cells lie below their like: kind by kind (a routine step by step, a step section by section), and of these the
     * middle one, so that one deep hole does not pass for a slope.
     *
     * @param  array<string, array{routine: RoutineCode, step: Step, section: Section, mean: float, marks: int}>  $in
     * @param  array<string, array{routine: RoutineCode, step: Step, section: Section, mean: float, marks: int}>  $like
     * @param  \Closure(array{routine: RoutineCode, step: Step, section: Section, mean: float, marks: int}): string  $kind
     */
    private static function below(array $in, array $like, \Closure $kind): float
    {
        $here = $there = [];
        foreach ($in as $cell) {
            $here[$kind($cell)][] = $cell['mean'];
        }
        foreach ($like as $cell) {
            $there[$kind($cell)][] = $cell['mean'];
        }
        $by = [];
        foreach ($here as $name => $means) {
            if (isset($there[$name])) {
                $by[] = array_sum($there[$name]) / count($there[$name]) - array_sum($means) / count($means);
            }
        }
        sort($by);
        $middle = intdiv(count($by), 2);

        return $by === [] ? 0.0 : (count($by) % 2 === 1 ? $by[$middle] : ($by[$middle - 1] + $by[$middle]) / 2.0);
    }

    /** @param  array<string, array{routine: RoutineCode, step: Step, section: Section, mean: float, marks: int}>  $cells */
    private static function held(array $cells, ?Step $step, ?Section $section, ?RoutineCode $routine): ?self
    {
        $in = array_filter(
            $cells,
            static fn (array $cell): bool => ($step === null || $cell['step'] === $step)
                && ($section === null || $cell['section'] === $section)
                && ($routine === null || $cell['routine'] === $routine),
        );
        // Its like: other steps where it is about a step, other routines where it is about one.
        $like = array_filter(
            $cells,
            static fn (array $cell): bool => $routine !== null ? $cell['routine'] !== $routine : $cell['step'] !== $step
                && ($section === null || $cell['section'] === $section),
        );
        if ($in === [] || $like === []) {
            return null;
        }
        $deficit = self::below($in, $like, match (true) {
            $routine !== null => static fn (array $cell): string => $cell['step']->value,
            $section === null => static fn (array $cell): string => $cell['section']->value,
            default => static fn (array $cell): string => '',
        });

        return new self(
            $step, $section, $routine, null, $deficit, self::gain($in, 0.0, $deficit, count($cells)), (int) array_sum(array_column($in, 'marks')),
            count($in) ** self::BREADTH * $deficit ** 2,
        );
    }

    /**
     * Conditions that trouble this learner more than they are reckoned to, each kind by the worst of it that was driven in.
     *
     * @param  list<Evidence>  $marks
     * @param  array<string, array{routine: RoutineCode, step: Step, section: Section, mean: float, marks: int}>  $cells
     * @return list<self>
     */
    private static function conditions(Fit $fit, array $marks, array $cells): array
    {
        $worst = $driven = [];
        foreach ($marks as $one) {
            foreach (Difficulty::byKind($one->conditions) as $kind => $difficulty) {
                $driven[$kind] = ($driven[$kind] ?? 0) + 1;
                if ($difficulty > ($worst[$kind][0] ?? 0.0)) {
                    $worst[$kind] = [$difficulty, $one->conditions->noted()[$kind]];
                }
            }
        }
        $found = [];
        foreach ($worst as $kind => [$difficulty, $name]) {
            $load = $fit->load($kind);
            $sure = ($load->mean - 1.0 - Belief::TENTH * sqrt($load->variance)) * $difficulty;
            if ($sure > 0.0) {
                $deficit = ($load->mean - 1.0) * $difficulty;
                // What is sure of it (nine of ten, assumed) stands out, in the share of the marks that were made in it.
                $rank = (count($cells) * $driven[$kind] / count($marks)) ** self::BREADTH * $sure ** 2;
                $found[] = new self(
                    null, null, null, $name, $deficit, self::gain($cells, -$load->mean * $difficulty, $deficit, count($cells)), $driven[$kind], $rank,
                );
            }
        }

        return $found;
    }

    /**
     * What the average chance over so many cells would rise by.
     *
     * @param  array<string, array{routine: RoutineCode, step: Step, section: Section, mean: float, marks: int}>  $in
     */
    private static function gain(array $in, float $from, float $by, int $cells): float
    {
        return array_sum(
            array_map(static fn (array $cell): float => Ladder::logistic($cell['mean'] + $from + max(0.0, $by)) - Ladder::logistic($cell['mean'] + $from), $in),
        ) / $cells;
    }
}
