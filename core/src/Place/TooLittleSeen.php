<?php

declare(strict_types=1);

namespace NobleTurn\Core\Place;

use NobleTurn\Core\Trade\Side;

/** From the line one sees less along the road met than going on needs. */
final readonly class TooLittleSeen
{
    public function __construct(
        public Side $side,
        public float $seenMetres,
        /** Whoever comes into view that far off as we go has only to come off the gas. */
        public float $neededMetres,
    ) {
    }
}
