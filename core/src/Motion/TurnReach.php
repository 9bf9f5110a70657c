<?php

declare(strict_types=1);

namespace NobleTurn\Core\Motion;

use NobleTurn\Core\Vehicle\Unit;

/** What a vehicle sweeps round a right angle when the middle of its front axle follows an arc: how far its last axle comes in, and its tail swings out. */
final readonly class TurnReach
{
    /** Along the path, m between places. */
    private const STEP_M = 0.25;

    /** Straight before the arc and after it, m: the rear has still to come round. */
    private const BEFORE_M = 2.0;

    private const AFTER_M = 12.0;

    private function __construct(public float $radiusMetres, public float $comesInMetres, public float $swingsOutMetres)
    {
    }

    /** @param  non-empty-list<Unit>  $units */
    public static function rightAngle(array $units, float $radius): self
    {
        $path = Path::of([['length' => self::BEFORE_M], ['radius' => $radius, 'angle' => M_PI_2], ['length' => self::AFTER_M]], self::STEP_M);
        $swept = SweptPath::along($path, $units);

        return new self($radius, max($swept->offTracking()), $swept->tailSwingMetres());
    }
}
