<?php

declare(strict_types=1);

namespace NobleTurn\Core\Track;

/** From passing one place to passing the next: how long it was driven, and how far. */
final readonly class Leg
{
    /**
     * @param  float  $began  seconds since the track began
     * @param  float  $seconds  without what the car stood at the kerb
     * @param  float  $stood  what was taken out, s
     */
    public function __construct(public string $from, public string $to, public float $began, public float $seconds, public float $metres, public float $stood)
    {
    }
}
