<?php

declare(strict_types=1);

namespace NobleTurn\Core\Judgement;

/** Somebody walking over a road: when they are over, past the island, and in or out of the way of our car. Places are walked from the kerb they left. */
final readonly class PersonCrossing
{
    public function __construct(
        public float $width,
        public ?float $island,
        public float $at,
        /** m/s */
        public float $walking,
        /** The part of the road our car drives over. */
        public float $pathFrom,
        public float $pathTo,
    ) {
    }

    public function secondsUntilOver(): float
    {
        return max(0.0, $this->width - $this->at) / $this->walking;
    }

    public function secondsUntilIsland(): ?float
    {
        return $this->island === null ? null : max(0.0, $this->island - $this->at) / $this->walking;
    }

    /** Seconds until they set foot on our path; 0 while they are on it, null once past it. */
    public function secondsUntilInOurWay(): ?float
    {
        return $this->at >= $this->pathTo ? null : max(0.0, $this->pathFrom - $this->at) / $this->walking;
    }

    public function secondsUntilOutOfOurWay(): float
    {
        return max(0.0, $this->pathTo - $this->at) / $this->walking;
    }
}
