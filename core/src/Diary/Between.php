<?php

declare(strict_types=1);

namespace NobleTurn\Core\Diary;

/** From one appointment to the next. */
final readonly class Between
{
    /**
     * @param  int  $free  seconds from the end of the one to the beginning of the other; negative where they overlap
     * @param  ?int  $travel  seconds of driving; null where a place is not known
     * @param  ?int  $leave  the last moment to leave so as to be there in time
     */
    public function __construct(public string $after, public string $before, public int $free, public ?int $travel, public ?int $leave)
    {
    }

    /** By how many seconds the next begins too early; 0 where there is time enough, or nothing is known but that it does not overlap. */
    public function short(): int
    {
        return max(0, ($this->travel ?? 0) - $this->free);
    }
}
