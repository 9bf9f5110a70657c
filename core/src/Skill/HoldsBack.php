<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

use NobleTurn\Core\Routine\RoutineCode;
use NobleTurn\Core\Routine\Section;
use NobleTurn\Core\Routine\Step;

/**
 * What holds a learner back most: a step everywhere, a step in one section, or a routine, by how far it lies below its
 * like. The gain is what the average chance of "unaided" over all marked cells would rise by if it lay level with them.
 */
final readonly class HoldsBack
{
    private function __construct(
        public ?Step $step,
        public ?Section $section,
        public ?RoutineCode $routine,
        /** Below its like, logits. */
        public float $deficit,
        public float $gain,
        /** Marks it rests on, and cells it is about. */
        public int $evidence,
        private int $cells,
    ) {
    }

    /** Fewer marks name nothing, and less to be gained is not worth naming (assumed). */
    private const LEAST_MARKS = 5;

    private const LEAST_GAIN = 0.01;

    /**
     * How much it stands out: the squared deficits of its cells together, on the logit scale, where a hole is as deep for a
     * beginner as for somebody nearly ready. Much in a few cells comes before a little in many.
     */
    private function rank(): float
    {
        return $this->cells * $this->deficit ** 2;
    }

    /**
     * @param  list<Evidence>  $evidence
     * @return list<self> those clearly below their like, most first
     */
    public static function of(Fit $fit, array $evidence): array
    {
        /** @var array<string, array{routine: RoutineCode, step: Step, section: Section, mean: float, marks: int}> $cells */
        $cells = [];
        foreach ($evidence as $one) {
            if ($one->taught) {
                continue;
            }
            $key = $one->cell();
            $cells[$key] ??= ['routine' => $one->routine, 'step' => $one->step, 'section' => $fit->section($one->routine), 'mean' => $fit->belief($one->routine, $one->step)->mean, 'marks' => 0];
            $cells[$key]['marks']++;
        }
        $found = [];
        foreach (Step::cases() as $step) {
            $found[] = self::held($cells, $step, null, null);
            foreach (array_unique(array_map(static fn (array $cell): string => $cell['section']->value, $cells)) as $section) {
                $found[] = self::held($cells, $step, Section::from($section), null);
            }
        }
        foreach (array_unique(array_map(static fn (array $cell): string => $cell['routine']->value, $cells)) as $routine) {
            $found[] = self::held($cells, null, null, RoutineCode::from($routine));
        }
        $found = array_values(array_filter($found, static fn (?self $one): bool => $one !== null && $one->deficit > 0.0 && $one->evidence >= self::LEAST_MARKS && $one->gain >= self::LEAST_GAIN));
        usort($found, static fn (self $a, self $b): int => $b->rank() <=> $a->rank());

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
        $in = array_filter($cells, static fn (array $cell): bool => ($step === null || $cell['step'] === $step) && ($section === null || $cell['section'] === $section) && ($routine === null || $cell['routine'] === $routine));
        // Its like: other steps where it is about a step, other routines where it is about one.
        $like = array_filter($cells, static fn (array $cell): bool => $routine !== null ? $cell['routine'] !== $routine : $cell['step'] !== $step && ($section === null || $cell['section'] === $section));
        if ($in === [] || $like === []) {
            return null;
        }
        $deficit = self::below($in, $like, match (true) {
            $routine !== null => static fn (array $cell): string => $cell['step']->value,
            $section === null => static fn (array $cell): string => $cell['section']->value,
            default => static fn (array $cell): string => '',
        });
        $gain = array_sum(array_map(static fn (array $cell): float => Ladder::logistic($cell['mean'] + max(0.0, $deficit)) - Ladder::logistic($cell['mean']), $in)) / count($cells);

        return new self($step, $section, $routine, $deficit, $gain, (int) array_sum(array_column($in, 'marks')), count($in));
    }
}
