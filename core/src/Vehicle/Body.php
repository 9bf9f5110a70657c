<?php

declare(strict_types=1);

namespace NobleTurn\Core\Vehicle;

/** What resists on the road: mass, air and rolling. All figures of the demo vehicles are assumed. */
final readonly class Body
{
    /** kg/m3, at sea level and 15 degrees (published: ICAO standard atmosphere, from memory). */
    public const AIR = 1.225;

    public function __construct(
        /** With driver, instructor and load, kg. */
        public float $massKg,
        /** Drag coefficient times frontal area, m2. */
        public float $dragAreaM2,
        /** Rolling resistance as a share of the weight. */
        public float $rolling,
    ) {
    }

    /** Resistance of air and tyres on the level, N. */
    public function newtonsAt(float $metresPerSecond, float $pressing): float
    {
        return $this->massKg * $this->rolling * $pressing + self::AIR / 2.0 * $this->dragAreaM2 * $metresPerSecond ** 2;
    }
}
