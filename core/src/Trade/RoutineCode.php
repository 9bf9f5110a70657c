<?php

declare(strict_types=1);

namespace NobleTurn\Core\Trade;

/** The routines that can be planned, marked and explained. Left and right as the driver sees them. */
enum RoutineCode: string
{
    case BetweenHazards = 'between-hazards';
    case MoveOff = 'move-off';
    case PullUpLeft = 'pull-up-left';
    case PullUpRight = 'pull-up-right';
    case PullUpRightReverse = 'pull-up-right-reverse';
    case QueueStop = 'queue-stop';
    case BayOut = 'bay-out';
    case Ramp = 'ramp';
    case BayIn = 'bay-in';
    case TurnLeft = 'turn-left';
    case TurnRight = 'turn-right';
    case EmergeLeft = 'emerge-left';
    case EmergeRight = 'emerge-right';
    case Cross = 'cross';
    case LightsAhead = 'lights-ahead';
    case LightsLeft = 'lights-left';
    case LightsRight = 'lights-right';
    case Roundabout = 'roundabout';
    case MiniRoundabout = 'mini-roundabout';
    case LaneChangeLeft = 'lane-change-left';
    case LaneChangeRight = 'lane-change-right';
    case Merge = 'merge';
    case Join = 'join';
    case Leave = 'leave';
    case PassParked = 'pass-parked';
    case Meet = 'meet';
    case PassBus = 'pass-bus';
    case People = 'people';
    case Hump = 'hump';
    case Siren = 'siren';
    case Overtake = 'overtake';
    case SeatAndHands = 'seat-and-hands';
    case GearChange = 'gear-change';
    case Creep = 'creep';
    case LongMoveOff = 'long-move-off';
    case LongLeft = 'long-left';
    case LongRight = 'long-right';
    case LongLaneChange = 'long-lane-change';
    case Height = 'height';
    case RightOnRed = 'right-on-red';
    case AllWayStop = 'all-way-stop';
    case CentreLaneLeft = 'centre-lane-left';
    case RailCrossing = 'rail-crossing';
    case Alley = 'alley';
    case BackUp = 'back-up';
    case VehicleCheck = 'vehicle-check';
    case Directions = 'directions';
    case Independent = 'independent';

    /** The side its name says; null where it has none of its own. */
    public function namedSide(): ?Side
    {
        return match (true) {
            str_ends_with($this->value, '-left') => Side::Left,
            str_ends_with($this->value, '-right'), $this === self::PullUpRightReverse, $this === self::RightOnRed => Side::Right,
            default => null,
        };
    }

    /** The side that it turns to into another road; null where that is said of each way, or where it turns into none. */
    public function turnsTo(): ?Side
    {
        return match ($this) {
            self::PullUpLeft, self::PullUpRight, self::PullUpRightReverse, self::LaneChangeLeft, self::LaneChangeRight => null,
            default => $this->namedSide(),
        };
    }

    /** Whether it leads into another road, to one side or the other. */
    public function turns(): bool
    {
        return $this->turnsTo() !== null || in_array($this, [self::Roundabout, self::MiniRoundabout, self::AllWayStop], true);
    }

    /** Whether our road ends in, or crosses, a line where both ways are looked. */
    public function emerges(): bool
    {
        return match ($this) {
            self::EmergeLeft, self::EmergeRight, self::Cross, self::AllWayStop, self::RightOnRed, self::Alley, self::Roundabout, self::MiniRoundabout,
            self::RailCrossing => true,
            default => false,
        };
    }

    /** Whether the routine has an approach that can be planned on a strip. */
    public function hasApproach(): bool
    {
        return $this->emerges() || match ($this) {
            self::TurnLeft, self::TurnRight, self::LightsAhead, self::LightsLeft, self::LightsRight, self::PassParked, self::Meet, self::PassBus,
            self::People, self::Hump, self::PullUpLeft, self::PullUpRight, self::PullUpRightReverse, self::CentreLaneLeft, self::BackUp,
            self::QueueStop, self::MoveOff => true,
            default => false,
        };
    }

    /** Nothing to be taught of it in a car without a clutch. */
    public function needsClutch(): bool
    {
        return $this === self::GearChange;
    }

    /** Whether the car stands while the routine is done: its plan is in seconds, not in metres. */
    public function isDoneStanding(): bool
    {
        return $this === self::MoveOff;
    }

    /** The same routine in a mirror. */
    public function mirrored(): self
    {
        $other = match ($this->namedSide()) {
            Side::Left => str_replace('-left', '-right', $this->value),
            Side::Right => str_replace('-right', '-left', $this->value),
            null => $this->value,
        };

        return self::tryFrom($other) ?? $this;
    }
}
