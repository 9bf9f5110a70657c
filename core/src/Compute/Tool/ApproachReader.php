<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Place\Control;
use NobleTurn\Core\Place\DirectionSign;
use NobleTurn\Core\Place\Follower;
use NobleTurn\Core\Place\Light;
use NobleTurn\Core\Place\Stretch;
use NobleTurn\Core\Place\View;
use NobleTurn\Core\Place\WayOut;
use NobleTurn\Core\Plan\Approach;
use NobleTurn\Core\Quantity\Distance;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Routine\Demand;
use NobleTurn\Core\Rules\Assumption;
use NobleTurn\Core\Rules\Flank;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Trade\LearnerLevel;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Side;
use NobleTurn\Core\Vehicle\Handling;

/** From the fields of the approach tool to the approach they mean, and the list of what was filled in. */
final class ApproachReader
{
    /** Two lanes of 3.65 m (assumed; the usual single carriageway). */
    private const ROAD_WIDTH_M = 7.3;

    public const RADIUS_TOWARDS_KERB_M = 8.0;

    public const RADIUS_ACROSS_M = 11.0;

    /** @throws BadInput where fields contradict each other */
    public static function read(Values $input): Approach
    {
        $pack = CommonFields::pack($input);
        $routine = $input->choice('routine', RoutineCode::class) ?? throw BadInput::field('routine', 'is missing.');
        $limit = $input->speed('limit') ?? $pack->townLimit();
        $passing = $input->choice('passing_on', Side::class);
        if (! $routine->hasApproach() || ! in_array($routine, Catalogue::codes($pack), true)) {
            throw BadInput::field(
                'routine',
                $routine->hasApproach()
                    ? "is not a routine where traffic keeps as in {$pack->name()}."
                    : 'has no approach to plan: it has its card, and where it needs one its own tool.',
            );
        }
        $vehicle = VehicleField::read($input);
        $exit = $input->choice('exit', WayOut::class) ?? WayOut::Ahead;
        $side = Demand::side($routine, $pack, $exit);
        $default = $side === null || Flank::of($side, $pack) === Flank::Near ? self::RADIUS_TOWARDS_KERB_M : self::RADIUS_ACROSS_M;

        return new Approach(
            $pack,
            PracticeField::read($input, $pack),
            $routine,
            $vehicle,
            $input->choice('learner_level', LearnerLevel::class) ?? LearnerLevel::Developing,
            $limit,
            $input->speed('speed') ?? $limit,
            $input->speed('line_speed'),
            $input->distance('turn_radius') ?? Distance::ofMetres($default),
            CommonFields::gradient($input),
            CommonFields::surface($input),
            $input->choice('control', Control::class) ?? self::control($routine),
            self::viewFrom($input),
            $input->distance('room'),
            self::stretches($input, 'openings', $pack),
            self::stretches($input, 'parked', $pack),
            self::follower($input),
            $passing === null ? null : Flank::of($passing, $pack),
            $input->flag('one_way') ?? false,
            $input->distance('road_width') ?? Distance::ofMetres(self::ROAD_WIDTH_M),
            $input->acceleration('comfort_decel') ?? Handling::of($vehicle)->comfort,
            $exit,
            $input->choice('light', Light::class) ?? ($routine === RoutineCode::RightOnRed ? Light::Red : Light::Green),
            self::sign($input),
            JunctionField::read($input, $pack, $routine, $limit),
            RoadAheadField::read($input),
        );
    }

    /** What governs the line where nothing is said. */
    private static function control(RoutineCode $routine): Control
    {
        return match ($routine) {
            RoutineCode::EmergeLeft, RoutineCode::EmergeRight, RoutineCode::Cross, RoutineCode::Roundabout, RoutineCode::MiniRoundabout => Control::GiveWay,
            RoutineCode::LightsAhead, RoutineCode::LightsLeft, RoutineCode::LightsRight, RoutineCode::RightOnRed, RoutineCode::RailCrossing => Control::Signals,
            RoutineCode::AllWayStop => Control::AllWayStop,
            default => Control::None,
        };
    }

