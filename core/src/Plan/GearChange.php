<?php

declare(strict_types=1);

namespace NobleTurn\Core\Plan;

/** One use of the clutch. Moments are seconds to go; the gear counts as taken only once the clutch is up. */
final readonly class GearChange
{
    public function __construct(public int $from, public int $to, public float $downSeconds, public float $upSeconds)
    {
    }
}
