<?php

declare(strict_types=1);

namespace NobleTurn\Core\Diary;

/** An hour that has come free, for somebody it fits. */
final readonly class Offer
{
    /**
     * @param  int  $starts  the first beginning that fits, on whole five minutes
     * @param  int  $latest  the last beginning
     * @param  ?int  $drive  seconds that are driven more than without it; null where an address is not known
     * @param  array<string, float>  $reasons  what speaks for it, by name of the reason; the sum is what it is ordered by
     */
    public function __construct(public Waiting $to, public int $starts, public int $latest, public ?int $drive, public array $reasons)
    {
    }

    public function worth(): float
    {
        return array_sum($this->reasons);
    }
}
