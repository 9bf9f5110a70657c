<?php

declare(strict_types=1);

namespace NobleTurn\Core\FastRoad;

/** Another vehicle on the road we join or change on, at a steady speed. */
final readonly class Neighbour
{
    public const LENGTH_M = 4.5;

    public function __construct(
        public string $name,
        /** Front bumper to front bumper, + ahead of us, at the moment it is seen, m. */
        public float $metres,
        public float $speedMps,
        public float $lengthMetres = self::LENGTH_M,
        public Intention $intends = Intention::Stays,
    ) {
    }

    /** Its front after so many seconds, measured from where ours was at the beginning, m. */
    public function frontMetresAt(float $seconds): float
    {
        return $this->metres + $this->speedMps * $seconds;
    }
}
