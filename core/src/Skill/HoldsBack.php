<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

use NobleTurn\Core\Routine\Section;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Side;
use NobleTurn\Core\Trade\Step;

/**
 * What holds a learner back most: a step everywhere, in one section or on one side, or a routine, by how far it lies below its like; or one kind
 * of conditions, by how much more it takes off than it is reckoned to. The gain is what the average chance of "unaided" over all marked
 * cells (in those conditions) would rise by if it lay level.
 */
final readonly class HoldsBack
{
    /** Fewer marks name nothing, and a shallower hole, logits, is not worth naming (assumed). */
    private const LEAST_MARKS = 5;

    private const LEAST_DEFICIT = 0.4;

    /** A kind of fault seen less often is none that stands out (assumed). */
    private const LEAST_FAULTS = 3;

    private function __construct(
        public ?Step $step,
        public ?Section $section,
        /** Over all ways to that side. */
        public ?Side $side,
        public ?RoutineCode $routine,
        /** Such as "busy", where it is about conditions. */
        public ?string $condition,
        /** Its kind of fault, where one stands out. */
        public ?string $fault,
        /** Below its like, logits. */
        public float $deficit,
        public float $gain,
        /** Marks it rests on. */
        public int $evidence,
        /** How much more likely the marks are with it than without it, natural logarithm. */
        private float $odds,
    ) {
    }

    /**
     * @param  list<Evidence>  $evidence
     * @return list<self> those clearly below their like, most first
     */
    public static function of(Fit $fit, array $evidence): array
    {
        $marks = array_values(array_filter($evidence, static fn (Evidence $one): bool => ! $one->taught));
        $cells = MarkedCell::all($fit, $marks);
        $faults = [];
        foreach ($marks as $one) {
            if ($one->mark->fault !== null) {
                $faults[$one->cell()][$one->mark->fault] = ($faults[$one->cell()][$one->mark->fault] ?? 0) + 1;
            }
        }
        $found = [...self::conditions($fit, $marks, $cells), ...array_map(static fn (Hole $hole): self => new self(
            $hole->step, $hole->section, $hole->side, $hole->routine, null, self::fault($hole, $faults), $hole->deficit,
            self::gain($hole->in, 0.0, $hole->deficit, count($cells)),
            (int) array_sum(array_map(static fn (MarkedCell $cell): int => $cell->marks, $hole->in)), $hole->odds,
        ), Hole::all($cells))];
        $found = array_values(
            array_filter($found, static fn (self $one): bool => $one->deficit >= self::LEAST_DEFICIT && $one->evidence >= self::LEAST_MARKS),
        );
        usort($found, static fn (self $a, self $b): int => $b->odds <=> $a->odds);

        return $found;
    }

    /**
     * Conditions that trouble this learner more than they are reckoned to, each kind by the worst of it that was driven in.
     *
     * @param  list<Evidence>  $marks
     * @param  array<string, MarkedCell>  $cells
     * @return list<self>
     */
    private static function conditions(Fit $fit, array $marks, array $cells): array
    {
        $alike = [];
        foreach ($marks as $one) {
            $noted = implode(' ', $one->conditions->noted());
            $alike[$noted] = [$one->conditions, ($alike[$noted][1] ?? 0) + 1];
        }
        $worst = $driven = [];
        foreach ($alike as [$conditions, $times]) {
            foreach (Difficulty::byKind($conditions) as $kind => $difficulty) {
                $driven[$kind] = ($driven[$kind] ?? 0) + $times;
                if ($difficulty > ($worst[$kind][0] ?? 0.0)) {
                    $worst[$kind] = [$difficulty, $conditions->noted()[$kind]];
                }
            }
        }
        $found = [];
        foreach ($worst as $kind => [$difficulty, $name]) {
            $load = $fit->load($kind);
            $more = $load->mean - 1.0;
            // Only what is sure of it (nine of ten, assumed).
            if ($more > Belief::TENTH * sqrt($load->variance)) {
                $found[] = new self(
                    null, null, null, null, $name, null, $more * $difficulty,
                    self::gain($cells, -$load->mean * $difficulty, $more * $difficulty, count($cells)),
                    $driven[$kind], $more ** 2 / 2.0 / $load->variance - log(max(1.0, $fit->model->load ** 2 / $load->variance)) / 2.0,
                );
            }
        }

        return $found;
    }

    /**
     * The kind of fault that was seen in most of the rounds that had one; a step by itself may have several ways to go wrong.
     *
     * @param  array<string, array<string, int>>  $faults  how often each kind was seen, by cell
     */
    private static function fault(Hole $hole, array $faults): ?string
    {
        $seen = [];
        foreach ($hole->step === null ? [] : array_intersect_key($faults, $hole->in) as $kinds) {
            foreach ($kinds as $kind => $times) {
                $seen[$kind] = ($seen[$kind] ?? 0) + $times;
            }
        }
        arsort($seen);
        $most = reset($seen);

        return $most >= self::LEAST_FAULTS && 2 * $most > array_sum($seen) ? (string) key($seen) : null;
    }

    /**
     * What the average chance over so many cells would rise by.
     *
     * @param  array<string, MarkedCell>  $in
     */
    private static function gain(array $in, float $from, float $by, int $cells): float
    {
        return array_sum(array_map(
            static fn (MarkedCell $cell): float => Ladder::logistic($cell->belief->mean + $from + max(0.0,
                $by)) - Ladder::logistic($cell->belief->mean + $from),
            $in,
        )) / $cells;
    }
}
