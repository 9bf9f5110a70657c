<?php

declare(strict_types=1);

namespace NobleTurn\Core\Diary;

use NobleTurn\Core\Site\Position;

/** What an instructor is at, one after the other, with the drives between. */
final readonly class Day
{
    /** @param  list<Appointment>  $appointments in the order of their beginning */
    private function __construct(public array $appointments, private Travel $travel)
    {
    }

    /** @param  iterable<Appointment>  $appointments in any order */
    public static function of(iterable $appointments, Travel $travel): self
    {
        $sorted = [...$appointments];
        usort($sorted, static fn (Appointment $a, Appointment $b): int => [$a->period->from, $a->period->until, $a->id] <=> [
            $b->period->from, $b->period->until, $b->id,
        ]);

        return new self($sorted, $travel);
    }

    /** @return list<Between> one less than there are appointments */
    public function between(): array
    {
        $between = [];
        foreach ($this->appointments as $i => $next) {
            $last = $this->appointments[$i - 1] ?? null;
            if ($last !== null) {
                $between[] = new Between(
                    $last->id, $next->id, $next->period->from - $last->period->until,
                    $this->travel->seconds($last->ends, $next->starts, $last->period->until),
                    $this->travel->leavingFor($last->ends, $next->starts, $next->period->from),
                );
            }
        }

        return $between;
    }

    /**
     * Where another appointment of that length still fits: after what is there with the drive to it, before what is there with the drive on,
     * and on none of the times when somebody else who is needed is taken.
     *
     * @param  Period  $within  the hours that are worked
     * @param  int  $seconds  its length
     * @param  list<Period>  $taken  of the learner, of the car
     * @return list<Gap> in the order of the day
     */
    public function gaps(Period $within, int $seconds, ?Position $starts, ?Position $ends, array $taken = []): array
    {
        $gaps = [];
        foreach ($this->openings($within) as [$last, $next]) {
            // Drives only make it shorter.
            if (min($within->until, $next->period->from ?? $within->until) - max($within->from, $last->period->until ?? $within->from) < $seconds) {
                continue;
            }
            $there = $last === null ? null : $this->travel->seconds($last->ends, $starts, $last->period->until);
            $without = $last === null || $next === null ? null : $this->travel->seconds($last->ends, $next->starts, $last->period->until);
            $earliest = max($within->from, $last === null ? $within->from : $last->period->until + ($there ?? 0));
            $end = $next === null ? $within->until : min(
                $within->until, $this->travel->leavingFor($ends, $next->starts, $next->period->from) ?? $next->period->from,
            );
            foreach (self::without($earliest, $end, $taken) as [$from, $until]) {
                if ($until - $from >= $seconds) {
                    $on = $next === null ? null : $this->travel->seconds($ends, $next->starts, $from + $seconds);
                    $gaps[] = new Gap($from, $until - $seconds, $last?->id, $next?->id, $there, $on, $without);
                }
            }
        }

        return $gaps;
    }

    /** @return list<array{?Appointment, ?Appointment}> what lies before and after each time when nothing is on */
    private function openings(Period $within): array
    {
        $openings = [];
        $last = null;
        foreach ($this->appointments as $next) {
            if ($last === null || $next->period->from > $last->period->until) {
                $openings[] = [$last, $next];
            }
            // Of two on top of each other the later end counts.
            $last = $last === null || $next->period->until >= $last->period->until ? $next : $last;
        }
        $openings[] = [$last, null];

        return array_values(array_filter(
            $openings,
            static fn (array $one): bool => ($one[1] === null || $one[1]->period->from > $within->from)
                && ($one[0] === null || $one[0]->period->until < $within->until),
        ));
    }

    /**
     * @param  list<Period>  $taken
     * @return list<array{int, int}> what is left between two moments
     */
    private static function without(int $from, int $until, array $taken): array
    {
        usort($taken, static fn (Period $a, Period $b): int => $a->from <=> $b->from);
        $left = [];
        foreach ($taken as $period) {
            if ($period->from > $from) {
                $left[] = [$from, min($until, $period->from)];
            }
            $from = max($from, $period->until);
        }
        $left[] = [$from, $until];

        return $left;
    }
}
