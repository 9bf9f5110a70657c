<?php

declare(strict_types=1);

namespace NobleTurn\Core\Track;

use NobleTurn\Core\Site\Position;

/** Where the car was, and when: seconds since the track began. */
final readonly class Fix
{
    public function __construct(public Position $at, public float $seconds)
    {
    }
}
