<?php

declare(strict_types=1);

namespace NobleTurn\Core\Place;

/** What the tyres have under them. */
enum Surface: string
{
    case Dry = 'dry';
    case Wet = 'wet';
    case Ice = 'ice';

    /** Sliding share of the weight the tyres can hold (assumed; ordinary tyres on worn asphalt). */
    public function grip(): float
    {
        return match ($this) {
            self::Dry => 0.7,
            self::Wet => 0.45,
            self::Ice => 0.1,
        };
    }

    /** The mean deceleration that still feels unhurried, m/s2 (assumed: 1.5 to 2.5 on a dry road). */
    public function comfortableDeceleration(): float
    {
        return match ($this) {
            self::Dry => 2.0,
            self::Wet => 1.6,
            self::Ice => 0.4,
        };
    }
}
