<?php

declare(strict_types=1);

namespace NobleTurn\Core\Plan;

use NobleTurn\Core\Routine\Arrival;
use NobleTurn\Core\Trade\RoutineCode;

/**
 * Past a line from which nothing is seen, to where the view opens: from a standstill, or slowing from the crawl at the line,
 * to a creep from which one stops within a step.
 */
final readonly class Creep
{
    /** Slower than walking, m/s (assumed). */
    public const MPS = 1.0;

    /** Into it from a standstill, and down to it from the crawl, m/s2 (assumed). */
    private const CHANGES_MPS2 = 0.5;

    private function __construct(
        /** How far beyond the line the view opens, m. */
        public float $metres,
        public float $seconds,
    ) {
    }

    /** @return ?self null where the view opens at the line or before it, or where nobody waits for a view */
    public static function past(Approach $approach, float $lineMps): ?self
    {
        $beyond = $approach->junction->viewBeyondMetres;
        $waits = $approach->demand->arrival === Arrival::Line
            || in_array($approach->routine, [RoutineCode::AllWayStop, RoutineCode::RightOnRed, RoutineCode::Alley], true);
        if ($beyond <= 0.0 || ! $waits) {
            return null;
        }
        $change = abs($lineMps ** 2 - self::MPS ** 2) / (2.0 * self::CHANGES_MPS2);
        if ($beyond >= $change) {
            return new self($beyond, abs($lineMps - self::MPS) / self::CHANGES_MPS2 + ($beyond - $change) / self::MPS);
        }
        $reached = sqrt($lineMps ** 2 + ($lineMps > self::MPS ? -2.0 : 2.0) * self::CHANGES_MPS2 * $beyond);

        return new self($beyond, 2.0 * $beyond / max(1e-9, $lineMps + $reached));
    }

    /** At the line so fast that one creeps where the view opens, and never faster than a crawl, m/s. */
    public static function lineMps(float $beyondMetres): float
    {
        return min(LineSpeed::CRAWL, sqrt(self::MPS ** 2 + 2.0 * self::CHANGES_MPS2 * $beyondMetres));
    }
}
