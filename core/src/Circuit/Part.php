<?php

declare(strict_types=1);

namespace NobleTurn\Core\Circuit;

/** A stretch of a lesson's time: from and until, whole seconds since it began. */
final readonly class Part
{
    /**
     * @param  ?string  $way  id of the way it belongs to or leads to; null on the way to the end, and after
     * @param  ?int  $round  which one, from 1
     * @param  float  $metres  driven in it
     */
    public function __construct(
        public PartKind $kind, public ?string $way, public ?int $round, public int $from, public int $until, public float $metres, public bool $isMeasured,
    ) {
    }
}
