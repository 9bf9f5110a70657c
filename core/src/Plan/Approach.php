<?php

declare(strict_types=1);

namespace NobleTurn\Core\Plan;

use NobleTurn\Core\Place\Control;
use NobleTurn\Core\Place\DirectionSign;
use NobleTurn\Core\Place\Follower;
use NobleTurn\Core\Place\Junction;
use NobleTurn\Core\Place\Light;
use NobleTurn\Core\Place\RoadAhead;
use NobleTurn\Core\Place\Stretch;
use NobleTurn\Core\Place\WayOut;
use NobleTurn\Core\Quantity\Acceleration;
use NobleTurn\Core\Quantity\Distance;
use NobleTurn\Core\Quantity\Gradient;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Routine\Demand;
use NobleTurn\Core\Rules\Flank;
use NobleTurn\Core\Rules\Practice;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Trade\LearnerLevel;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Surface;
use NobleTurn\Core\Vehicle\Vehicle;

/**
 * Everything a plan for one approach is asked with. The zero of the axis is our front bumper at the
 * give-way or stop line; for a turn off the main road, the point where steering starts.
 */
final readonly class Approach
{
    public Demand $demand;

    /**
     * @param  list<Stretch>  $openings  side roads and driveways before ours
     * @param  list<Stretch>  $parked
     */
    public function __construct(
        public RulePack $pack,
        public Practice $practice,
        public RoutineCode $routine,
        public Vehicle $vehicle,
        public LearnerLevel $level,
        public Speed $limit,
        public Speed $speed,
        public ?Speed $lineSpeed,
        public Distance $turnRadius,
        public Gradient $gradient,
        public Surface $surface,
        public Control $control,
        public float $viewFromMetres,
        public ?Distance $room,
        public array $openings,
        public array $parked,
        public Follower $follower,
        public ?Flank $passingOn,
        public bool $oneWay,
        public Distance $roadWidth,
        public Acceleration $comfort,
        /** Which way out, of a junction that all ways lead out of. */
        public WayOut $wayOut = WayOut::Ahead,
        /** What the lights show, where there are any. */
        public Light $light = Light::Green,
        /** The sign that tells the way, where nobody says it. */
        public ?DirectionSign $sign = null,
        public Junction $junction = new Junction,
        public RoadAhead $ahead = new RoadAhead,
    ) {
        $this->demand = Demand::of($routine, $pack, $wayOut, $light);
    }

    public function turnsTo(): Flank
    {
        return $this->demand->towards;
    }

    /** Somebody is passing, or about to, on the side we turn to. */
    public function isBeingPassedOnTurnSide(): bool
    {
        return $this->passingOn === $this->turnsTo();
    }

    public function atSpeed(Speed $speed): self
    {
        return $this->with($speed, $this->room);
    }

    public function withRoom(Distance $room): self
    {
        return $this->with($this->speed, $this->room === null || $room->inMetres() < $this->room->inMetres() ? $room : $this->room);
    }

    private function with(Speed $speed, ?Distance $room): self
    {
        return new self(
            $this->pack, $this->practice, $this->routine, $this->vehicle, $this->level, $this->limit, $speed,
            $this->lineSpeed, $this->turnRadius, $this->gradient, $this->surface, $this->control, $this->viewFromMetres,
            $room, $this->openings, $this->parked, $this->follower, $this->passingOn, $this->oneWay,
            $this->roadWidth, $this->comfort, $this->wayOut, $this->light, $this->sign, $this->junction, $this->ahead,
        );
    }
}
