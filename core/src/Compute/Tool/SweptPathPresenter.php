<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Out;
use NobleTurn\Core\Motion\SweptPath;
use NobleTurn\Core\Vehicle\Unit;

/** A swept path as tables and lines to draw. */
final class SweptPathPresenter
{
    /** @return array<string, array<string, mixed>> */
    public static function schema(): array
    {
        $point = [
            'type' => 'array', 'prefixItems' => [['type' => 'number'], ['type' => 'number']], 'items' => false, 'minItems' => 2,
            'description' => 'x and y, m',
        ];
        $nullable = static fn (string $about): array => Out::number($about, nullable: true);

        return [
            'off_tracking_m' => Out::object([
                'steady' => $nullable('after a long time on the arc; null off a circle, or where it never settles'),
                'most' => Out::number('largest distance of the last axle’s middle from the path'),
                'angle_deg' => Out::list(['type' => 'number'], 'turned along the arc'),
                'at_angle' => Out::list(['type' => 'number'], 'distance there'),
            ]),
            'swept_width_m' => $nullable('outer minus inner radius; null off a circle'),
            'inner_radius_min_m' => $nullable('nearest any body comes to the arc’s centre; null off a circle'),
            'outer_radius_max_m' => $nullable('farthest; null off a circle'),
            'tail_swing_m' => Out::number('how far a rear corner swings out at the beginning'),
            'fits' => ['type' => ['boolean', 'null'], 'description' => 'between the kerbs given; null without kerbs'],
            'reach_m' => Out::maybe(
                Out::object(['left' => Out::number('m'), 'right' => Out::number('m')]),
                'farthest any body comes to either side of the path; null for a bend',
            ),
            'spare_inside_m' => $nullable('room left at the inner kerb; negative where it is mounted'),
            'spare_outside_m' => $nullable('room left at the outer kerb'),
            'spare_left_m' => $nullable('room left at a kerb that runs beside the path on its left'),
            'spare_right_m' => $nullable('and on its right'),
            'line' => Out::maybe(Out::object([
                'entry_from_kerb_m' => Out::number('front axle’s middle from the inner kerb before the bend'),
                'exit_from_kerb_m' => Out::number('and after it'),
                'radius_m' => Out::number('of the front axle’s middle'),
                'begin_at_m' => Out::number('front axle past the beginning of the kerb’s curve when it starts to turn; negative before it'),
            ]), 'the line through the bend that leaves most room'),
            'aim' => Out::list(Out::object([
                'where' => Out::text('the stretch in whose middle it is'),
                'left_m' => Out::number('from the left of the first unit at its front axle to the left of the lane'),
                'right_m' => Out::number('and from its right to the right of the lane'),
                'message' => Out::text('as it is said to the driver'),
            ]), 'in the order driven, where the line through a lane is looked for; empty otherwise'),
            'lane' => Out::maybe(
                Out::object(['left' => Out::list($point, 'm'), 'right' => Out::list($point, 'm')]), 'its edges, where a line in it is looked for',
            ),
            'cover_two' => Out::maybe(Out::object([
                'missing_m' => Out::number('so much more lane is needed'), 'message' => Out::text('sentence for the user'),
            ]), 'where even the best line leaves the lane; null otherwise'),
            'frames' => Out::list(Out::list(Out::list($point), 'four corners of a unit'), 'positions along the way'),
            'traces' => Out::object([
                'path' => Out::list($point, 'front axle’s middle'),
                'outer' => Out::list($point, 'outer front corner of the first unit'),
                'inner' => Out::list($point, 'inner side of the last unit at its axle'),
            ]),
        ];
    }

    /** So many positions, and four times as many points of a trace, are told. */
    private const SHOWN = 48;

    /**
     * How far the last axle runs off the path at every 15 degrees of an arc.
     *
     * @param  list<float>  $off
     * @param  ?array{radius: float, angle: float}  $arc
     * @return array{angle_deg: list<float>, at_angle: list<float>}
     */
    public static function offByAngle(array $off, ?array $arc, SweptPath $swept): array
    {
        if ($arc === null) {
            return ['angle_deg' => [], 'at_angle' => []];
        }
        $table = ['angle_deg' => [], 'at_angle' => []];
        $degrees = min(165.0, abs($arc['angle']) * 180.0 / M_PI);
        $before = [-1.0, 0.0];
        foreach ($swept->path->points as $i => [$x, $y]) {
            $turned = atan2($x - PathField::LEAD, $arc['radius'] - ($arc['angle'] < 0.0 ? -$y : $y)) * 180.0 / M_PI;
            $wanted = 15.0 * count($table['angle_deg']);
            if ($wanted <= $degrees + 1e-9 && $turned >= $wanted - 1e-9 && $before[0] < $wanted) {
                $share = ($wanted - $before[0]) / ($turned - $before[0]);
                $table['angle_deg'][] = $wanted;
                $table['at_angle'][] = round($before[1] + ($off[$i] - $before[1]) * $share, 4);
            }
            $before = [$turned, $off[$i]];
        }

        return $table;
    }

    /** @return list<list<list<array{float, float}>>> */
    public static function frames(SweptPath $swept): array
    {
        $every = max(1, intdiv(count($swept->frames), self::SHOWN));
        $shown = [];
        for ($i = 0, $n = count($swept->frames); $i < $n; $i += $every) {
            $shown[] = array_map(
                static fn (Unit $unit, array $pose): array => array_map(self::rounded(...), SweptPath::corners($unit, $pose)),
                $swept->units, $swept->frames[$i],
            );
        }

        return $shown;
    }

    /** @return array{path: list<array{float, float}>, outer: list<array{float, float}>, inner: list<array{float, float}>} */
    public static function traces(SweptPath $swept): array
    {
        $every = max(1, intdiv(count($swept->frames), 4 * self::SHOWN));
        $last = count($swept->units) - 1;
        $turnsLeft = $swept->frames[count($swept->frames) - 1][0][2] >= $swept->frames[0][0][2];
        $traces = ['path' => [], 'outer' => [], 'inner' => []];
        for ($i = 0, $n = count($swept->frames); $i < $n; $i += $every) {
            [$x, $y, $heading] = $swept->frames[$i][$last];
            $half = ($turnsLeft ? 1.0 : -1.0) * $swept->units[$last]->widthMetres / 2.0;
            $traces['path'][] = self::rounded($swept->path->points[$i]);
            $traces['outer'][] = self::rounded(SweptPath::corners($swept->units[0], $swept->frames[$i][0])[$turnsLeft ? 1 : 0]);
            $traces['inner'][] = self::rounded([$x - $half * sin($heading), $y + $half * cos($heading)]);
        }

        return $traces;
    }

    /**
     * @param  array{float, float}  $point
     * @return array{float, float}
     */
    private static function rounded(array $point): array
    {
        return [round($point[0], 3), round($point[1], 3)];
    }
}
