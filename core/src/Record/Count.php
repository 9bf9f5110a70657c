<?php

declare(strict_types=1);

namespace NobleTurn\Core\Record;

/** One count or time by the key. */
final readonly class Count
{
    /**
     * @param  int  $number  0 or more; what it counts, Counted says
     * @param  float  $seconds  more than nothing, s
     */
    public function __construct(public Counted $what, public int $number, public float $seconds)
    {
    }
}
