<?php

declare(strict_types=1);

namespace NobleTurn\Core\FastRoad;

/** A drive along the slip, with where it brings us among the others. */
final readonly class Tried
{
    /** @param  list<bool>  $behind  for each vehicle seen, whether it is behind us where we join */
    public function __construct(
        public TwoParts $drive,
        /** From the choice on. */
        public float $seconds,
        /** In hand to whoever has least. */
        public float $spareMetres,
        public array $behind,
    ) {
    }

    /** As a way in counts it. */
    public function cost(Joining $joining): float
    {
        return $this->drive->effortMps2($joining->naturalMps2) + max(0.0, $joining->mainMps - $this->drive->endMps - Joining::GOOD_MPS);
    }
}
