<?php

declare(strict_types=1);

namespace NobleTurn\Core\FastRoad;

/** A drive along the slip, with where it brings us among the others. */
final readonly class Tried
{
    /** @param  list<bool>  $behind  for each vehicle seen, whether it is behind us where we join */
    public function __construct(
        public TwoParts $drive,
        /** From the choice on. */
        public float $seconds,
        /** In hand to whoever has least. */
        public float $spareMetres,
        public array $behind,
    ) {
    }
}
