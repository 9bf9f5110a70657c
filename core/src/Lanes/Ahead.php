<?php

declare(strict_types=1);

namespace NobleTurn\Core\Lanes;

/** The junction behind the one that is planned: what it asks of the lane we leave in. */
final readonly class Ahead
{
    public function __construct(
        public ?int $lane,
        public int $changes,
        /** To its line. */
        public float $distanceMetres,
        /** For the changes, one at a time. */
        public float $neededMetres,
        public bool $fits,
    ) {
    }
}
