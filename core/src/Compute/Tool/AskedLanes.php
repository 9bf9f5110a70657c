<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Lanes\Arm;
use NobleTurn\Core\Lanes\JunctionPlanner;
use NobleTurn\Core\Lanes\LanePlanner;
use NobleTurn\Core\Lanes\Layout;
use NobleTurn\Core\Lanes\Ring;
use NobleTurn\Core\Lanes\Route;
use NobleTurn\Core\Lanes\Trip;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Rules\Flank;
use NobleTurn\Core\Rules\RulePack;

/** A question to the lane planner as it was read. */
final readonly class AskedLanes
{
    /** Round an ordinary roundabout, unhurried: v = sqrt(a r) with 2 m/s2 (assumed). */
    private const SIDEWAYS = 2.0;

    public function __construct(
        public RulePack $pack,
        public Ring $ring,
        public Trip $trip,
        public float $radius,
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

    /** The approach to it, as the approach tool takes it: the same limit, practice and car. */
    public function approach(Values $input): Values
    {
        $near = Flank::Near->side($this->pack)->value;
        $off = Flank::Off->side($this->pack)->value;
        $way = match ($this->trip->clock()) {
            -1 => $near, 0 => 'ahead', default => $off
        };
        $at = $this->layout === Layout::Junction
            ? ['routine' => "lights-{$way}"]
            : ['routine' => $this->mini ? 'mini-roundabout' : 'roundabout', 'exit' => $this->trip->angle >= 359.0 ? 'back' : $way];

        return new Values([...$at, 'pack' => $this->pack->code(), 'limit' => $this->speed, ...array_filter(['practice' => $input->object('practice')])]);
    }

    public function onIt(): float
    {
        return sqrt(self::SIDEWAYS * $this->radius);
    }

    /** Along the circle from our arm to so many degrees on, m. */
    public function arc(float $degrees): float
    {
        return $degrees * M_PI / 180.0 * $this->radius;
    }

    public function secondsOnIt(): float
    {
        return $this->arc($this->trip->angle) / $this->onIt();
    }
}
