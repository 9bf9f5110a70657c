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
        public float $wheelbaseMetres,
        public float $widthMetres,
        public float $frontOverhangMetres = 0.0,
        public float $rearOverhangMetres = 0.0,
        /** From the rear axle to the coupling of the next unit, positive behind the axle, m. */
        public float $hitchOffsetMetres = 0.0,
    ) {
    }
}
