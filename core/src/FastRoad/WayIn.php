<?php

declare(strict_types=1);

namespace NobleTurn\Core\FastRoad;

/** One way of joining, held against everybody seen. */
final readonly class WayIn
{
    public bool $feasible;

    public function __construct(
        /** Which vehicle it is about, and whether ahead of it; null on a free road. */
        public ?int $which,
        public ?bool $ahead,
        public float $accelerationMps2,
        public float $endMps,
        public float $seconds,
        /** Between bodies where we join, s. */
        public ?float $gapSeconds,
        /** Metres in hand to whoever has least; negative: missing. */
        public float $spareMetres,
        /** The last place at which it can still be chosen, m to the end of the lane. */
        public ?float $latestMetres,
        /** How far from simply reaching the main road's speed, m/s2. */
        public float $effortMps2,
    ) {
        $this->feasible = $spareMetres >= 0.0;
    }
}
