<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

use NobleTurn\Core\Routine\Section;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Side;
use NobleTurn\Core\Trade\Step;

/**
 * One thing that may hold a learner back: a step everywhere, in one section or on one side, or a routine. How far its cells lie below their
 * like, and how much more likely the marks are with such a hole than without one.
 *
 * The odds are those of a Gaussian hole against none (Savage-Dickey, from memory): with distances y of its cells, each known to a precision w,
 * and holes of a depth of tau, (sum w y)^2 / (2 (sum w + 1/tau^2)) - ln(1 + tau^2 sum w) / 2. So a hole over many cells has to explain all of
 * them, and one over a few is not drowned by the rest.
 */
final readonly class Hole
{
    /** How deep one is where there is one, logits, and how likely beside the others, natural logarithm (chosen on simulated learners). */
    private const DEPTHS = ['step' => [0.6, 0.0], 'section' => [1.5, 1.0], 'side' => [1.2, 0.0], 'routine' => [0.4, 0.0]];

    /** By how much the cells of an even learner differ all the same, logits (likewise). */
    private const UNEVEN = 0.5;

    /** A side is at least so many routines to it. */
    private const LEAST_WAYS = 2;

    /**
     * @param  array<string, MarkedCell>  $in
     * @param  float  $deficit  below its like, logits
     * @param  float  $odds  natural logarithm
     */
    private function __construct(
        public ?Step $step, public ?Section $section, public ?Side $side, public ?RoutineCode $routine, public array $in, public float $deficit,
        public float $odds,
    ) {
    }

    /**
     * @param  array<string, MarkedCell>  $cells
     * @return list<self> every one that can be spoken of
     */
    public static function all(array $cells): array
    {
        $holes = [];
        foreach (Step::cases() as $step) {
            $holes[] = self::of($cells, 'step', $step);
            foreach (array_unique(array_map(static fn (MarkedCell $cell): string => $cell->section->value, $cells)) as $section) {
                $holes[] = self::of($cells, 'section', $step, section: Section::from($section));
            }
            foreach (Side::cases() as $side) {
                $holes[] = self::of($cells, 'side', $step, side: $side);
            }
        }
        foreach (array_unique(array_map(static fn (MarkedCell $cell): string => $cell->routine->value, $cells)) as $routine) {
            $holes[] = self::of($cells, 'routine', routine: RoutineCode::from($routine));
        }

        return array_values(array_filter($holes));
    }

    /** @param  array<string, MarkedCell>  $cells */
    private static function of(
        array $cells, string $kind, ?Step $step = null, ?Section $section = null, ?Side $side = null, ?RoutineCode $routine = null,
    ): ?self {
        $isIn = static fn (MarkedCell $cell): bool => ($step === null || $cell->step === $step) && ($section === null || $cell->section === $section)
            && ($side === null || $cell->side === $side) && ($routine === null || $cell->routine === $routine);
        $in = array_filter($cells, $isIn);
        // Its like: other steps of the same ways where it is about a step, other routines where it is about one.
        $like = array_filter($cells, static fn (MarkedCell $cell): bool => $routine !== null ? $cell->routine !== $routine : $cell->step !== $step
            && ($section === null || $cell->section === $section) && ($side === null || $cell->side === $side));
        $across = $side === null ? [] : array_filter($cells, static fn (MarkedCell $cell): bool => $cell->step === $step && $cell->side === $side->other());
        if ($in === [] || $like === [] || $side !== null && (count($in) < self::LEAST_WAYS || $across === [])) {
            return null;
        }
        $bySection = static fn (MarkedCell $cell): string => $cell->section->value;
        $deficit = match ($kind) {
            'routine' => self::below($in, $like, static fn (MarkedCell $cell): string => $cell->step->value),
            'section' => self::below($in, $like, static fn (MarkedCell $cell): string => ''),
            // Below the same step on the other side, too.
            'side' => min(self::below($in, $across, $bySection), self::below($in, $like, $bySection)),
            default => self::below($in, $like, $bySection),
        };

        return new self($step, $section, $side, $routine, $in, $deficit, self::odds($in, $cells, $kind));
    }

    /**
     * @param  array<string, MarkedCell>  $in
     * @param  array<string, MarkedCell>  $cells
     */
    private static function odds(array $in, array $cells, string $kind): float
    {
        [$depth, $before] = self::DEPTHS[$kind];
        $weight = $sum = 0.0;
        foreach ($in as $cell) {
            $like = array_filter($cells, static fn (MarkedCell $other): bool => $kind === 'routine'
                ? $other->step === $cell->step && $other->routine !== $cell->routine : $other->routine === $cell->routine && $other->step !== $cell->step);
            if ($like !== []) {
                $precision = 1.0 / (self::UNEVEN ** 2 + $cell->stands->variance);
                $weight += $precision;
                $sum += $precision * ($cell->belief->mean - self::mean($like));
            }
        }

        return $before - log(1.0 + $depth ** 2 * $weight) / 2.0 + ($sum >= 0.0 ? 0.0 : $sum ** 2 / 2.0 / ($weight + 1.0 / $depth ** 2));
    }

    /**
     * How far some cells lie below their like: kind by kind (a routine step by step, a step section by section), and of these the
     * middle one, so that one deep hole does not pass for a slope.
     *
     * @param  array<string, MarkedCell>  $in
     * @param  array<string, MarkedCell>  $like
     * @param  \Closure(MarkedCell): string  $kind
     */
    private static function below(array $in, array $like, \Closure $kind): float
    {
        $by = [];
        foreach (array_unique(array_map($kind, $in)) as $name) {
            $there = array_filter($like, static fn (MarkedCell $cell): bool => $kind($cell) === $name);
            $here = array_filter($in, static fn (MarkedCell $cell): bool => $kind($cell) === $name);
            if ($there !== [] && $here !== []) {
                $by[] = self::mean($there) - self::mean($here);
            }
        }
        sort($by);
        $middle = intdiv(count($by), 2);

        return $by === [] ? 0.0 : (count($by) % 2 === 1 ? $by[$middle] : ($by[$middle - 1] + $by[$middle]) / 2.0);
    }

    /** @param  non-empty-array<string, MarkedCell>  $cells */
    private static function mean(array $cells): float
    {
        return array_sum(array_map(static fn (MarkedCell $cell): float => $cell->belief->mean, $cells)) / count($cells);
    }
}
