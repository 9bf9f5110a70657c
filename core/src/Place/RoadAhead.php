<?php

declare(strict_types=1);

namespace NobleTurn\Core\Place;

/** What the road itself asks of the speed on the way to the line: a curve, a crest, a dip, and how far one sees. */
final readonly class RoadAhead
{
    public function __construct(
        /** The least that is seen ahead on the way, m; null where the road is open. */
        public ?float $seenMetres = null,
        public ?Curve $curve = null,
        public ?Crest $crest = null,
        public ?Dip $dip = null,
    ) {
    }

    /** Whether anything on it ends the view. */
    public function hides(): bool
    {
        return $this->seenMetres !== null || $this->curve?->offsetMetres !== null || $this->crest !== null || $this->dip !== null;
    }
}
