<?php

declare(strict_types=1);

namespace NobleTurn\Core\Routine\Catalogue;

use NobleTurn\Core\Routine\Routine;
use NobleTurn\Core\Rules\Flank;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Trade\RoutineCode as R;
use NobleTurn\Core\Trade\Side;

/** Every routine that is taught. A turn is written once for each flank: towards the kerb, or across the road. */
final class Catalogue
{
    /** @var array<string, array<int, Routine>> written once in a process, by code and flank */
    private static array $routines = [];

    /** @var array<class-string, array<int, non-empty-list<R>>> by pack, without and with a clutch */
    private static array $codes = [];

    public static function routine(R $code, RulePack $pack): Routine
    {
        $near = $code->namedSide() === null || Flank::of($code->namedSide(), $pack) === Flank::Near;

        return self::$routines[$code->value][(int) $near] ??= self::written($code, $near);
    }

    private static function written(R $code, bool $near): Routine
    {
        return match ($code) {
            R::BetweenHazards => Around::between(),
            R::MoveOff => MovingOff::moveOff(),
            R::PullUpLeft, R::PullUpRight => MovingOff::pullUp($code),
            R::PullUpRightReverse => MovingOff::pullUpAcrossAndReverse(),
            R::QueueStop => MovingOff::queueStop(),
            R::BayOut => BaysAndRamps::bayOut(),
            R::Ramp => BaysAndRamps::ramp(),
            R::BayIn => BaysAndRamps::bayIn(),
            R::LongMoveOff => BaysAndRamps::longMoveOff(),
            R::TurnLeft, R::TurnRight => $near ? TurnTowardsKerb::routine($code) : TurnAcross::routine($code),
            R::EmergeLeft, R::EmergeRight => $near ? EmergeTowardsKerb::routine($code) : EmergeAcross::routine($code),
            R::Cross => CrossingOver::cross(),
            R::LightsAhead => CrossingOver::lightsAhead(),
            R::LightsLeft, R::LightsRight => CrossingOver::lightsTurn($code, ! $near),
            R::Roundabout => Roundabouts::roundabout(),
            R::MiniRoundabout => Roundabouts::mini(),
            R::LaneChangeLeft, R::LaneChangeRight => Lanes::change($code),
            R::Merge => Lanes::merge(),
            R::Join => Lanes::join(),
            R::Leave => Lanes::leave(),
            R::PassParked => Passing::parked(),
            R::Meet => Passing::meet(),
            R::PassBus => Passing::bus(),
            R::People => PeopleAndHumps::people(),
            R::Hump => PeopleAndHumps::hump(),
            R::Siren => PeopleAndHumps::siren(),
            R::Overtake => OvertakingAndControl::overtake(),
            R::SeatAndHands => OvertakingAndControl::seatAndHands(),
            R::GearChange => OvertakingAndControl::gearChange(),
            R::Creep => OvertakingAndControl::creep(),
            R::LongLeft, R::LongRight => LongVehicles::turn($code, $near),
            R::LongLaneChange => LongVehicles::laneChange(),
            R::Height => LongVehicles::height(),
            R::RightOnRed => LocalRules::rightOnRed(),
            R::AllWayStop => LocalRules::allWayStop(),
            R::CentreLaneLeft => LocalRules::centreLane(),
            R::RailCrossing => RailsAndAlleys::railCrossing(),
            R::Alley => RailsAndAlleys::alley(),
            R::BackUp => RailsAndAlleys::backUp(),
            R::VehicleCheck => Around::vehicleCheck(),
            R::Directions => Around::directions(),
            R::Independent => Around::independent(),
        };
    }

    /** @return non-empty-list<R> the routines a place has, for a car with or without a clutch */
    public static function codes(RulePack $pack, bool $hasClutch = true): array
    {
        return self::$codes[$pack::class][(int) $hasClutch] ??= self::taught($pack, $hasClutch);
    }

    /** @return non-empty-list<R> */
    private static function taught(RulePack $pack, bool $hasClutch): array
    {
        // Pulling up is a routine of our own kerb; the far one is an exercise of its own, where there is one at all.
        $not = [$pack->keeps() === Side::Left ? R::PullUpRight : R::PullUpLeft, ...$pack->lacks(), ...($pack->turnOnRed() ? [] : [R::RightOnRed])];

        /** @var non-empty-list<R> */
        return array_values(array_filter(R::cases(), static fn (R $code): bool => ($hasClutch || ! $code->needsClutch()) && ! in_array($code, $not, true)));
    }

    /** @return non-empty-list<Routine> */
    public static function all(RulePack $pack): array
    {
        return array_map(static fn (R $code): Routine => self::routine($code, $pack), self::codes($pack));
    }
}
