<?php

declare(strict_types=1);

namespace NobleTurn\Core\Series;

/** One of a row, as it is asked for. */
final readonly class Ahead
{
    public function __construct(
        /** How it is asked for; null where nothing need be said. */
        public ?string $direction,
        /** By where it must have been said, metres before it begins. */
        public float $sayAtMetres,
        /** There is no place to say it once the one before is over. */
        public bool $sayTogether,
        /** Speed on the way to it, m/s. */
        public float $reachedMps,
    ) {
    }
}
