<?php

declare(strict_types=1);

namespace NobleTurn\Core\FastRoad;

use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Vehicle\GearChoice;
use NobleTurn\Core\Vehicle\Purpose;
use NobleTurn\Core\Vehicle\Vehicle;

/**
 * Joining from a slip road: speed gained evenly from the limit sign on, and from where the main road is seen the drive that
 * brings us, where we join, into a gap with room on both sides at the speed of those who drive there: one steady change, ease
 * and then gain, or gain and then hold. Of all that fit, the one that counts least: its effort, held against simply reaching
 * their speed, and what it is short of that speed.
 */
final readonly class Joining
{
    /** Nobody minds who joins this much slower: 5 mph, m/s (common practice). */
    public const GOOD_MPS = 2.2352;

    /** Slower by more than this is the slip's fault, or the plan's: 10 mph, m/s (common practice). */
    public const FAULT_MPS = 4.4704;

    /** Places at which a choice is tried again. */
    private const PLACES = 30;

    /** The brake, where those on the main road are slower than we are, m/s2 (assumed). */
    private const MOST_BRAKING = 2.5;

    public Throttle $fullGas;

    /** Mean acceleration wanted over the length that counts, m/s2; negative where the traffic is slower. */
    public float $neededMps2;

    /** The same that the car has. */
    public float $availableMps2;

    /** What is driven until the choice: as wanted, as far as the car has it. */
    public float $naturalMps2;

    private Drives $drives;

    /** @param  list<Neighbour>  $seen  as seen where the choice begins */
    public function __construct(
        public Slip $slip, public Vehicle $vehicle, public int $gear, public float $entryMps, public float $mainMps, public float $limitMps, public Room $room,
        public array $seen,
    ) {
        $counts = max(0.01, $slip->countsMetres());
        $this->fullGas = Throttle::run($vehicle, $slip->gradient, $entryMps, $gear, INF, $counts + 1.0);
        $this->neededMps2 = ($mainMps ** 2 - $entryMps ** 2) / (2.0 * $counts);
        $this->availableMps2 = $this->fullGas->meanMps2Over($counts);
        $this->naturalMps2 = max(-self::MOST_BRAKING, min($this->neededMps2, $this->availableMps2));
        $this->drives = new Drives(
            $vehicle, $slip->gradient, $gear, $mainMps, max($limitMps, $entryMps), $this->naturalMps2, 2.0 * $slip->lengthMetres + 400.0,
        );
    }

    /** Speed at a place driven evenly from the limit sign. */
    public function mpsAt(float $place): float
    {
        return sqrt(max(0.25, $this->entryMps ** 2 + 2.0 * $this->naturalMps2 * max(0.0, $this->slip->gainFromMetres() - $place)));
    }

    /** Seconds from the choice on to a place, driven evenly. */
    public function secondsTo(float $place): float
    {
        $begin = $this->slip->chooseFromMetres();

        return 2.0 * ($begin - $place) / ($this->mpsAt($begin) + $this->mpsAt($place));
    }

    /** The slowest entry at which the traffic's speed is all but reached, by the gas alone; null where it is already. */
    public function entryThatDoesMps(): ?float
    {
        $reaches = fn (float $mps): bool => Throttle::run(
            $this->vehicle, $this->slip->gradient, $mps,
            GearChoice::for($this->vehicle, Purpose::SlipRoad, Speed::ofMetresPerSecond($mps), $this->slip->gradient)->gear, INF,
            $this->slip->countsMetres() + 1.0,
        )->mpsAfterMetres($this->slip->countsMetres()) >= $this->mainMps - self::GOOD_MPS;
        if ($reaches($this->entryMps)) {
            return null;
        }
        [$low, $high] = [$this->entryMps, $this->mainMps];
        for ($i = 0; $i < 8; $i++) {
            $middle = ($low + $high) / 2.0;
            $reaches($middle) ? $high = $middle : $low = $middle;
        }

        return $high;
    }

    /** What is simply driven, whoever is there. */
    public function natural(): WayIn
    {
        $distance = max(0.1, $this->slip->chooseFromMetres() - $this->slip->joinAtMetres());
        $drive = TwoParts::one($distance, $this->mpsAt($this->slip->chooseFromMetres()), $this->naturalMps2);

        return new WayIn(null, null, $drive, $drive->seconds, null, -1.0, null, 0.0, max(0.0, $this->mainMps - $drive->endMps));
    }

    /** @return list<WayIn> ahead of and behind each vehicle seen; without one, the free road */
    public function waysIn(): array
    {
        $tried = $this->tried(0, 1);
        $latest = $this->latest($tried);
        if ($this->seen === []) {
            return [$this->wayIn(null, null, $tried, $latest)];
        }
        $waysIn = [];
        foreach (array_keys($this->seen) as $i) {
            $waysIn[] = $this->wayIn($i, true, $tried, $latest);
            $waysIn[] = $this->wayIn($i, false, $tried, $latest);
        }

        return $waysIn;
    }

    /**
     * @param  list<WayIn>  $waysIn
     * @return ?WayIn with room, and at a speed nobody has to brake for
     */
    public static function best(array $waysIn): ?WayIn
    {
        return self::cheapest(array_filter($waysIn, static fn (WayIn $wayIn): bool => $wayIn->isGood()));
    }

    /** @param  array<WayIn>  $waysIn */
    public static function cheapest(array $waysIn): ?WayIn
    {
        $best = null;
        foreach ($waysIn as $wayIn) {
            if ($best === null || $wayIn->cost() < $best->cost() - 1e-9) {
                $best = $wayIn;
            }
        }

        return $best;
    }

    /**
     * @param  non-empty-list<Tried>  $tried
     * @param  array<string, float>  $latest
     */
    private function wayIn(?int $which, ?bool $ahead, array $tried, array $latest): WayIn
    {
        $best = null;
        foreach ($tried as $one) {
            if ($which !== null && ($one->behind[$which] ?? null) !== $ahead) {
                continue;
            }
            $better = $best === null || ($one->spareMetres >= 0.0
                ? $best->spareMetres < 0.0 || $this->counts($one->drive) < $this->counts($best->drive) - 1e-9
                : $best->spareMetres < 0.0 && $one->spareMetres > $best->spareMetres);
            $best = $better ? $one : $best;
        }
        // Nothing the car has brings us to that side of it at all.
        $shown = $best ?? $tried[count($tried) - 1];
        $gap = null;
        if ($which !== null && $best !== null) {
            $gap = $this->room->seconds(
                $this->slip->chooseFromMetres() - $this->slip->joinAtMetres(), $best->drive->endMps, $this->seen[$which]->frontMetresAt($best->seconds),
                $this->seen[$which],
            );
        }

        return new WayIn(
            $which, $ahead, $shown->drive, $shown->seconds, $gap, $best->spareMetres ?? -INF, $latest[self::key($which, $ahead)] ?? null,
            $shown->drive->effortMps2($this->naturalMps2), max(0.0, $this->mainMps - $shown->drive->endMps),
        );
    }

    /**
     * @param  non-empty-list<Tried>  $fromTheChoice
     * @return array<string, float> for each option that can be chosen, the last place at which it still can, going on evenly until then:
     *     at a speed nobody minds, where it began with one
     */
    private function latest(array $fromTheChoice): array
    {
        $open = array_map(static fn (float $short): float => $short <= self::FAULT_MPS ? self::FAULT_MPS : INF, $this->leastShort($fromTheChoice));
        $latest = array_map(fn (float $may): float => $this->place(0), $open);
        for ($step = 1; $step < self::PLACES && $open !== []; $step++) {
            $now = $this->leastShort($this->tried($step, 3));
            $open = array_filter($open, static fn (float $may, string $key): bool => isset($now[$key]) && $now[$key] <= $may, ARRAY_FILTER_USE_BOTH);
            foreach (array_keys($open) as $key) {
                $latest[$key] = $this->place($step);
            }
        }

        return $latest;
    }

    /**
     * @param  list<Tried>  $tried
     * @return array<string, float> for each option with room, the least it is short of the traffic's speed, m/s
     */
    private function leastShort(array $tried): array
    {
        $least = [];
        foreach ($tried as $one) {
            if ($one->spareMetres < 0.0) {
                continue;
            }
            $short = $this->mainMps - $one->drive->endMps;
            foreach ([self::key(null, null), ...array_map(self::key(...), array_keys($one->behind), $one->behind)] as $key) {
                $least[$key] = min($least[$key] ?? INF, $short);
            }
        }

        return $least;
    }

    private function counts(TwoParts $drive): float
    {
        return WayIn::counts($drive->effortMps2($this->naturalMps2), $this->mainMps - $drive->endMps);
    }

    private static function key(?int $which, ?bool $ahead): string
    {
        return $which === null ? 'free' : $which.($ahead === true ? 'a' : 'b');
    }

    private function place(int $step): float
    {
        $from = $this->slip->chooseFromMetres();

        return $from - ($from - $this->slip->joinAtMetres()) * $step / self::PLACES;
    }

    /**
     * Every drive the car has from a place on, with where it brings us among the others.
     *
     * @param  int  $coarse  only every so manyth, where it matters whether there is one and not which
     * @return non-empty-list<Tried>
     */
    private function tried(int $step, int $coarse): array
    {
        $place = $this->place($step);
        $distance = max(0.1, $place - $this->slip->joinAtMetres());
        $v = $this->mpsAt($place);
        $before = $this->secondsTo($place);
        $ours = $this->slip->chooseFromMetres() - $this->slip->joinAtMetres();
        $tried = [];
        foreach ($this->drives->from($v, $distance, $coarse) as $drive) {
            $seconds = $before + $drive->seconds;
            $spare = INF;
            $behind = [];
            foreach ($this->seen as $other) {
                $theirs = $other->frontMetresAt($seconds);
                $behind[] = $theirs < $ours;
                $spare = min($spare, $this->room->spareMetres($ours, $drive->endMps, $theirs, $other));
            }
            $tried[] = new Tried($drive, $seconds, $spare, $behind);
        }

        return $tried;
    }
}
