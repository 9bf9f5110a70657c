<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Place\Crest;
use NobleTurn\Core\Place\Curve;
use NobleTurn\Core\Site\Way;
use NobleTurn\Core\Trade\RoutineCode;

/** What hides the road on a way on which somebody is overtaken, as the tool `overtake` is told of it. */
final class WaySight
{
    /** @return array<string, mixed> by the tool's names; empty for any other routine */
    public static function of(Way $way, Values $in): array
    {
        if ($way->routine !== RoutineCode::Overtake) {
            return [];
        }
        $ahead = RoadAheadField::read($in);

        return ($ahead->curve === null ? [] : self::bend($ahead->curve)) + ($ahead->crest === null ? [] : self::crest($ahead->crest))
            + ($ahead->dip === null ? [] : ['dip' => ['length_m' => round($ahead->dip->lengthMetres(), 2), 'depth_m' => $ahead->dip->depthMetres]]);
    }

    /** @return array<string, float> a bend hides nothing where one sees across it */
    private static function bend(Curve $curve): array
    {
        return $curve->offsetMetres === null ? [] : [
            'bend_radius_m' => $curve->radiusMetres, 'offset_m' => $curve->offsetMetres,
            'bend_angle_deg' => round(max(2.0, min(180.0, rad2deg(($curve->farMetres - $curve->nearMetres) / $curve->radiusMetres))), 2),
        ];
    }

    /** @return array<string, mixed> */
    private static function crest(Crest $crest): array
    {
        return ['crest' => ['length_m' => round($crest->lengthMetres(), 2), 'gradient_change' => $crest->gradientChange]];
    }
}
