<?php

declare(strict_types=1);

namespace NobleTurn\Core\FastRoad;

use NobleTurn\Core\Quantity\Gradient;
use NobleTurn\Core\Vehicle\Vehicle;

/**
 * Every drive a car has from a place on the slip to where it joins: one steady change, ease and then gain, gain as soon as it
 * can and hold. No slower than a crawl, and no faster than the engine gives in the gear of the slip.
 */
final readonly class Drives
{
    /** Steps in which accelerations are tried, m/s2, and in how many shares of the way a drive may turn, or of the speed it may hold. */
    private const TRIED = 0.02;

    private const TURNS = 40;

    private const HELD = 10;

    /** Nobody comes slower than this to where they join, m/s: that would be a stop. */
    private const CRAWL = 2.0;

    /** The gas fully down in the gear of the slip, from as slow as it turns: what there is at every speed. */
    private Throttle $pulling;

    /**
     * @param  float  $mainMps  of those on the main road
     * @param  float  $mostMps  nobody gains more speed than this
     * @param  float  $naturalMps2  what is driven where nobody is to be fitted in with
     * @param  float  $metres  the longest way looked at
     */
    public function __construct(
        Vehicle $vehicle, Gradient $gradient, int $gear, private float $mainMps, private float $mostMps, private float $naturalMps2, float $metres,
    ) {
        $this->pulling = Throttle::run(
            $vehicle, $gradient, max(self::CRAWL, $vehicle->gearbox->metresPerSecondAt($vehicle->engine->idleRpm, $gear)), $gear,
            $mostMps, $metres, step: 2.0 * Throttle::STEP,
        );
    }

    /**
     * @param  float  $v  speed at the place, m/s
     * @param  float  $distance  to where we join, m
     * @param  int  $coarse  only every so manyth, where it matters whether there is one and not which
     * @return non-empty-list<TwoParts>
     */
    public function from(float $v, float $distance, int $coarse): array
    {
        $most = ($this->gainedMps($v, $distance, $this->mostMps) ** 2 - $v ** 2) / (2.0 * $distance);
        $least = min($most, max(min(-Room::MOST_EASING, $this->naturalMps2), (self::CRAWL ** 2 - $v ** 2) / (2.0 * $distance)));
        $drives = [TwoParts::one($distance, $v, $most), TwoParts::one($distance, $v, max($least, min($most, $this->naturalMps2)))];
        for ($a = $least; $a < $most; $a += $coarse * self::TRIED) {
            $drives[] = TwoParts::one($distance, $v, $a);
        }

        return [...$drives, ...$this->easedThenGained($v, $distance, $coarse), ...$this->gainedThenHeld($v, $distance, $most, $coarse)];
    }

    /** @return list<TwoParts> */
    private function easedThenGained(float $v, float $distance, int $coarse): array
    {
        $drives = [];
        foreach ([0.0, 0.5, 1.0] as $easing) {
            for ($i = $coarse; $i < self::TURNS; $i += $coarse) {
                $metres = $distance * $i / self::TURNS;
                $turn = sqrt(max(0.0, $v ** 2 - 2.0 * $easing * Room::MOST_EASING * $metres));
                if ($turn < self::CRAWL) {
                    break;
                }
                $gained = $this->gainedMps($turn, $distance - $metres, $this->mainMps);
                $drives[] = new TwoParts($distance, $v, -$easing * Room::MOST_EASING, $metres, ($gained ** 2 - $turn ** 2) / (2.0 * ($distance - $metres)));
            }
        }

        return $drives;
    }

    /** @return list<TwoParts> */
    private function gainedThenHeld(float $v, float $distance, float $most, int $coarse): array
    {
        $drives = [];
        $reached = min($this->mainMps, sqrt(max(0.0, $v ** 2 + 2.0 * $most * $distance)));
        for ($i = $coarse; $i <= self::HELD && $reached > $v + 0.1; $i += $coarse) {
            $to = $v + ($reached - $v) * $i / self::HELD;
            $metres = min($distance, $this->pulling->metresAtMps($to) - $this->pulling->metresAtMps($v));
            if ($metres > 0.0) {
                $drives[] = new TwoParts($distance, $v, ($to ** 2 - $v ** 2) / (2.0 * $metres), $metres, 0.0);
            }
        }

        return $drives;
    }

    /** Speed after so many metres with the gas fully down, but no faster than is wanted. */
    private function gainedMps(float $from, float $metres, float $wanted): float
    {
        $at = $this->pulling->metresAtMps($from);

        return max($from, min($wanted, $this->pulling->mpsAfterMetres($at + $metres)));
    }
}
