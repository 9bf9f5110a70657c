<?php

declare(strict_types=1);

namespace NobleTurn\Core\Record;

use NobleTurn\Core\Rules\AskedByLaw;

/** All time at the wheel of one learner, and what the law asks of it. */
final readonly class HoursBook
{
    /** @param  list<TimeAtWheel>  $times */
    public function __construct(public array $times)
    {
    }

    /** Minutes with somebody, or with anybody; in one condition of a kind, or in all. */
    public function minutes(?Company $with = null, ?string $kind = null, ?string $condition = null): float
    {
        $minutes = 0.0;
        foreach ($this->times as $time) {
            if ($with === null || $time->with === $with) {
                $minutes += $kind === null ? $time->minutes : $time->minutesOf[$kind][$condition] ?? 0.0;
            }
        }

        return $minutes;
    }

    /** Holds it against what a law asks for. */
    public function against(AskedByLaw $asked): HeldHours
    {
        if ($asked->lessonMinutes === null) {
            return new HeldHours($asked, array_sum(array_map(static fn (TimeAtWheel $time): float => $time->in($asked->light), $this->times)));
        }
        $lessons = 0;
        foreach ($this->times as $time) {
            // A lesson twice as long counts twice (assumed); what is over is no part of another.
            $lessons += $time->with === Company::Instructor ? intdiv((int) round($time->minutes), $asked->lessonMinutes) : 0;
        }

        return new HeldHours($asked, $lessons);
    }
}
