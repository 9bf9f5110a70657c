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

    /** Steps in which accelerations are tried, m/s2; places at which a choice is tried again, and shares of the way at which a drive may turn. */
    private const TRIED = 0.02;

    private const PLACES = 30;

    private const TURNS = 40;

    /** Nobody comes slower than this to where they join, m/s: that would be a stop. */
    private const CRAWL = 2.0;

    /** The brake, where those on the main road are slower than we are, m/s2 (assumed). */
    private const MOST_BRAKING = 2.5;

    public Throttle $fullGas;

    /** Mean acceleration wanted over the length that counts, m/s2; negative where the traffic is slower. */
    public float $neededMps2;

    /** The same that the car has. */
    public float $availableMps2;

    /** What is driven until the choice: as wanted, as far as the car has it. */
    public float $naturalMps2;

    /** The gas fully down in the gear of the slip, from as slow as it turns: what there is at every speed. */
    private Throttle $pulling;

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
        $this->pulling = Throttle::run(
            $vehicle, $slip->gradient, max(self::CRAWL, $vehicle->gearbox->metresPerSecondAt($vehicle->engine->idleRpm, $gear)), $gear,
            max($limitMps, $entryMps), 2.0 * $slip->lengthMetres + 400.0, step: 2.0 * Throttle::STEP,
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
                ? $best->spareMetres < 0.0 || $one->cost($this) < $best->cost($this) - 1e-9
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
     * @return array<string, float> for each option that can be chosen, the last place at which it still can, going on evenly until then
     */
    private function latest(array $fromTheChoice): array
    {
        $latest = [];
        $open = null;
        for ($step = 0; $step < self::PLACES; $step++) {
            $now = [];
            foreach ($step === 0 ? $fromTheChoice : $this->tried($step, 3) as $one) {
                if ($one->spareMetres >= 0.0) {
                    $now[self::key(null, null)] = true;
                    foreach ($one->behind as $i => $behind) {
                        $now[self::key($i, $behind)] = true;
                    }
                }
            }
            $open = $open === null ? $now : array_intersect_key($open, $now);
            foreach (array_keys($open) as $key) {
                $latest[$key] = $this->place($step);
            }
        }

        return $latest;
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
        foreach ($this->drives($v, $distance, $coarse) as $drive) {
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

    /** @return non-empty-list<TwoParts> */
    private function drives(float $v, float $distance, int $coarse): array
    {
        $most = ($this->gainedMps($v, $distance, $this->limitMps) ** 2 - $v ** 2) / (2.0 * $distance);
        // Not slower than a crawl at the end: that would be a stop, not joining.
        $least = min($most, max(min(-Room::MOST_EASING, $this->naturalMps2), (self::CRAWL ** 2 - $v ** 2) / (2.0 * $distance)));
        $drives = [TwoParts::one($distance, $v, $most), TwoParts::one($distance, $v, max($least, min($most, $this->naturalMps2)))];
        for ($a = $least; $a < $most; $a += $coarse * self::TRIED) {
            $drives[] = TwoParts::one($distance, $v, $a);
        }
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
        // Gained as soon as the car has it, and held.
        $reached = min($this->mainMps, sqrt(max(0.0, $v ** 2 + 2.0 * $most * $distance)));
        for ($i = $coarse; $i <= self::TURNS / 4 && $reached > $v + 0.1; $i += $coarse) {
            $to = $v + ($reached - $v) * $i / (self::TURNS / 4);
            $metres = min($distance, $this->metresToGain($v, $to));
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

    private function metresToGain(float $from, float $to): float
    {
        return $this->pulling->metresAtMps($to) - $this->pulling->metresAtMps($from);
    }
}