    /** @return list<Assumption> */
    public static function defaults(Values $input, Approach $approach): array
    {
        return [
            ...CommonFields::defaults(
                $input,
                CommonFields::default('limit', round($approach->limit->inMetresPerSecond(), 3), 'm/s'),
                CommonFields::default('speed', round($approach->speed->inMetresPerSecond(), 3), 'm/s'),
                CommonFields::default('surface', $approach->surface->value),
                CommonFields::default('gradient', 0.0, 'rise over run'),
                CommonFields::default('control', $approach->control->value),
                CommonFields::default('road_width', $approach->roadWidth->inMetres(), 'm'),
                CommonFields::default('vehicle', VehicleField::named($approach->vehicle, $approach->pack)),
                CommonFields::default('learner_level', $approach->level->value),
                CommonFields::default('comfort_decel', $approach->comfort->inMetresPerSecondSquared(), 'm/s2'),
            ),
            ...(
                ! in_array('turn_radius_m', RoutineFacts::asks($approach->routine, $approach->pack), true)
                    ? []
                    : CommonFields::defaults($input, CommonFields::default('turn_radius', $approach->turnRadius->inMetres(), 'm'))
            ),
            ...(
                $approach->sign === null || $input->object('sign')?->has('legible') === true
                    ? []
                    : [CommonFields::default('sign legible from', DirectionSign::LEGIBLE_M, 'm')]
            ),
            ...(
                $approach->junction->roadMet->limit !== null || ! in_array('road_met', RoutineFacts::asks($approach->routine, $approach->pack), true)
                    ? []
                    : [CommonFields::default('limit of the road met, as ours: check', round($approach->limit->inMetresPerSecond(), 3), 'm/s')]
            ),
            ...($input->has('view_from') || $input->has('view_beyond') ? [] : [CommonFields::default('view opens', $approach->viewFromMetres, 'm')]),
        ];
    }

    private static function viewFrom(Values $input): float
    {
        $measured = $input->distance('view_from');
        if ($measured !== null && $input->has('view')) {
            throw BadInput::field('view_from_m', 'must not be given beside view.');
        }

        if ($input->has('view_beyond')) {
            return ($input->has('view') || $measured !== null)
                ? throw BadInput::field('view_beyond_m', 'must not be given beside view or view_from_m.') : 0.0;
        }

        return $measured?->inMetres() ?? ($input->choice('view', View::class) ?? View::Open)->opensAtMetres();
    }

    private static function sign(Values $input): ?DirectionSign
    {
        $said = $input->object('sign');

        return $said === null ? null : new DirectionSign(
            $said->distance('at')?->inMetres() ?? 0.0, $said->distance('legible')?->inMetres() ?? DirectionSign::LEGIBLE_M,
        );
    }

    private static function follower(Values $input): Follower
    {
        $gap = $input->duration('follower_gap');
        if ($gap !== null && $input->has('close_follower')) {
            throw BadInput::field('close_follower', 'must not be given beside follower_gap_s.');
        }

        return match (true) {
            $gap !== null => Follower::atGap($gap),
            $input->flag('close_follower') === true => Follower::close(),
            default => Follower::none(),
        };
    }

    /** @return list<Stretch> */
    private static function stretches(Values $input, string $field, RulePack $pack): array
    {
        $read = [];
        foreach ($input->objects($field) as $entry) {
            $side = $entry->choice('side', Side::class);
            [$from, $to] = [$entry->distance('from'), $entry->distance('to')];
            if ($side !== null && $from !== null && $to !== null) {
                $read[] = Stretch::between(Flank::of($side, $pack), $from->inMetres(), $to->inMetres());
            }
        }

        return $read;
    }
}
