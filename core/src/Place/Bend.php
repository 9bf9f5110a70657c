<?php

declare(strict_types=1);

namespace NobleTurn\Core\Place;

/**
 * A corner between kerbs, turning left: the inner kerb runs straight, round an arc about the origin, and straight on;
 * the lanes before and after it have their own widths. Metres; the vehicle comes along x.
 */
final readonly class Bend
{
    public function __construct(
        public float $kerbRadiusMetres,
        public float $entryWidthMetres,
        public float $exitWidthMetres,
        /** How far it turns, radians, more than 0 and less than pi. */
        public float $angleRadians,
    ) {
    }
}
