<?php

declare(strict_types=1);

namespace NobleTurn\Core\Diary;

/**
 * A day that runs late: the lesson that is on ends so much later, each after it begins when one can be there, and what is between takes up as
 * much of it as it holds. What does not wait, such as a test, is reached in time: the lesson before it gives way, is cut, and where
 * too little of it would be left, cannot be kept. So does one that would end after the day does.
 */
final readonly class LateDay
{
    /** Less of a lesson than that is none, s (assumed, adjustable). */
    public const LEAST = 1_800;

    /** @param  int  $whole  seconds on which lessons begin and end, such as 60: rounded so that one is there, never just not yet */
    public function __construct(private Travel $travel, private int $least = self::LEAST, private int $whole = 1)
    {
    }

    /**
     * @param  list<Appointment>  $rest  what is still to come, in its order, none on top of another
     * @param  Appointment  $on  the one that is on, or was last
     * @param  int  $late  seconds by which it ends later than it should
     * @param  list<string>  $fixed  ids of those that do not wait
     * @param  ?int  $closes  moment after which nothing goes on; null where nothing says so
     * @return list<Later> of the rest, in the same order
     */
    public function of(Appointment $on, int $late, array $rest, array $fixed = [], ?int $closes = null): array
    {
        $told = [];
        [$free, $from] = [$on->period->until + $late, $on];
        foreach ($rest as $i => $next) {
            $there = $this->whole * (int) ceil(($free + ($this->travel->seconds($from->ends, $next->starts, $free) ?? 0)) / $this->whole);
            $isFixed = in_array($next->id, $fixed, true);
            // What was short of time before is no later for it.
            $starts = $isFixed ? $next->period->from : max($next->period->from, min($there, $next->period->from + max(0, $late)));
            $ends = $starts + $next->period->seconds();
            $by = $isFixed ? $ends : min($ends, $this->leavesBy($next, $rest, $i, $fixed), $closes ?? PHP_INT_MAX);
            // Cut by nothing, it is as long as ever, however short that is.
            $isKept = $by >= $ends || $by - $starts >= $this->least;
            if (! $isKept) {
                $told[] = new Later($next, null, 0, 0);

                continue;
            }
            $told[] = new Later($next, new Period($starts, $by), $starts - $next->period->from, $ends - $by);
            [$free, $from] = [$by, $next];
        }

        return $told;
    }

    /**
     * @param  list<Appointment>  $rest
     * @param  list<string>  $fixed
     * @return int the last moment at which it has to be over so that what does not wait is reached: by the one right before it only
     */
    private function leavesBy(Appointment $lesson, array $rest, int $i, array $fixed): int
    {
        $next = $rest[$i + 1] ?? null;
        if ($next === null || ! in_array($next->id, $fixed, true)) {
            return PHP_INT_MAX;
        }
        $by = $this->travel->leavingFor($lesson->ends, $next->starts, $next->period->from) ?? $next->period->from;

        // Where there was too little time in the plan already, it is cut no shorter than it was planned.
        return max($this->whole * intdiv($by, $this->whole), $lesson->period->until);
    }
}
