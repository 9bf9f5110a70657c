<?php

declare(strict_types=1);

namespace NobleTurn\Core\Lanes;

use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Rules\Flank;
use NobleTurn\Core\Rules\RulePack;

/** Which lane: the junction seen from our own arm, the trip through it, and the lane we come along in. */
final readonly class LaneQuestion
{
    public Round $round;

    /** @param  list<array{arm: int, metres: float}>  $signsOnRing  direction signs past an arm */
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
        public array $signsOnRing = [],
        /** Somebody opposite turns into the same road. */
        public bool $oncomingTurner = false,
    ) {
        $this->round = new Round($radiusMetres, $mini, $trip->angleDegrees);
    }

    /** @return array<int, Route> by approach lane, cheapest first */
    public function routes(): array
    {
        $routes = $this->layout === Layout::Junction
            ? JunctionPlanner::routes($this->ring->arms[0], $this->target(), $this->trip, $this->pack)
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
        $before = $this->ring->entered($route->approachLane);
        foreach ($route->moves as $move) {
            $painted = $move['lane'] <=> $before;
            $before = $move['to'];
            $last = $move['sector'] === $this->trip->sectors - 1;
            $outward = $move['to'] < $move['lane'];
            $changes = $move['to'] !== $move['lane'];
            $side = $outward ? $near : $off;
            $rows[] = [
                'after' => $this->arm($move['sector'])->name, 'sector' => $move['sector'], 'lane' => $move['lane'], 'to_lane' => $move['to'],
                'action' => $changes ? ($outward ? 'move-out' : 'move-in') : ($last ? 'leave' : 'keep'),
                'mirrors' => [
                    // The paint moves the car over as surely as the wheel does.
                    ...($painted === 0 || $changes ? [] : ['interior', ($painted < 0 ? $near : $off).'-mirror']),
                    ...($changes ? ['interior', "{$side}-mirror", "{$side}-shoulder"] : []), ...($last ? ['interior', "{$near}-mirror"] : []),
                ],
            ];
        }

        return $rows;
    }
}
