<?php

declare(strict_types=1);

namespace NobleTurn\Core\Trade;

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

    /** The mean deceleration that still feels unhurried on a dry road, m/s2 (assumed, range 1.5 to 2.5). */
    public const COMFORTABLE_DECELERATION = 2.0;

    /** How much of the deceleration that is comfortable on a dry road is planned with here (assumed). */
    public function shareOfComfort(): float
    {
        return match ($this) {
            self::Dry => 1.0,
            self::Wet => 0.8,
            self::Ice => 0.2,
        };
    }
}
