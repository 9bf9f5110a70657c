<?php

declare(strict_types=1);

namespace NobleTurn\Core\FastRoad;

use NobleTurn\Core\Judgement\Following;

/**
 * Room to a neighbour once we are in its lane: the time gap, and what the difference in speed eats up before it is made
 * good, easing off behind a slower one or gaining speed ahead of a faster one.
 */
final readonly class Room
{
    /** Off the gas behind a slower vehicle, and a gentle push ahead of a faster one, m/s2 (assumed). */
    public const EASING = Following::EASING_OFF;

    public const GAINING = 0.5;

    /** The most that easing off does, the brake left alone, m/s2 (assumed). */
    public const MOST_EASING = 1.0;

    public function __construct(private float $gapSeconds, private float $ourLength)
    {
    }

    public function ourLengthMetres(): float
    {
        return $this->ourLength;
    }

    /** Metres in hand, negative where they are missing; front to front in, between bodies out. */
    public function spareMetres(float $ours, float $ourSpeed, float $theirs, Neighbour $other): float
    {
        return $theirs >= $ours
            ? $theirs - $other->lengthMetres - $ours - $this->gapSeconds * $ourSpeed - self::catching($ourSpeed - $other->speedMps, self::EASING)
            : $ours - $this->ourLength - $theirs - $this->gapSeconds * $other->speedMps - self::catching($other->speedMps - $ourSpeed, self::GAINING);
    }

    /** Kept behind somebody at this speed of ours, m. */
    public function behindMetres(float $ourMps): float
    {
        return $this->gapSeconds * $ourMps;
    }

    /** The gap between bodies as time at the speed of the one behind; negative where they overlap. */
    public function seconds(float $ours, float $ourSpeed, float $theirs, Neighbour $other): float
    {
        return $theirs >= $ours
            ? ($theirs - $other->lengthMetres - $ours) / max(0.1, $ourSpeed)
            : ($ours - $this->ourLength - $theirs) / max(0.1, $other->speedMps);
    }

    private static function catching(float $faster, float $rate): float
    {
        return $faster > 0.0 ? $faster ** 2 / (2.0 * $rate) : 0.0;
    }
}
