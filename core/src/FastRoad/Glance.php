<?php

declare(strict_types=1);

namespace NobleTurn\Core\FastRoad;

/** A look on the way along a slip road. */
final readonly class Glance
{
    public function __construct(
        /** To the end of its lane. */
        public float $placeMetres,
        /** From the beginning of the slip road. */
        public float $seconds,
        /** Mirror or shoulder. */
        public string $at,
        /** Driven without eyes ahead. */
        public float $coversMetres,
        public string $why,
    ) {
    }
}
