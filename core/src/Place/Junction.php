<?php

declare(strict_types=1);

namespace NobleTurn\Core\Place;

/** What lies at the line and beyond it. */
final readonly class Junction
{
    public function __construct(
        /** The road one comes out into, or crosses. */
        public RoadMet $roadMet = new RoadMet,
        /** Null: as the routine implies. */
        public ?JunctionShape $shape = null,
    ) {
    }
}
