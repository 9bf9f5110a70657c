<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

use NobleTurn\Core\Record\MarkedRound;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/** One thing done all the time between hazards, in one lesson: speed kept, signals, steadiness, by the stretches that were marked. */
final readonly class HabitKept
{
    /**
     * @param  int  $clean  stretches in which it was unaided and in order
     * @param  int  $of  stretches in which it was marked
     * @param  array<string, int>  $faults  stretches by kind of fault, most first
     */
    private function __construct(public Step $step, public int $clean, public int $of, public array $faults)
    {
    }

    /**
     * @param  list<MarkedRound>  $rounds  of one lesson
     * @return list<self> of the steps that were marked, in their order
     */
    public static function all(array $rounds): array
    {
        $stretches = array_filter($rounds, static fn (MarkedRound $round): bool => $round->routine === RoutineCode::BetweenHazards && $round->isEvidence());
        $found = [];
        foreach (Step::cases() as $step) {
            $marks = array_filter(array_map(static fn (MarkedRound $round) => $round->says($step), $stretches));
            if ($marks === []) {
                continue;
            }
            $faults = array_count_values(array_filter(array_map(static fn ($mark): ?string => $mark->fault, $marks)));
            arsort($faults);
            $found[] = new self($step, count(array_filter($marks, static fn ($mark): bool => $mark->isClean())), count($marks), $faults);
        }

        return $found;
    }
}
