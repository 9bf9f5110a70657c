<?php

declare(strict_types=1);

namespace NobleTurn\Core\Place;

use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Trade\Side;

/** The road one comes out into: what its traffic may do, whatever the limit of our own. */
final readonly class RoadMet
{
    public function __construct(
        /** Null where nobody has said it. */
        public ?Speed $limit = null,
        /** Each way. */
        public int $lanes = 1,
        /** Where it is one-way: the side to which it runs, seen from our line. */
        public ?Side $runsTo = null,
        public ParkedAlong $parked = ParkedAlong::None,
    ) {
    }

    /** Whether traffic comes along it from this side. */
    public function comesFrom(Side $side): bool
    {
        return $this->runsTo === null || $this->runsTo !== $side;
    }

    /** Whether one may turn into it to this side. */
    public function mayBeEntered(Side $side): bool
    {
        return $this->runsTo === null || $this->runsTo === $side;
    }
}
