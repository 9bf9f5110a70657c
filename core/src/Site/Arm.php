<?php

declare(strict_types=1);

namespace NobleTurn\Core\Site;

use NobleTurn\Core\Place\Control;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Trade\Side;

/** One road at a site, from the middle outwards. */
final readonly class Arm
{
    public function __construct(
        /** By which ways name it: two arms of one road have one name and two of these. */
        public string $id,
        public string $name,
        /** From the middle of the site outwards, clockwise from north, degrees from 0 to under 360. */
        public float $bearingDegrees,
        /** At its mouth, for traffic that comes in; none where it goes on or nothing is painted. */
        public Control $control = Control::None,
        /** Null where nobody has said it. */
        public ?Speed $limit = null,
        /** Towards the site; 0 where it is one-way outwards. */
        public int $lanesIn = 1,
        /** Away from it; 0 where it is one-way inwards. */
        public int $lanesOut = 1,
        /** @var list<Side> where cars stand near its mouth, as seen by who comes in */
        public array $parkedOn = [],
        /** A lane in the middle for turns of both directions. */
        public bool $hasCentreLane = false,
        /** A drive or alley: who comes out of it gives way to everybody, without a line. */
        public bool $isAlley = false,
        /** The slip road of a fast road: it leads on to it or off it. */
        public bool $isSlip = false,
        /** @var list<Feature> along the road, as met by who comes in by it */
        public array $holds = [],
        /** How far its mouth lies to the right of the middle, as seen by who comes in by it, m; negative to the left. */
        public float $staggerMetres = 0.0,
    ) {
    }

    public function leadsIn(): bool
    {
        return $this->lanesIn > 0;
    }

    public function leadsOut(): bool
    {
        return $this->lanesOut > 0;
    }

    /** Lanes of each direction: of the wider one. */
    public function lanesEachWay(): int
    {
        return max($this->lanesIn, $this->lanesOut);
    }
}
