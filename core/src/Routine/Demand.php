<?php

declare(strict_types=1);

namespace NobleTurn\Core\Routine;

use NobleTurn\Core\Place\Light;
use NobleTurn\Core\Place\WayOut;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Rules\Flank;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Trade\RoutineCode as R;
use NobleTurn\Core\Trade\Side;
use NobleTurn\Core\Trade\Step;

/** What a routine asks of the car on its approach: what is announced, where it moves to, how fast it may arrive. */
final readonly class Demand
{
    /** Past parked vehicles, people and exits, and in meeting traffic (assumed). */
    private const CAREFUL_MPH = 20.0;

    private const MEETING_MPH = 12.0;

    /** "About 10 to 12 mph for severe humps" (common practice). */
    private const HUMP_MPH = 11.0;

    private function __construct(
        /** Which side is signalled; null where nothing is. */
        public ?Flank $signals,
        /** To which side the car moves; null where it keeps its place. */
        public ?Flank $moves,
        /** The side everything is about: openings, somebody passing, the words of the card. */
        public Flank $towards,
        public Target $target,
        public Arrival $arrival,
        /** For `Arrival::Slow`: at most this fast, m/s. */
        public ?float $slowToMps = null,
    ) {
    }

    public static function of(R $routine, RulePack $pack, WayOut $exit, Light $light): self
    {
        $side = self::side($routine, $pack, $exit);
        $flank = $side === null ? null : Flank::of($side, $pack);
        $off = Flank::Off;
        $near = Flank::Near;

        return match ($routine) {
            R::TurnLeft, R::TurnRight => new self($flank, $flank, $flank ?? $near, Target::ForTurn, Arrival::Turning),
            R::CentreLaneLeft => new self($flank, $flank, $flank ?? $near, Target::CentreLane, Arrival::Turning),
            R::EmergeLeft, R::EmergeRight => new self($flank, $flank, $flank ?? $near, Target::ForTurn, Arrival::Line),
            R::RightOnRed => new self($flank, $flank, $flank ?? $near, Target::ForTurn, Arrival::Stop),
            R::LightsLeft, R::LightsRight => new self($flank, $flank, $flank ?? $near, Target::ForTurn, $light->stops() ? Arrival::Stop : Arrival::Turning),
            R::LightsAhead => new self(
                null, null, $near, Target::Usual, $light->stops() ? Arrival::Stop : ($light === Light::LongGreen ? Arrival::Ready : Arrival::Keep),
            ),
            R::AllWayStop => new self($flank, $flank, $flank ?? $near, $flank === null ? Target::Usual : Target::ForTurn, Arrival::Stop),
            R::Roundabout, R::MiniRoundabout => self::roundabout($flank, $pack, $exit),
            R::Cross => new self(null, null, $near, Target::Usual, Arrival::Line),
            R::RailCrossing => new self(null, null, $near, Target::Usual, $light->stops() ? Arrival::Stop : Arrival::Slow, self::mph(self::CAREFUL_MPH)),
            R::Alley => new self(null, null, $near, Target::Usual, Arrival::Stop),
            R::PassParked => new self($off, $off, $off, Target::PastParked, Arrival::Slow, self::mph(self::CAREFUL_MPH)),
            R::PassBus => new self($off, $off, $off, Target::PastParked, Arrival::Slow, self::mph(self::MEETING_MPH)),
            R::Meet => new self(null, $near, $near, Target::Kerb, Arrival::Slow, self::mph(self::MEETING_MPH)),
            R::People => new self(null, null, $near, Target::Usual, Arrival::Slow, self::mph(self::CAREFUL_MPH)),
            R::Hump => new self(null, null, $near, Target::Usual, Arrival::Slow, self::mph(self::HUMP_MPH)),
            R::PullUpLeft, R::PullUpRight, R::BackUp => new self($near, $near, $near, Target::Kerb, Arrival::Stop),
            R::PullUpRightReverse => new self($off, $off, $off, Target::FarKerb, Arrival::Stop),
            R::MoveOff => new self($off, null, $off, Target::Usual, Arrival::Stop),
            R::QueueStop => new self(null, null, $near, Target::Usual, Arrival::Stop),
            default => throw new \LogicException("{$routine->value} has no approach."),
        };
    }

    /** The side a routine turns or moves to: named by it, or by the way out, or the side everybody passes on. */
    public static function side(R $routine, RulePack $pack, WayOut $exit = WayOut::Ahead): ?Side
    {
        return match ($routine) {
            R::Roundabout, R::MiniRoundabout, R::AllWayStop => match ($exit) {
                WayOut::Left => Side::Left,
                WayOut::Right => Side::Right,
                WayOut::Ahead => null,
                WayOut::Back => Flank::Off->side($pack),
            },
            R::PassParked, R::PassBus, R::Overtake, R::MoveOff, R::Join, R::LongMoveOff => Flank::Off->side($pack),
            R::Meet, R::BackUp, R::Leave, R::Merge => Flank::Near->side($pack),
            default => $routine->namedSide(),
        };
    }

    /** Whether a decision waits for what is seen: then the last stretch is driven slowly enough for it. */
    public function looksBeforeGoing(): bool
    {
        return in_array($this->arrival, [Arrival::Line, Arrival::Turning, Arrival::Stop], true);
    }

    /** @return non-empty-list<Step> the steps that have a point on this approach, in the routine's order */
    public function steps(): array
    {
        return array_values(array_filter(Step::cases(), fn (Step $step): bool => match ($step) {
            Step::Signal => $this->signals !== null,
            Step::Position => $this->moves !== null,
            default => true,
        }));
    }

    /** Keep-left by the clock: towards the kerb, none, across. Elsewhere a signal on the approach only for the first way out. */
    private static function roundabout(?Flank $flank, RulePack $pack, WayOut $exit): self
    {
        $signals = $pack->signalsOnApproachToRoundabout() || $flank === Flank::Near ? $flank : null;
        $moves = $exit === WayOut::Ahead ? Flank::Near : ($flank ?? Flank::Near);

        return new self($signals, $exit === WayOut::Ahead ? null : $moves, $moves, $exit === WayOut::Ahead ? Target::Usual : Target::ForTurn, Arrival::Line);
    }

    private static function mph(float $number): float
    {
        return Speed::ofMilesPerHour($number)->inMetresPerSecond();
    }
}
