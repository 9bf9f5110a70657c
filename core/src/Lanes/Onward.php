<?php

declare(strict_types=1);

namespace NobleTurn\Core\Lanes;

use NobleTurn\Core\FastRoad\LaneChange;

/** A second junction close behind the first: which of its lanes we need, and how far it is. */
final readonly class Onward
{
    /** A change of lane with mirrors, signal, shoulder and the move itself, s (common practice: about 7). */
    public const CHANGE_S = LaneChange::WHOLE_S;

    /** @param  non-empty-list<list<string>>  $approach  lanes of the second junction with the names painted on them; empty: nothing painted */
    public function __construct(public array $approach, public string $to, public float $metres, public float $speedMps)
    {
    }

    /** @return list<int> the lanes painted for where we go, or all where nothing is painted */
    public function lanes(): array
    {
        return array_values(array_filter(
            array_map(static fn (int $i): int => $i + 1, array_keys($this->approach)),
            fn (int $lane): bool => $this->approach[$lane - 1] === [] || in_array($this->to, $this->approach[$lane - 1], true),
        ));
    }

    /** The nearest lane that serves, coming out of the first junction in this one; null where none does. */
    public function laneFor(int $exitLane): ?int
    {
        $here = min($exitLane, count($this->approach));
        $lanes = $this->lanes();
        usort($lanes, static fn (int $a, int $b): int => [abs($a - $here), $a] <=> [abs($b - $here), $b]);

        return $lanes[0] ?? null;
    }

    public function changes(int $exitLane): int
    {
        return abs(($this->laneFor($exitLane) ?? 0) - min($exitLane, count($this->approach)));
    }

    /** Room for so many changes, one at a time, m. */
    public function neededMetres(int $exitLane): float
    {
        return $this->changes($exitLane) * self::CHANGE_S * $this->speedMps;
    }

    /** Changes for which there is no room left. */
    public function forced(int $exitLane): int
    {
        return max(0, $this->changes($exitLane) - (int) floor($this->metres / (self::CHANGE_S * $this->speedMps)));
    }
}
