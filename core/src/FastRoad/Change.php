<?php

declare(strict_types=1);

namespace NobleTurn\Core\FastRoad;

/** One way of changing lane. */
final readonly class Change
{
    public bool $feasible;

    public function __construct(
        public string $kind,
        public float $acceleration,
        public float $endSpeed,
        /** Until we begin to move over, s. */
        public float $seconds,
        /** Until we are in, m. */
        public float $metres,
        /** Metres in hand to whoever has least; negative: missing. */
        public float $spare,
        public ?float $gapAhead,
        public ?float $gapBehind,
        /** Whether it ends where the lane still goes on. */
        public bool $inRoom,
    ) {
        $this->feasible = $spare >= 0.0 && $inRoom;
    }

    /** Effort and patience on one scale: a second of waiting counts a tenth of 1 m/s2 (assumed). */
    public function cost(): float
    {
        return abs($this->acceleration) + 0.1 * ($this->seconds - LaneChange::CHECKS_S);
    }
}
