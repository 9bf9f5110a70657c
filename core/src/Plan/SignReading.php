<?php

declare(strict_types=1);

namespace NobleTurn\Core\Plan;

use NobleTurn\Core\Place\DirectionSign;

/**
 * Independent driving: the sign says the way instead of the instructor. It can be read from where its letters become
 * legible (or from the beginning of the road, where that is nearer) until it is passed; it has to be read before the
 * mirrors are due.
 */
final readonly class SignReading
{
    private function __construct(
        public float $atMetres,
        public float $fromMetres,
        /** Where reading must begin at the latest. */
        public float $byMetres,
        /** Time between the first chance to read it and the last moment to begin; negative where it comes too late. */
        public float $spareSeconds,
    ) {
    }

    public static function of(DirectionSign $sign, Chain $chain): self
    {
        $profile = $chain->profile;
        $room = $chain->approach->room?->inMetres() ?? INF;
        $from = min($sign->atMetres + $sign->legibleMetres, max($sign->atMetres, $room));
        // Both the mirrors and the sign itself end the time for reading, whichever comes first.
        $mirrors = $chain->metres($chain->mirrorsStartSeconds() + $chain->timing->readSignSeconds);
        $by = max($mirrors, $chain->metres($profile->secondsAt($sign->atMetres) + $chain->timing->readSignSeconds));

        return new self($sign->atMetres, $from, $by, $profile->secondsAt($from) - $profile->secondsAt($by));
    }

    public function inTime(): bool
    {
        return $this->spareSeconds >= -1e-9;
    }
}
