<?php

declare(strict_types=1);

namespace NobleTurn\Core\Judgement;

/** Somebody walking over a road: when they are over, past the island, and in or out of the way of our car. Places are walked from the kerb they left. */
final readonly class PersonCrossing
{
    public function __construct(
        public float $widthMetres,
        public ?float $islandMetres,
        public float $atMetres,
        /** m/s */
        public float $walkingMps,
        /** The part of the road our car drives over. */
        public float $pathFromMetres,
        public float $pathToMetres,
    ) {
    }

    public function secondsUntilOver(): float
    {
        return max(0.0, $this->widthMetres - $this->atMetres) / $this->walkingMps;
    }

    public function secondsUntilIsland(): ?float
    {
        return $this->islandMetres === null ? null : max(0.0, $this->islandMetres - $this->atMetres) / $this->walkingMps;
    }

    /** Seconds until they set foot on our path; 0 while they are on it, null once past it. */
    public function secondsUntilInOurWay(): ?float
    {
        return $this->atMetres >= $this->pathToMetres ? null : max(0.0, $this->pathFromMetres - $this->atMetres) / $this->walkingMps;
    }

    public function secondsUntilOutOfOurWay(): float
    {
        return max(0.0, $this->pathToMetres - $this->atMetres) / $this->walkingMps;
    }
}
