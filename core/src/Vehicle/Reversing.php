<?php

declare(strict_types=1);

namespace NobleTurn\Core\Vehicle;

/** Going backwards at walking pace: along a kerb, into a bay, down a ramp. */
final readonly class Reversing
{
    /** Slow walking pace, m/s (assumed; common practice says "slow walking pace"). */
    public const PACE = 0.7;

    /** An angle to the kerb is taken out over this much of the way, m (assumed). */
    public const CORRECTED_OVER = 2.0;

    /**
     * Gap between the rear wheel and the kerb after going back, m: it grows with the sine of the angle.
     *
     * @param  float  $angle  radians, + where the tail points away from the kerb
     */
    public static function gapAfter(float $gap, float $angle, float $distance): float
    {
        return $gap + $distance * sin($angle);
    }

    /** Where the rear wheel touches the kerb, m back; null where it does not within the distance. */
    public static function touchesAt(float $gap, float $angle, float $distance): ?float
    {
        $at = $angle < 0.0 ? $gap / sin(-$angle) : INF;

        return $at < $distance ? $at : null;
    }

    /** Turns of the hand wheel that take an angle out over the usual stretch. */
    public static function turnsToCorrect(Chassis $chassis, float $angle): float
    {
        return $angle === 0.0 ? 0.0 : $chassis->handWheelAngle(self::CORRECTED_OVER / abs($angle)) / (2.0 * M_PI);
    }

    /**
     * A right-angle bay entered backwards in one arc that ends with the rear axle at its mouth.
     *
     * @return array{radius: float, past: float, off: float, aisle: float, side: float, length: float} of the rear axle's
     *                                                                                               middle: radius, how far past the bay's middle it stands at the start, how far off the mouth; the room the front needs
     *                                                                                               from the mouth; what is left beside the car in the bay; length of the way
     */
    public static function bay(Chassis $chassis, float $radius, float $bayWidth, float $bayDepth): array
    {
        return [
            'radius' => $radius,
            'past' => $radius,
            'off' => $radius,
            'aisle' => $chassis->outerRadius($radius),
            'side' => ($bayWidth - $chassis->width) / 2.0,
            'length' => $radius * M_PI_2 + max(0.0, $bayDepth - $chassis->rearOverhang),
        ];
    }
}
