<?php

declare(strict_types=1);

namespace NobleTurn\Core\Motion;

/** A place before the line that is taken first: slow already there, and on to the line without gathering speed. */
final readonly class Halfway
{
    public function __construct(
        /** Before the line, m. */
        public float $metres,
        /** There, and on to where the line asks for less, m/s. */
        public float $mps,
        /** At that speed already so long before it, s. */
        public float $secondsBefore,
    ) {
    }
}
