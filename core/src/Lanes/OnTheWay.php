<?php

declare(strict_types=1);

namespace NobleTurn\Core\Lanes;

use NobleTurn\Core\Motion\Profile;

/**
 * When what is met and due on the way to a junction and through it. Places are metres to the line, negative beyond it;
 * seconds likewise. Before the line it is the approach plan's own motion; beyond it the speed held on the roundabout.
 */
final readonly class OnTheWay
{
    public function __construct(
        private Profile $profile,
        /** Where the mirrors for the junction itself are due, m: our lane has been taken by then. */
        public float $laneByMetres,
        public ?float $signalMetres,
        public float $onItMps,
        private int $inLane,
        private int $lane,
        /** Reading a sign and settling what it asks, s. */
        public float $readSeconds,
    ) {
    }

    public function changes(): int
    {
        return abs($this->lane - $this->inLane);
    }

    /** Where change n (from 0) begins, m. */
    public function changeMetres(int $n): float
    {
        return $this->laneByMetres + ($this->changes() - $n) * Onward::CHANGE_S * $this->profile->approachMps();
    }

    /** By where the sign must have begun to be read, m. */
    public function decideByMetres(): float
    {
        return $this->changeMetres(0) + $this->readSeconds * $this->profile->approachMps();
    }

    /** Seconds to the line from a place before it, or since the line beyond it (negative). */
    public function secondsAt(float $metres): float
    {
        return $metres <= 0.0 ? $metres / $this->onItMps : $this->profile->secondsAt($metres);
    }
}
