<?php

declare(strict_types=1);

namespace NobleTurn\Core\FastRoad;

use NobleTurn\Core\Plan\ApproachPlanner;
use NobleTurn\Core\Quantity\Acceleration;
use NobleTurn\Core\Quantity\Gradient;
use NobleTurn\Core\Trade\Surface;
use NobleTurn\Core\Vehicle\Handling;

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

    /** Firm and harsh on the brake of a car, m/s2 (common practice); of a long vehicle as much less as is comfortable in it. */
    public const FIRM = 3.0;

    public const HARSH = ApproachPlanner::HARSH;

    /** The hardest moment of a stage against its mean. */
    private const PEAK = 1.0 / (1.0 - 2.0 * self::SOFT_SHARE * (1.0 - self::SOFT));

    /** A stage is never shorter than this, m. */
    private const SHORTEST_M = 1.0;

    /** @var list<array{from: float, to: float, speed: float, end: float}> */
    public array $stages;

    public Handling $handling;

    /** The most that tyres and brakes hold on it, m/s2. */
    public float $hardestMps2;

    public function __construct(
        public float $mainMps,
        public float $lengthMetres,
        public float $endMps,
        /** Where a bend begins, how long it is, and its radius; null where there is none. */
        public ?float $bendFromMetres,
        public float $bendLengthMetres,
        public ?float $bendRadiusMetres,
        private Surface $surface = Surface::Dry,
        /** Of the vehicle that leaves; a car’s where none is said. */
        ?Handling $handling = null,
        /** Of the slip road; level where none is said. */
        ?Gradient $gradient = null,
    ) {
        $this->handling = $handling ?? Handling::ofACar();
        $this->hardestMps2 = $this->handling->hardestMps2($surface, $gradient ?? Gradient::level());
        $this->stages = $this->stages();
    }

    /** How the brake feels on this surface: `even`, `firm` or `harsh`. */
    public function braking(): string
    {
        return match (true) {
            $this->peakMps2() > $this->harshFromMps2() => 'harsh',
            $this->peakMps2() > $this->here(self::FIRM) => 'firm',
            default => 'even',
        };
    }

    /** More than that is harsh, m/s2: what feels so, and what holds no longer. */
    public function harshFromMps2(): float
    {
        return min($this->here(self::HARSH), $this->hardestMps2);
    }

    /** Whether that is more than tyres and brakes hold at all. */
    public function isMoreThanHolds(): bool
    {
        return $this->peakMps2() > $this->hardestMps2;
    }

    /** What feels in this vehicle on this surface as so much does in a car on a dry road, m/s2. */
    private function here(float $mps2): float
    {
        return $this->handling->unhurried(Acceleration::ofMetresPerSecondSquared($mps2))->inMetresPerSecondSquared() * $this->surface->shareOfComfort();
    }

    /** Mean deceleration where the brake is used only on the last half, m/s2. */
    public function lateHalfMps2(): float
    {
        return max(0.0, ($this->mainMps ** 2 - $this->endMps ** 2) / $this->lengthMetres);
    }

    public function bendMps(): ?float
    {
        return $this->bendRadiusMetres === null ? null : sqrt($this->handling->sidewaysMps2 * $this->surface->shareOfComfort() * $this->bendRadiusMetres);
    }

    /** How much would have to go on the main road for the brake on the slip to stay firm, m/s; 0 where it does. */
    public function shedBeforeMps(): float
    {
        $first = $this->stages[0] ?? null;
        if ($first === null || $this->braking() !== 'harsh') {
            return 0.0;
        }
        $mean = $this->harshFromMps2() / self::PEAK;

        return max(0.0, $first['speed'] - sqrt($first['end'] ** 2 + 2.0 * $mean * ($first['to'] - $first['from'])));
    }

    /** Mean deceleration of the hardest stage, m/s2. */
    public function meanMps2(): float
    {
        return max([0.0, ...array_map(self::meanOf(...), $this->stages)]);
    }

    /** The hardest moment, m/s2. */
    public function peakMps2(): float
    {
        return $this->meanMps2() * self::PEAK;
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
                $hardest = self::meanOf($stage) * self::PEAK;

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

    /**
     * The brake is spread over the slip, before a bend and after it alike, so that neither is harder than it must be; into the
     * bend no faster than it takes. Straight on the slip first where there is time; where there is not, it begins at once.
     *
     * @return list<array{from: float, to: float, speed: float, end: float}>
     */
    private function stages(): array
    {
        $bend = $this->bendMps();
        $settle = min(0.25 * $this->lengthMetres, self::SETTLE_S * $this->mainMps);
        // More than a mean that feels unhurried, and the brake begins earlier.
        $unhurried = $this->handling->comfort->inMetresPerSecondSquared() * $this->surface->shareOfComfort();
        $over = fn (float $to): float => max(0.0, $this->mainMps ** 2 - $to ** 2) / (2.0 * $unhurried);
        if ($bend === null || $this->bendFromMetres === null || $this->bendFromMetres >= $this->lengthMetres) {
            $from = max(0.0, min($settle, $this->lengthMetres - $over($this->endMps)));

            return $this->mainMps > $this->endMps ? [['from' => $from, 'to' => $this->lengthMetres, 'speed' => $this->mainMps, 'end' => $this->endMps]] : [];
        }
        // No brake in the bend itself: what is left comes after it.
        $after = min($this->lengthMetres, $this->bendFromMetres + $this->bendLengthMetres);
        $left = $this->lengthMetres - $after;
        $from = max(0.0, min(
            $settle, $this->bendFromMetres - self::SHORTEST_M, $this->bendFromMetres - $over(min($bend, $this->mainMps)),
            $this->bendFromMetres + $left - $over($this->endMps),
        ));
        $before = max(self::SHORTEST_M, $this->bendFromMetres - $from);
        // As hard before it as after it, unless the bend asks for more.
        $alike = sqrt(max(0.0, $this->mainMps ** 2 - max(0.0, $this->mainMps ** 2 - $this->endMps ** 2) * $before / ($before + $left)));
        $into = min($this->mainMps, $bend, max($this->endMps, $alike));
        $stages = [];
        if ($into < $this->mainMps - 1e-9) {
            $stages[] = ['from' => $from, 'to' => $from + $before, 'speed' => $this->mainMps, 'end' => $into];
        }
        if ($into > $this->endMps + 1e-9 && $left > 1e-9) {
            $stages[] = ['from' => max($after, $from + $before), 'to' => $this->lengthMetres, 'speed' => $into, 'end' => $this->endMps];
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
        $hardest = self::meanOf($stage) * self::PEAK;
        $soft = min($share, self::SOFT_SHARE) + max(0.0, $share - (1.0 - self::SOFT_SHARE));
        $hard = max(0.0, min($share, 1.0 - self::SOFT_SHARE) - self::SOFT_SHARE);

        return sqrt(max(0.0, $stage['speed'] ** 2 - 2.0 * $hardest * $long * (self::SOFT * $soft + $hard)));
    }
}
