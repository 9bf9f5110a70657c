<?php

declare(strict_types=1);

namespace NobleTurn\Core\Vehicle;

/**
 * One rigid part of a vehicle as it turns. Of the first unit the wheelbase runs from front to rear axle, of a
 * trailer from its coupling to its (middle) axle; the front overhang is what stands before that front point.
 */
final readonly class Unit
{
    public function __construct(
        public float $wheelbase,
        public float $width,
        public float $frontOverhang = 0.0,
        public float $rearOverhang = 0.0,
        /** From the rear axle to the coupling of the next unit, positive behind the axle, m. */
        public float $hitchOffset = 0.0,
    ) {
    }
}
