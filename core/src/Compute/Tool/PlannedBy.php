<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Routine\RoutineCode as R;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\SpeedUnit;

/** Which tool plans a routine at a place, and with which of the place's fields. */
final class PlannedBy
{
    /** Fields of a slip road as the tools take them. */
    private const SLIP = [
        'join' => ['slip_length_m', 'entry_speed_mph', 'entry_speed_kmh', 'main_speed_mph', 'main_speed_kmh', 'gradient', 'limit_change_m', 'slip_angle_deg', 'solid_line_m'],
        'leave' => ['slip_length_m', 'main_speed_mph', 'main_speed_kmh', 'end_speed_mph', 'end_speed_kmh', 'gradient', 'bend_radius_m', 'bend_from_m', 'lanes', 'next_turn', 'lower_limit_m'],
    ];

    private const OF_A_ROAD = ['limit_mph', 'limit_kmh', 'gradient'];

    /** Somebody worth overtaking drives this share of the limit (assumed). */
    private const SLOWER = 2.0 / 3.0;

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

    /** @return list<string> names of the fields that describe the road for a routine which has no approach */
    public static function fields(R $routine): array
    {
        return self::SLIP[self::tool($routine) ?? ''] ?? self::OF_A_ROAD;
    }

    /**
     * The tool's inputs at a place.
     *
     * @param  array<string, mixed>  $road
     * @return array<string, mixed>
     */
    public static function inputs(R $routine, array $road, RulePack $pack): array
    {
        $unit = $pack->speedUnit() === SpeedUnit::MilesPerHour ? 'mph' : 'kmh';
        $limit = $road["limit_{$unit}"] ?? round($pack->speedUnit()->number($pack->townLimit()));
        $speed = is_int($limit) || is_float($limit) ? (float) $limit : 0.0;

        return ['pack' => $pack->code()] + match (self::tool($routine)) {
            'overtake' => ["limit_{$unit}" => $limit, "other_speed_{$unit}" => round($speed * self::SLOWER)] + $road,
            'lane-change' => ["limit_{$unit}" => $limit, "speed_{$unit}" => $limit, 'to' => $routine === R::LaneChangeLeft ? 'left' : 'right'] + $road,
            'join', 'leave' => $road,
            default => ['routine' => $routine->value] + $road,
        };
    }
}
