<?php

declare(strict_types=1);

namespace NobleTurn\Core\Diary;

/** Where another appointment fits: it may begin at any moment from the earliest to the latest. */
final readonly class Gap
{
    /**
     * @param  int  $earliest  moment of the epoch
     * @param  int  $latest  likewise; not before the earliest
     * @param  ?string  $after  the appointment before; null where the day begins with it
     * @param  ?string  $before  the one after
     */
    public function __construct(public int $earliest, public int $latest, public ?string $after, public ?string $before)
    {
    }

    /** The first beginning on a whole so many minutes; null where none lies in the gap. */
    public function first(int $minutes): ?int
    {
        $step = $minutes * 60;
        $at = intdiv($this->earliest + $step - 1, $step) * $step;

        return $at <= $this->latest ? $at : null;
    }
}
