<?php

declare(strict_types=1);

namespace NobleTurn\Core\Circuit;

use NobleTurn\Core\Site\Position;

/**
 * How far and how long one drives between two positions, where nobody has measured it: roads are longer than the crow flies by a factor, and
 * the farther one goes the faster are the roads that lead there. So no drive is longer than by way of somewhere else.
 */
final readonly class Drive
{
    /** Roads against the crow's line (assumed, adjustable). */
    public const DETOUR = 1.3;

    /** From so many metres of a drive on one is on roads of that kind (assumed). */
    private const FROM_M = [[0.0, KindOfRoad::Town], [3_000.0, KindOfRoad::Rural], [15_000.0, KindOfRoad::Dual]];

    /**
     * @param  float  $detour  from 1
     * @param  float  $busy  so many times as long as outside the busy hours
     * @param  array<string, float>  $kmh  by kind of road, where it is not the usual one
     */
    public function __construct(public float $detour = self::DETOUR, public float $busy = 1.0, private array $kmh = [])
    {
    }

    public function metres(Position $from, Position $to): float
    {
        return $from->metresTo($to) * $this->detour;
    }

    /** So many metres from one place to another, s: never more than to drive them in two parts. */
    public function seconds(float $metres): float
    {
        $seconds = 0.0;
        $pace = 0.0;
        foreach (self::FROM_M as $i => [$from, $road]) {
            $until = self::FROM_M[$i + 1][0] ?? INF;
            // Nobody leaves a quick road for a slower one because it is far.
            $pace = max($pace, $this->kmh($road));
            $seconds += $this->busy * max(0.0, min($metres, $until) - $from) * 3.6 / $pace;
        }

        return $seconds;
    }

    /** So many metres on roads of one kind, s. */
    public function at(KindOfRoad $road, float $metres): float
    {
        return $this->busy * $metres * 3.6 / $this->kmh($road);
    }

    public function kmh(KindOfRoad $road): float
    {
        return $this->kmh[$road->value] ?? $road->kmh();
    }
}
