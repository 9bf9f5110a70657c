<?php

declare(strict_types=1);

namespace NobleTurn\Core\Place;

/** What lies at the line, just before it and beyond it. */
final readonly class Junction
{
    public function __construct(
        /** The road one comes out into, or crosses. */
        public RoadMet $roadMet = new RoadMet,
        /** Null: as the routine implies. */
        public ?JunctionShape $shape = null,
        /** A path for people or cycles that crosses our way so far before the line, m; null where there is none. */
        public ?float $pathBeforeMetres = null,
        /** The view opens only so far beyond the line, m; 0 where it opens at it or before. */
        public float $viewBeyondMetres = 0.0,
        /** @var list<TooLittleSeen> from the line, along the road met */
        public array $tooLittleSeen = [],
        /** Between our line and the one that cycles wait at, m; 0 where there is no box. */
        public float $cycleBoxMetres = 0.0,
    ) {
    }
}
