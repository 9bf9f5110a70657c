<?php

declare(strict_types=1);

namespace NobleTurn\Core\Next;

use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Trade\RoutineCode as R;
use NobleTurn\Core\Trade\Side;

/**
 * What is taught before what: the near side before across, off a main road before on to one, one lane before two, and a safe double before the real
 * thing (a dual carriageway before overtaking on a country road). Common practice, no source.
 */
final class Prerequisites
{
    /** A routine is behind somebody where they are as often right as not over its steps (assumed). */
    public const ENOUGH = 0.5;

    /** @return list<R> what comes before it, in one step */
    public static function of(R $routine, RulePack $pack): array
    {
        [$nearTurn, $acrossTurn, $nearOut, $acrossOut, $nearLights, $acrossLights] = $pack->keeps() === Side::Left
            ? [R::TurnLeft, R::TurnRight, R::EmergeLeft, R::EmergeRight, R::LightsLeft, R::LightsRight]
            : [R::TurnRight, R::TurnLeft, R::EmergeRight, R::EmergeLeft, R::LightsRight, R::LightsLeft];
        $before = match ($routine) {
            $nearTurn, R::GearChange, R::Hump, R::PassParked => [R::MoveOff],
            $acrossTurn, $nearOut => [$nearTurn],
            $acrossOut => [$nearOut, $acrossTurn],
            R::Cross, R::MiniRoundabout, R::AllWayStop, R::RightOnRed => [$nearOut],
            R::LightsAhead => [R::MoveOff],
            $nearLights => [R::LightsAhead, $nearTurn],
            $acrossLights => [R::LightsAhead, $acrossTurn],
            R::Roundabout => [$nearOut, $nearTurn],
            R::LaneChangeLeft, R::LaneChangeRight => [R::MoveOff],
            R::CentreLaneLeft => [R::LaneChangeLeft, $acrossTurn],
            R::Merge => [R::LaneChangeLeft, R::LaneChangeRight],
            R::Join => [R::LaneChangeRight],
            R::Leave => [R::LaneChangeLeft],
            R::Overtake => [R::Join, R::LaneChangeRight],
            R::Meet, R::PassBus, R::People => [R::PassParked],
            R::BetweenHazards, R::Siren, R::RailCrossing, R::Alley, R::Creep => [R::MoveOff],
            R::PullUpLeft, R::PullUpRight, R::QueueStop => [R::MoveOff],
            R::PullUpRightReverse => [R::PullUpLeft],
            R::BayOut, R::BayIn, R::BackUp => [R::Creep],
            R::Ramp => [R::MoveOff],
            R::Independent => [R::Roundabout, $acrossOut],
            R::LongMoveOff => [R::MoveOff],
            R::LongLeft, R::LongRight, R::LongLaneChange => [R::LongMoveOff],
            default => [],
        };

        return array_values(array_filter($before, static fn (R $one): bool => ! in_array($one, $pack->lacks(), true)));
    }

    /**
     * Everything that comes before it, however far back.
     *
     * @return list<R>
     */
    public static function all(R $routine, RulePack $pack): array
    {
        $found = [];
        $open = self::of($routine, $pack);
        while ($open !== []) {
            $one = array_shift($open);
            if (! in_array($one, $found, true)) {
                $found[] = $one;
                array_push($open, ...self::of($one, $pack));
            }
        }

        return $found;
    }
}
