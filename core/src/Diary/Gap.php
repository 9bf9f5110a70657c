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
     * @param  ?int  $there  seconds of driving from the one before; null where there is none, or an address is not known
     * @param  ?int  $on  likewise to the one after, begun at the earliest
     * @param  ?int  $without  likewise from the one to the other, as it is without it
     */
    public function __construct(
        public int $earliest, public int $latest, public ?string $after, public ?string $before, public ?int $there, public ?int $on, public ?int $without,
    ) {
    }

    /** Seconds that are driven more with it than without; null where that is not known. */
    public function more(): ?int
    {
        $isKnown = ($this->after === null || $this->there !== null) && ($this->before === null || $this->on !== null)
            && ($this->after === null || $this->before === null || $this->without !== null);

        return $isKnown ? ($this->there ?? 0) + ($this->on ?? 0) - ($this->without ?? 0) : null;
    }

    /** The first beginning on a whole so many minutes; null where none lies in the gap. */
    public function first(int $minutes): ?int
    {
        $step = $minutes * 60;
        $at = intdiv($this->earliest + $step - 1, $step) * $step;

        return $at <= $this->latest ? $at : null;
    }
}
