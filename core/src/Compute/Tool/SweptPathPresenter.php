<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Motion\SweptPath;
use NobleTurn\Core\Vehicle\Unit;

/** A swept path as tables and lines to draw. */
final class SweptPathPresenter
{
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
