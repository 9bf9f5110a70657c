<?php

declare(strict_types=1);

namespace NobleTurn\Core\Diary;

/** What becomes of an appointment on a day that runs late. */
final readonly class Later
{
    /**
     * @param  ?Period  $period  when it is now; null where it cannot be kept at all
     * @param  int  $late  seconds by which it begins later
     * @param  int  $cut  seconds that are cut off its end, so that what follows and does not wait is reached
     */
    public function __construct(public Appointment $appointment, public ?Period $period, public int $late, public int $cut)
    {
    }

    /** Whether nobody needs to hear of it. */
    public function isAsPlanned(): bool
    {
        return $this->late === 0 && $this->cut === 0;
    }
}
