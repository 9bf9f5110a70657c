<?php

declare(strict_types=1);

namespace NobleTurn\Core\Record;

use NobleTurn\Core\Routine\RoutineCode;
use NobleTurn\Core\Routine\Step;

/** Honest counts of one step of one routine: how often with how much support, over how many lessons. No score. */
final readonly class Tally
{
    /**
     * @param  array<string, int>  $counts  by outcome, every outcome named
     * @param  list<array{lesson: string, at: \DateTimeImmutable, unaided: int, of: int, out_of_order: int}>  $lessons  oldest first
     */
    private function __construct(
        public RoutineCode $routine,
        public Step $step,
        public array $counts,
        public int $outOfOrder,
        public int $taught,
        public array $lessons,
    ) {
    }

    public function marked(): int
    {
        return array_sum($this->counts);
    }

    public function lastAt(): ?\DateTimeImmutable
    {
        return $this->lessons === [] ? null : $this->lessons[count($this->lessons) - 1]['at'];
    }

    /** @param  list<MarkedRound>  $rounds of any routine, in any order */
    public static function of(RoutineCode $routine, Step $step, array $rounds): self
    {
        usort($rounds, static fn (MarkedRound $a, MarkedRound $b): int => $a->at <=> $b->at);
        $counts = array_fill_keys(array_map(static fn (Outcome $outcome): string => $outcome->value, Outcome::cases()), 0);
        $outOfOrder = $taught = 0;
        $lessons = [];
        foreach ($rounds as $round) {
            if ($round->routine !== $routine) {
                continue;
            }
            if (! $round->isEvidence()) {
                $taught++;

                continue;
            }
            $mark = $round->mark($step);
            if ($mark === null) {
                continue;
            }
            $counts[$mark->outcome->value]++;
            $outOfOrder += (int) $mark->outOfOrder;
            $lesson = $lessons[$round->lesson] ?? ['lesson' => $round->lesson, 'at' => $round->at, 'unaided' => 0, 'of' => 0, 'out_of_order' => 0];
            $lessons[$round->lesson] = [
                'lesson' => $round->lesson,
                'at' => $round->at,
                'unaided' => $lesson['unaided'] + (int) ($mark->outcome === Outcome::Unaided),
                'of' => $lesson['of'] + 1,
                'out_of_order' => $lesson['out_of_order'] + (int) $mark->outOfOrder,
            ];
        }

        return new self($routine, $step, $counts, $outOfOrder, $taught, array_values($lessons));
    }

    /**
     * @param  list<MarkedRound>  $rounds
     * @return list<self> every step of every routine that was driven
     */
    public static function all(array $rounds): array
    {
        $tallies = [];
        foreach (RoutineCode::cases() as $routine) {
            $driven = array_values(array_filter($rounds, static fn (MarkedRound $round): bool => $round->routine === $routine));
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
