<?php

declare(strict_types=1);

namespace NobleTurn\Core\Track;

/** When a track came nearest to a place: there, and how far it had been driven by then. */
final readonly class Passing
{
    /**
     * @param  float  $seconds  since the track began
     * @param  float  $metres  driven by then
     * @param  float  $stopped  seconds at the kerb by then
     * @param  int  $stretch  of the track
     */
    public function __construct(public string $place, public float $seconds, public float $metres, public float $stopped, public int $stretch)
    {
    }
}
