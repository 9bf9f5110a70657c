<?php

declare(strict_types=1);

namespace NobleTurn\Core\Place;

/** A sign that tells the way, where a learner finds it without being told. */
final readonly class DirectionSign
{
    /**
     * From how far a town sign is read, m (assumed): letters of 14 cm, at 30 ft of distance for each inch of letter
     * (MUTCD 2009, 2A.13, from memory), rounded.
     */
    public const LEGIBLE_M = 50.0;

    public function __construct(
        /** Its place, metres to the line. */
        public float $atMetres,
        /** From how far before it can be read. */
        public float $legibleMetres,
    ) {
    }
}
