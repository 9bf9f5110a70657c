<?php

declare(strict_types=1);

namespace NobleTurn\Core\FastRoad;

/** One way of joining, held against everybody seen. */
final readonly class WayIn
{
    /** Room on both sides. */
    public bool $feasible;

    public function __construct(
        /** Which vehicle it is about, and whether ahead of it; null on a free road. */
        public ?int $which,
        public ?bool $ahead,
        public TwoParts $drive,
        /** From the choice on. */
        public float $seconds,
        /** Between bodies where we join, s. */
        public ?float $gapSeconds,
        /** Metres in hand to whoever has least; negative: missing. */
        public float $spareMetres,
        /** The last place at which it can still be chosen, m to the end of the lane. */
        public ?float $latestMetres,
        /** How far from simply reaching the main road's speed, m/s2. */
        public float $effortMps2,
        /** Below the traffic's speed where we join, m/s; 0 where it is reached. */
        public float $shortMps,
    ) {
        $this->feasible = $spareMetres >= 0.0;
    }

    /** Within reach of the traffic's speed: slower than this it is the slip's fault, not a way to be taken. */
    public function isGood(): bool
    {
        return $this->feasible && $this->shortMps <= Joining::FAULT_MPS;
    }

    public function cost(): float
    {
        return self::counts($this->effortMps2, $this->shortMps);
    }

    /** What a drive counts: its effort, and every m/s beyond the speed that nobody minds missing. */
    public static function counts(float $effortMps2, float $shortMps): float
    {
        return $effortMps2 + max(0.0, $shortMps - Joining::GOOD_MPS);
    }
}
