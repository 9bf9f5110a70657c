<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\SpeedUnit;
use NobleTurn\Core\Trade\RoutineCode as R;
use NobleTurn\Core\Trade\Side;

/** Which tool plans a routine at a place, and with which of the place's fields. */
final class PlannedBy
{
    /** Inputs of each tool that belong to the road, whoever drives it; speeds in either unit. */
    private const OF_THE_ROAD = [
        'approach' => [
            'limit_mph', 'limit_kmh', 'control', 'view', 'view_from_m', 'gradient', 'room_m', 'openings', 'parked', 'one_way', 'road_width_m',
            'turn_radius_m', 'exit', 'light', 'sign', 'then', 'road_met', 'junction', 'sight_ahead_m', 'bend', 'crest', 'dip', 'path_before_m', 'view_beyond_m',
            'sight_left_m', 'sight_right_m', 'cycle_box_m',
        ],
        'join' => [
            'slip_length_m', 'entry_speed_mph', 'entry_speed_kmh', 'main_speed_mph', 'main_speed_kmh', 'gradient', 'limit_change_m', 'slip_angle_deg',
            'solid_line_m',
        ],
        'leave' => [
            'slip_length_m', 'main_speed_mph', 'main_speed_kmh', 'end_speed_mph', 'end_speed_kmh', 'gradient', 'bend_radius_m', 'bend_from_m',
            'lanes', 'next_turn', 'lower_limit_m',
        ],
        'overtake' => ['limit_mph', 'limit_kmh', 'gradient'],
        'lane-change' => ['limit_mph', 'limit_kmh', 'gradient'],
    ];

    /** An ordinary slip road, m (assumed). */
    private const SLIP_M = 250;

    /** The tool's name; null where a routine has none to plan it with. */
    public static function tool(R $routine): ?string
    {
        return match ($routine) {
            R::Join => 'join',
            R::Leave => 'leave',
            R::Overtake => 'overtake',
            R::LaneChangeLeft, R::LaneChangeRight => 'lane-change',
            default => $routine->hasApproach() ? 'approach' : null,
        };
    }

    /** @return list<string> names of the fields that describe the road */
    public static function fields(R $routine): array
    {
        return self::OF_THE_ROAD[self::tool($routine) ?? ''] ?? [];
    }

    /**
     * What the tool is asked with besides the road: the routine, or the side its lane lies on.
     *
     * @return array<string, string>
     */
    public static function asked(R $routine): array
    {
        return match (self::tool($routine)) {
            'approach' => ['routine' => $routine->value],
            'lane-change' => ['to' => $routine === R::LaneChangeLeft ? Side::Left->value : Side::Right->value],
            default => [],
        };
    }

    /**
     * The tool's inputs at a place.
     *
     * @param  array<string, mixed>  $road
     * @return array<string, mixed>
     */
    public static function inputs(R $routine, array $road, RulePack $pack): array
    {
        return ['pack' => $pack->code()] + self::asked($routine) + $road;
    }

    /** @return array<string, int|string> an ordinary road for a routine without an approach (assumed), for a card that is not about one place */
    public static function ordinary(R $routine, RulePack $pack): array
    {
        $mph = $pack->speedUnit() === SpeedUnit::MilesPerHour;
        $unit = $pack->speedUnit()->value;

        return match (self::tool($routine)) {
            'join' => ['slip_length_m' => self::SLIP_M, "entry_speed_{$unit}" => $mph ? 30 : 50, "main_speed_{$unit}" => $mph ? 60 : 100],
            'leave' => ['slip_length_m' => self::SLIP_M, "main_speed_{$unit}" => $mph ? 70 : 110, "end_speed_{$unit}" => $mph ? 15 : 25],
            'overtake' => ["limit_{$unit}" => $mph ? 60 : 80],
            'lane-change' => ["limit_{$unit}" => $mph ? 40 : 60],
            default => [],
        };
    }
}
