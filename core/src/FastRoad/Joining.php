<?php

declare(strict_types=1);

namespace NobleTurn\Core\FastRoad;

use NobleTurn\Core\Vehicle\FullGas;
use NobleTurn\Core\Vehicle\Vehicle;

/**
 * Joining from a slip road: speed gained evenly from the limit sign on, and from where the main road is seen the one
 * constant acceleration or easing off that brings us, where we join, into a gap with room on both sides. Of all that fit,
 * the one nearest to simply reaching the main road's speed is the least effort.
 */
final readonly class Joining
{
    /** Steps in which accelerations are tried, m/s2, and places at which a choice is tried again. */
    private const TRIED = 0.02;

    private const PLACES = 30;

    /** Walking out of the slip any slower is a stop, m/s. */
    private const CRAWL = 2.0;

    public Throttle $fullGas;

    /** Mean acceleration wanted over the length that counts, m/s2. */
    public float $neededMps2;

    /** The same that the car has. */
    public float $availableMps2;

    /** What is driven until the choice: as wanted, as far as the car has it. */
    public float $naturalMps2;

    /** @param  list<Neighbour>  $seen  as seen where the choice begins */
    public function __construct(
        public Slip $slip, public Vehicle $vehicle, public int $gear, public float $entryMps, public float $mainMps, public float $limitMps, public Room $room,
        public array $seen,
    ) {
        $counts = max(0.01, $slip->countsMetres());
        $this->fullGas = Throttle::run($vehicle, $slip->gradient, $entryMps, $gear, INF, $counts + 1.0);
        $this->neededMps2 = ($mainMps ** 2 - $entryMps ** 2) / (2.0 * $counts);
        $this->availableMps2 = $this->fullGas->meanMps2Over($counts);
        $this->naturalMps2 = min($this->neededMps2, $this->availableMps2);
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

    /** @return list<WayIn> ahead of and behind each vehicle seen; without one, the free road */
    public function waysIn(): array
    {
        $tried = $this->tried(0);
        $latest = $this->latest();
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

    /** @param  list<WayIn>  $waysIn */
    public static function best(array $waysIn): ?WayIn
    {
        $best = null;
        foreach ($waysIn as $wayIn) {
            if ($wayIn->feasible && ($best === null || $wayIn->effortMps2 < $best->effortMps2 - 1e-9)) {
                $best = $wayIn;
            }
        }

        return $best;
    }

    /**
     * @param  non-empty-list<array{a: float, end: float, seconds: float, spare: float, behind: list<bool>}>  $tried
     * @param  array<string, float>  $latest
     */
    private function wayIn(?int $which, ?bool $ahead, array $tried, array $latest): WayIn
    {
        $best = null;
        $mine = array_values(array_filter($tried, static fn (array $one): bool => $which === null || ($one['behind'][$which] ?? null) === $ahead));
        foreach ($mine as $one) {
            $effort = abs($one['a'] - $this->naturalMps2);
            $better = $best === null
                || (
                    $one['spare'] >= 0.0
                        ? $best['spare'] < 0.0 || $effort < abs($best['a'] - $this->naturalMps2)
                        : $best['spare'] < 0.0 && $one['spare'] > $best['spare']
                );
            if ($better) {
                $best = $one;
            }
        }
        // No acceleration the car has brings us to that side of it at all.
        $shown = $best ?? $tried[count($tried) - 1];
        $gap = null;
        if ($which !== null && $best !== null) {
            $gap = $this->room->seconds(
                $this->slip->chooseFromMetres() - $this->slip->joinAtMetres(), $best['end'], $this->seen[$which]->frontMetresAt($best['seconds']), $this->seen[$which],
            );
        }

        return new WayIn(
            $which, $ahead, $shown['a'], $shown['end'], $shown['seconds'], $gap, $best['spare'] ?? -INF,
            $latest[self::key($which, $ahead)] ?? null, abs($shown['a'] - $this->naturalMps2),
        );
    }

    /** @return array<string, float> for each option that can be chosen, the last place at which it still can, going on evenly until then */
    private function latest(): array
    {
        $latest = [];
        $open = null;
        for ($step = 0; $step < self::PLACES; $step++) {
            $now = [];
            foreach ($this->tried($step) as $one) {
                if ($one['spare'] >= 0.0) {
                    $now[self::key(null, null)] = true;
                    foreach ($one['behind'] as $i => $behind) {
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
     * Every acceleration the car has from a place on, with where it brings us among the others.
     *
     * @return non-empty-list<array{a: float, end: float, seconds: float, spare: float, behind: list<bool>}>
     */
    private function tried(int $step): array
    {
        $place = $this->place($step);
        $distance = max(0.1, $place - $this->slip->joinAtMetres());
        $v = $this->mpsAt($place);
        $before = $this->secondsTo($place);
        $ours = $this->slip->chooseFromMetres() - $this->slip->joinAtMetres();
        $most = Throttle::run($this->vehicle, $this->slip->gradient, $v, $this->gearFor($v), max($v, $this->limitMps), $distance + 1.0)->meanMps2Over($distance);
        // Not slower than a crawl at the end: that would be a stop, not joining.
        $least = min($most, max(-Room::MOST_EASING, (self::CRAWL ** 2 - $v ** 2) / (2.0 * $distance)));
        $accelerations = [$most, max($least, min($most, $this->naturalMps2))];
        for ($a = $least; $a < $most; $a += self::TRIED) {
            $accelerations[] = $a;
        }
        $rows = [];
        foreach ($accelerations as $a) {
            $end = sqrt(max(0.0, $v ** 2 + 2.0 * $a * $distance));
            $seconds = $before + 2.0 * $distance / ($v + $end);
            $spare = INF;
            $behind = [];
            foreach ($this->seen as $other) {
                $theirs = $other->frontMetresAt($seconds);
                $behind[] = $theirs < $ours;
                $spare = min($spare, $this->room->spareMetres($ours, $end, $theirs, $other));
            }
            $rows[] = ['a' => $a, 'end' => $end, 'seconds' => $seconds, 'spare' => $spare, 'behind' => $behind];
        }

        return $rows;
    }

    /** The gear held from the entry, or the next that still turns below the red line. */
    private function gearFor(float $v): int
    {
        $gear = $this->gear;
        while (
            $gear < $this->vehicle->gearbox->topGear()
            && $v > FullGas::CHANGE_AT * $this->vehicle->gearbox->metresPerSecondAt($this->vehicle->engine->redLineRpm, $gear)
        ) {
            $gear++;
        }

        return $gear;
    }
}
