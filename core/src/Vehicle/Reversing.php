<?php

declare(strict_types=1);

namespace NobleTurn\Core\Vehicle;

/** Going backwards at walking pace along a kerb. */
final readonly class Reversing
{
    /** Slow walking pace, m/s (assumed; common practice says "slow walking pace"). */
    public const PACE_MPS = 0.7;

    /** An angle to the kerb is taken out over this much of the way, m (assumed). */
    public const CORRECTED_OVER_M = 2.0;

    /**
     * Gap between the rear wheel and the kerb after going back, m: it grows with the sine of the angle.
     *
     * @param  float  $radians  to the kerb, + where the tail points away from the kerb
     */
    public static function gapAfterMetres(float $gapMetres, float $radians, float $distanceMetres): float
    {
        return $gapMetres + $distanceMetres * sin($radians);
    }

    /** Where the rear wheel touches the kerb, m back; null where it does not within the distance. */
    public static function touchesAtMetres(float $gapMetres, float $radians, float $distanceMetres): ?float
    {
        $at = $radians < 0.0 ? $gapMetres / sin(-$radians) : INF;

        return $at < $distanceMetres ? $at : null;
    }

    /** Turns of the hand wheel that take an angle out over the usual stretch. */
    public static function correctingTurns(Chassis $chassis, float $radians): float
    {
        return $radians === 0.0 ? 0.0 : $chassis->handWheelRadians(self::CORRECTED_OVER_M / abs($radians)) / (2.0 * M_PI);
    }
}
