<?php

declare(strict_types=1);

namespace NobleTurn\Core\Lanes;

use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Rules\Flank;
use NobleTurn\Core\Rules\RulePack;

/** Which lane: the junction seen from our own arm, the trip through it, and the lane we come along in. */
final readonly class LaneQuestion
{
    /** Round an ordinary roundabout, unhurried: v = sqrt(a r) with 2 m/s2 (assumed). */
    private const SIDEWAYS = 2.0;

    public function __construct(
        public RulePack $pack,
        public Ring $ring,
        public Trip $trip,
        public float $radiusMetres,
        public bool $mini,
        public Layout $layout,
        public Speed $speed,
        /** The lane we come along in. */
        public int $inLane,
    ) {
    }

    /** @return array<int, Route> by approach lane, cheapest first */
    public function routes(): array
    {
        $routes = $this->layout === Layout::Junction
            ? JunctionPlanner::routes($this->ring->arms[0], $this->target(), $this->trip)
            : LanePlanner::routes($this->ring, $this->trip);
        uasort($routes, static fn (Route $a, Route $b): int => [round($a->cost(), 9), $a->approachLane] <=> [round($b->cost(), 9), $b->approachLane]);

        return $routes;
    }

    public function target(): Arm
    {
        return $this->ring->arms[$this->trip->sectors % count($this->ring->arms)];
    }

    public function arm(int $at): Arm
    {
        return $this->ring->arms[$at % count($this->ring->arms)];
    }

    /** Towards the near side, ahead, or towards the off side. */
    public function way(): string
    {
        return match ($this->trip->clock()) {
            -1 => Flank::Near->side($this->pack)->value, 0 => 'ahead', default => Flank::Off->side($this->pack)->value
        };
    }

    public function onItMetresPerSecond(): float
    {
        return sqrt(self::SIDEWAYS * $this->radiusMetres);
    }

    /** Along the circle from our arm to so many degrees on, m. */
    public function arcMetres(float $degrees): float
    {
        return $degrees * M_PI / 180.0 * $this->radiusMetres;
    }

    public function secondsOnIt(): float
    {
        return $this->arcMetres($this->trip->angleDegrees) / $this->onItMetresPerSecond();
    }

    /** @return list<array{after: string, sector: int, lane: int, to_lane: int, action: string, mirrors: list<string>}> */
    public function path(Route $route): array
    {
        $near = Flank::Near->side($this->pack)->value;
        $off = Flank::Off->side($this->pack)->value;
        if ($this->layout === Layout::Junction) {
            return [[
                'after' => $this->arm(0)->name, 'sector' => 0, 'lane' => $route->approachLane, 'to_lane' => $route->approachLane,
                'action' => 'leave', 'mirrors' => ['interior', ($this->trip->clock() > 0 ? $off : $near).'-mirror'],
            ]];
        }
        $rows = [];
        foreach ($route->moves as $move) {
            $last = $move['sector'] === $this->trip->sectors - 1;
            $outward = $move['to'] < $move['lane'];
            $changes = $move['to'] !== $move['lane'];
            $side = $outward ? $near : $off;
            $rows[] = [
                'after' => $this->arm($move['sector'])->name, 'sector' => $move['sector'], 'lane' => $move['lane'], 'to_lane' => $move['to'],
                'action' => $changes ? ($outward ? 'move-out' : 'move-in') : ($last ? 'leave' : 'keep'),
                'mirrors' => [...($changes ? ['interior', "{$side}-mirror", "{$side}-shoulder"] : []), ...($last ? ['interior', "{$near}-mirror"] : [])],
            ];
        }

        return $rows;
    }
}
