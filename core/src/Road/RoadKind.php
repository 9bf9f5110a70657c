<?php

declare(strict_types=1);

namespace NobleTurn\Core\Road;

use NobleTurn\Core\Compute\Tool\PlannedBy;
use NobleTurn\Core\Trade\RoutineCode as R;

/** What kind of road a place is, and which facts such a road has. */
enum RoadKind: string
{
    case Junction = 'junction';
    case Roundabout = 'roundabout';
    /** On to or off a fast road. */
    case Slip = 'slip';
    /** A length of road on which something is met or done. */
    case Stretch = 'stretch';
    /** Where one pulls up, backs or moves off. */
    case Kerb = 'kerb';

    /** Facts of any road with an approach. */
    private const STREET = [
        'limit_mph', 'limit_kmh', 'view', 'view_from_m', 'gradient', 'room_m', 'openings', 'parked', 'one_way', 'road_width_m', 'sign', 'then',
        'sight_ahead_m', 'bend', 'crest', 'dip', 'path_before_m',
    ];

    /** The kind a routine is driven at; null where it belongs to no place. */
    public static function of(R $routine): ?self
    {
        return PlannedBy::tool($routine) === null ? null : match ($routine) {
            R::Join, R::Leave => self::Slip,
            R::Roundabout, R::MiniRoundabout => self::Roundabout,
            R::MoveOff, R::PullUpLeft, R::PullUpRight, R::PullUpRightReverse, R::BackUp => self::Kerb,
            R::PassParked, R::Meet, R::PassBus, R::People, R::Hump, R::QueueStop, R::RailCrossing, R::LaneChangeLeft, R::LaneChangeRight,
            R::Overtake => self::Stretch,
            default => self::Junction,
        };
    }

    /** @return list<string> names of its facts, as the tools call them */
    public function fields(): array
    {
        return match ($this) {
            self::Junction => [
                ...self::STREET, 'control', 'light', 'exit', 'turn_radius_m', 'road_met', 'junction', 'view_beyond_m', 'sight_left_m', 'sight_right_m',
                'cycle_box_m',
            ],
            self::Roundabout => [...self::STREET, 'control', 'exit', 'turn_radius_m', 'view_beyond_m'],
            self::Stretch => [...self::STREET, 'control', 'light'],
            self::Kerb => self::STREET,
            self::Slip => [
                'slip_length_m', 'entry_speed_mph', 'entry_speed_kmh', 'main_speed_mph', 'main_speed_kmh', 'end_speed_mph', 'end_speed_kmh', 'gradient',
                'limit_change_m', 'slip_angle_deg', 'solid_line_m', 'bend_radius_m', 'bend_from_m', 'lanes', 'next_turn', 'lower_limit_m',
            ],
        };
    }
}
