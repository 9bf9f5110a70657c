<?php

declare(strict_types=1);

namespace NobleTurn\Core\Series;

use NobleTurn\Core\FastRoad\JoinPlan;
use NobleTurn\Core\FastRoad\Leaving;
use NobleTurn\Core\Plan\ApproachPlan;
use NobleTurn\Core\Plan\Chained;

/** Where one of a row is over, and what the next begins with. */
final readonly class Passed
{
    /** Joined: signal cancelled, in the lane, a mirror (assumed), s. */
    private const SETTLE_S = 1.0;

    private function __construct(
        /** Speed there, m/s. */
        public float $mps,
        /** Metres of the way from its end to the next that it still takes itself; negative where the next may begin before its end, along a slip road. */
        public float $takesMetres,
        /** Whether speed is shed on the way to the next rather than gathered. */
        public bool $sheds = false,
    ) {
    }

    /** Round the corner and straight again. */
    public static function theLine(ApproachPlan $plan): self
    {
        return new self(max(Chained::SLOWEST, $plan->chain->lineSpeed->metresPerSecond), Chained::lengthOfTurn($plan));
    }

    /** On the main road, at its speed or nearly. */
    public static function joined(JoinPlan $plan): self
    {
        $mps = max(Chained::SLOWEST, $plan->shown->drive->endMps);

        return new self($mps, self::SETTLE_S * $mps);
    }

    /** Straight on the slip road, at the speed of the main road: the rest of it is room for what comes at its end. */
    public static function onto(float $mainMps, float $slipMetres): self
    {
        return new self(max(Chained::SLOWEST, $mainMps), min(0.0, Leaving::SETTLE_S * $mainMps - $slipMetres), true);
    }

    /** At the end of the slip road, where it leads onto another road. */
    public static function off(Leaving $leaving): self
    {
        return new self(max(Chained::SLOWEST, $leaving->endMps), 0.0);
    }

    /**
     * Room for the next, m.
     *
     * @param  float  $metres  from its end to where the next begins
     */
    public function room(float $metres): float
    {
        return max(0.5, $metres - $this->takesMetres);
    }

    /**
     * Speed reached over so much of it, unhurried, m/s.
     *
     * @param  float  $most  not more than this, m/s
     */
    public function reaches(float $metres, float $most): float
    {
        $gathered = sqrt($this->mps ** 2 + 2.0 * Chained::GATHERS * $metres);
        $shed = sqrt(max(0.0, $this->mps ** 2 - 2.0 * Chained::SHEDS * $metres));

        return max($shed, min($gathered, $most));
    }
}
