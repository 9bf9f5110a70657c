<?php

declare(strict_types=1);

namespace NobleTurn\Core\School;

use NobleTurn\Core\Skill\Belief;
use NobleTurn\Core\Trade\RoutineCode;

/**
 * How a routine stands over all learners of a school. Each learner counts once, however many marks they have; the range is
 * that of their average, and with few learners there is none: one learner says little of a school.
 */
final readonly class RoutineTaught
{
    /** With fewer learners than this no range and no place in the order is given (assumed). */
    public const ENOUGH = 5;

    private function __construct(
        public RoutineCode $routine,
        /** Learners who drove it unaided or with help; to whom it was only shown; and who never met it. */
        public int $learners,
        public int $onlyShown,
        public int $never,
        /** Average over learners of their chance of "unaided", all steps together; null where nobody was marked. */
        public ?float $average,
        public ?float $low,
        public ?float $high,
        /** The step that stands lowest over them. */
        public ?string $weakest,
    ) {
    }

    public function isEnough(): bool
    {
        return $this->learners >= self::ENOUGH;
    }

    /**
     * @param  list<RoutineCode>  $routines  of the pack
     * @param  list<array{cells: array<string, non-empty-array<string, float>>, shown: list<string>}>  $learners
     * @return list<self> the weakest of those with enough learners first, then those with few, then what nobody was marked at
     */
    public static function of(array $routines, array $learners): array
    {
        $taught = array_map(static fn (RoutineCode $routine): self => self::one($routine, $learners), $routines);
        usort(
            $taught,
            static fn (self $a, self $b): int => [! $a->isEnough(), $a->average ?? 2.0, -$a->never] <=> [! $b->isEnough(), $b->average ?? 2.0, -$b->never],
        );

        return $taught;
    }

    /** @param  list<array{cells: array<string, non-empty-array<string, float>>, shown: list<string>}>  $learners */
    private static function one(RoutineCode $routine, array $learners): self
    {
        $each = $steps = [];
        $shown = 0;
        foreach ($learners as $learner) {
            $here = $learner['cells'][$routine->value] ?? [];
            if ($here !== []) {
                $each[] = array_sum($here) / count($here);
                foreach ($here as $step => $estimate) {
                    $steps[$step][] = $estimate;
                }
            } elseif (in_array($routine->value, $learner['shown'], true)) {
                $shown++;
            }
        }
        $n = count($each);
        $average = $n === 0 ? null : array_sum($each) / $n;
        $half = null;
        if ($n >= self::ENOUGH) {
            $variance = array_sum(array_map(static fn (float $one): float => ($one - $average) ** 2, $each)) / ($n - 1);
            $half = Belief::TENTH * sqrt($variance / $n);
        }
        $means = array_map(static fn (array $of): float => array_sum($of) / count($of), $steps);
        asort($means);

        return new self(
            $routine, $n, $shown, count($learners) - $n - $shown, $average,
            $half === null ? null : max(0.0, $average - $half), $half === null ? null : min(1.0, $average + $half), array_key_first($means),
        );
    }
}
