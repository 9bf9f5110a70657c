<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Lanes\Arm;
use NobleTurn\Core\Lanes\Ring;
use NobleTurn\Core\Lanes\Trip;
use NobleTurn\Core\Rules\RulePack;

/** A question to the lane planner as it was read. */
final readonly class AskedLanes
{
    /** Round an ordinary roundabout, unhurried: v = sqrt(a r) with 2 m/s2 (assumed). */
    private const SIDEWAYS = 2.0;

    public function __construct(public RulePack $pack, public Ring $ring, public Trip $trip, public float $radius, public bool $mini)
    {
    }

    public function target(): Arm
    {
        return $this->ring->arms[$this->trip->sectors % count($this->ring->arms)];
    }

    public function arm(int $at): Arm
    {
        return $this->ring->arms[$at % count($this->ring->arms)];
    }

    public function secondsOnIt(): float
    {
        return $this->trip->angle * M_PI / 180.0 * $this->radius / sqrt(self::SIDEWAYS * $this->radius);
    }
}
