<?php

declare(strict_types=1);

namespace NobleTurn\Core\FastRoad;

use NobleTurn\Core\Plan\ApproachPlanner;
use NobleTurn\Core\Trade\Surface;
use NobleTurn\Core\Vehicle\Corner;

/**
 * Leaving by a slip road: the main road's speed is kept until on the slip; then the brake is spread over it, gently,
 * more firmly, easing at the end; before a bend the speed for the bend is reached. Places on the slip are metres from its
 * beginning.
 */
final readonly class Leaving
{
    /** Of the hardest part, how hard the first and last parts are; and of the way, how long each of them (assumed). */
    private const SOFT = 0.6;

    private const SOFT_SHARE = 0.2;

    /** On the slip, before the brake: straight in the lane, signal cancelled (assumed), s. */
    public const SETTLE_S = 1.0;

    /** Comfortable in a bend, m/s2 (assumed); firm and harsh on the brake (common practice). */
    public const SIDEWAYS = Corner::COMFORTABLE_SIDEWAYS;

    public const FIRM = 3.0;

    public const HARSH = ApproachPlanner::HARSH;

    /** @var list<array{from: float, to: float, speed: float, end: float}> */
    public array $stages;

    public function __construct(
        public float $mainMps,
        public float $lengthMetres,
        public float $endMps,
        /** Where a bend begins, how long it is, and its radius; null where there is none. */
        public ?float $bendFromMetres,
        public float $bendLengthMetres,
        public ?float $bendRadiusMetres,
    ) {
        $this->stages = $this->stages();
    }

    /** How the brake feels on this surface: `even`, `firm` or `harsh`. */
    public function braking(Surface $surface): string
    {
        $share = $surface->shareOfComfort();

        return match (true) {
            $this->peakMps2() > self::HARSH * $share => 'harsh',
            $this->peakMps2() > self::FIRM * $share => 'firm',
            default => 'even',
        };
    }

    /** Mean deceleration where the brake is used only on the last half, m/s2. */
    public function lateHalfMps2(): float
    {
        return max(0.0, ($this->mainMps ** 2 - $this->endMps ** 2) / $this->lengthMetres);
    }

    public function bendMps(): ?float
    {
        return $this->bendRadiusMetres === null ? null : sqrt(self::SIDEWAYS * $this->bendRadiusMetres);
    }

    public function brakeFromMetres(): float
    {
        return min(0.25 * $this->lengthMetres, self::SETTLE_S * $this->mainMps);
    }

    /** Mean deceleration of the hardest stage, m/s2. */
    public function meanMps2(): float
    {
        return max(0.0, ...array_map(self::meanOf(...), $this->stages));
    }

    /** The hardest moment, m/s2. */
    public function peakMps2(): float
    {
        return $this->meanMps2() / (1.0 - 2.0 * self::SOFT_SHARE * (1.0 - self::SOFT));
    }

    public function mpsAt(float $place): float
    {
        $speed = $this->mainMps;
        foreach ($this->stages as $stage) {
            if ($place >= $stage['to']) {
                $speed = $stage['end'];
            } elseif ($place > $stage['from']) {
                return self::within($stage, $place);
            }
        }

        return $speed;
    }

    public function mps2At(float $place): float
    {
        foreach ($this->stages as $stage) {
            if ($place >= $stage['from'] && $place < $stage['to']) {
                $share = ($place - $stage['from']) / ($stage['to'] - $stage['from']);
                $hardest = self::meanOf($stage) / (1.0 - 2.0 * self::SOFT_SHARE * (1.0 - self::SOFT));

                return $share < self::SOFT_SHARE || $share >= 1.0 - self::SOFT_SHARE ? self::SOFT * $hardest : $hardest;
            }
        }

        return 0.0;
    }

    /** Where the speed has first fallen to this, m from the beginning; the end where it never does. */
    public function metresAtSpeed(float $speed): float
    {
        [$low, $high] = [0.0, $this->lengthMetres];
        if ($this->mpsAt($high - 1e-6) > $speed) {
            return $this->lengthMetres;
        }
        for ($i = 0; $i < 40; $i++) {
            $middle = ($low + $high) / 2.0;
            $this->mpsAt($middle) > $speed ? $low = $middle : $high = $middle;
        }

        return $high;
    }

    /** @return list<array{from: float, to: float, speed: float, end: float}> */
    private function stages(): array
    {
        $from = $this->brakeFromMetres();
        $bend = $this->bendMps();
        if ($bend === null || $this->bendFromMetres === null || $this->bendFromMetres >= $this->lengthMetres) {
            return $this->mainMps > $this->endMps ? [['from' => $from, 'to' => $this->lengthMetres, 'speed' => $this->mainMps, 'end' => $this->endMps]] : [];
        }
        // One even brake may already be slow enough where the bend begins.
        $one = ['from' => $from, 'to' => $this->lengthMetres, 'speed' => $this->mainMps, 'end' => $this->endMps];
        if ($this->mainMps > $this->endMps && $this->bendFromMetres > $from && self::within($one, $this->bendFromMetres) <= $bend) {
            return [$one];
        }
        $stages = [];
        $before = max($this->bendFromMetres, 1.0);
        $speed = $this->mainMps;
        if ($bend < $speed) {
            $stages[] = ['from' => min($from, $before - 1.0), 'to' => $before, 'speed' => $speed, 'end' => $bend];
            $speed = $bend;
        }
        // No brake in the bend itself; what is left comes after it.
        $after = min($this->lengthMetres - 1.0, $this->bendFromMetres + $this->bendLengthMetres);
        if ($speed > $this->endMps) {
            $stages[] = ['from' => max($after, $before), 'to' => $this->lengthMetres, 'speed' => $speed, 'end' => $this->endMps];
        }

        return $stages;
    }

    /** @param  array{from: float, to: float, speed: float, end: float}  $stage */
    private static function meanOf(array $stage): float
    {
        return ($stage['speed'] ** 2 - $stage['end'] ** 2) / (2.0 * max(0.1, $stage['to'] - $stage['from']));
    }

    /** @param  array{from: float, to: float, speed: float, end: float}  $stage */
    private static function within(array $stage, float $place): float
    {
        $long = $stage['to'] - $stage['from'];
        $share = max(0.0, min(1.0, ($place - $stage['from']) / $long));
        $hardest = self::meanOf($stage) / (1.0 - 2.0 * self::SOFT_SHARE * (1.0 - self::SOFT));
        $soft = min($share, self::SOFT_SHARE) + max(0.0, $share - (1.0 - self::SOFT_SHARE));
        $hard = max(0.0, min($share, 1.0 - self::SOFT_SHARE) - self::SOFT_SHARE);

        return sqrt(max(0.0, $stage['speed'] ** 2 - 2.0 * $hardest * $long * (self::SOFT * $soft + $hard)));
    }
}
