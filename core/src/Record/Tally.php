<?php

declare(strict_types=1);

namespace NobleTurn\Core\Record;

use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/** Honest counts of one step of one routine: how often with how much support. No score. */
final readonly class Tally
{
    /** @param  array<string, int>  $counts  by outcome, every outcome named */
    private function __construct(
        public RoutineCode $routine,
        public Step $step,
        public array $counts,
        public int $outOfOrder,
        public int $taught,
    ) {
    }

    public function marked(): int
    {
        return array_sum($this->counts);
    }

    /** @param  list<MarkedRound>  $rounds of any routine, in any order */
    public static function of(RoutineCode $routine, Step $step, array $rounds): self
    {
        $counts = array_fill_keys(array_map(static fn (Outcome $outcome): string => $outcome->value, Outcome::cases()), 0);
        $outOfOrder = $taught = 0;
        foreach ($rounds as $round) {
            if ($round->routine !== $routine) {
                continue;
            }
            if (! $round->isEvidence()) {
                $taught++;

                continue;
            }
            $mark = $round->says($step);
            if ($mark === null) {
                continue;
            }
            $counts[$mark->outcome->value]++;
            $outOfOrder += (int) $mark->outOfOrder;
        }

        return new self($routine, $step, $counts, $outOfOrder, $taught);
    }

    /**
     * @param  list<MarkedRound>  $rounds
     * @return list<self> every step of every routine that was driven
     */
    public static function all(array $rounds): array
    {
        $tallies = [];
        foreach (RoutineCode::cases() as $routine) {
            // What was only counted, or marked as a moment, says nothing of any step.
            $driven = array_values(array_filter(
                $rounds, static fn (MarkedRound $round): bool => $round->routine === $routine && ($round->saysSomething() || $round->taught !== null),
            ));
            if ($driven === []) {
                continue;
            }
            foreach (Step::cases() as $step) {
                $tallies[] = self::of($routine, $step, $driven);
            }
        }

        return $tallies;
    }
}
