<?php

declare(strict_types=1);

namespace NobleTurn\Core\Motion;

use NobleTurn\Core\Vehicle\Unit;

/**
 * Where every unit of a vehicle goes when its front axle follows a path slowly and forwards: each axle is drawn by the
 * point before it (the tractrix). Between two points of the path the drawing point moves straight, for which the tractrix
 * has a closed form: with psi the angle from heading to movement, tan(psi'/2) = tan(psi/2) exp(-d / L). What error there
 * is comes from cutting the path into straight pieces and shrinks with the square of the step.
 */
final readonly class SweptPath
{
    /**
     * @param  non-empty-list<Unit>  $units
     * @param  non-empty-list<non-empty-list<array{float, float, float}>>  $frames  for each point of the path, for each
     *                                                                              unit: its rear axle's middle and heading
     */
    private function __construct(public array $units, public Path $path, public array $frames)
    {
    }

    /** @param  non-empty-list<Unit>  $units  all in line with the beginning of the path */
    public static function along(Path $path, array $units): self
    {
        $headings = array_fill(0, count($units), $path->headingRadians);
        $before = self::inLine($units, $path->points[0], $path->headingRadians);
        [$beforeX, $beforeY] = [array_column($before, 0), array_column($before, 1)];
        $lengths = array_map(static fn (Unit $unit): array => [$unit->wheelbaseMetres, $unit->hitchOffsetMetres], $units);
        $frames = [];
        foreach ($path->points as $point) {
            // Where the unit that comes next is drawn to.
            [$toX, $toY] = $point;
            $frame = [];
            foreach ($lengths as $i => [$wheelbase, $hitchOffset]) {
                $headings[$i] = $heading = self::drawn($headings[$i], $toX - $beforeX[$i], $toY - $beforeY[$i], $wheelbase);
                $beforeX[$i] = $toX;
                $beforeY[$i] = $toY;
                $cos = cos($heading);
                $sin = sin($heading);
                $rearX = $toX - $wheelbase * $cos;
                $rearY = $toY - $wheelbase * $sin;
                $frame[] = [$rearX, $rearY, $heading];
                $toX = $rearX - $hitchOffset * $cos;
                $toY = $rearY - $hitchOffset * $sin;
            }
            $frames[] = $frame;
        }

        return new self($units, $path, $frames);
    }

    /**
     * Radius of each rear axle's middle after a long time on a circle, or null where the coupling's circle is too small
     * for the unit: R_rear^2 = R_front^2 - L^2, and for the coupling R_hitch^2 = R_rear^2 + h^2.
     *
     * @param  non-empty-list<Unit>  $units
     * @return list<?float>
     */
    public static function steadyRadii(array $units, float $radius): array
    {
        $radii = [];
        $squared = $radius ** 2;
        foreach ($units as $unit) {
            $squared -= $unit->wheelbaseMetres ** 2;
            $radii[] = $squared > 0.0 ? sqrt($squared) : null;
            $squared += $unit->hitchOffsetMetres ** 2;
        }

        return $radii;
    }

    /**
     * The corners of a unit's body in a frame: front left, front right, rear right, rear left.
     *
     * @param  array{float, float, float}  $pose
     * @return array{array{float, float}, array{float, float}, array{float, float}, array{float, float}}
     */
    public static function corners(Unit $unit, array $pose): array
    {
        [$x, $y, $heading] = $pose;
        [$cos, $sin, $half] = [cos($heading), sin($heading), $unit->widthMetres / 2.0];
        [$front, $rear] = [$unit->wheelbaseMetres + $unit->frontOverhangMetres, -$unit->rearOverhangMetres];

        return [
            [$x + $front * $cos - $half * $sin, $y + $front * $sin + $half * $cos],
            [$x + $front * $cos + $half * $sin, $y + $front * $sin - $half * $cos],
            [$x + $rear * $cos + $half * $sin, $y + $rear * $sin - $half * $cos],
            [$x + $rear * $cos - $half * $sin, $y + $rear * $sin + $half * $cos],
        ];
    }

    /**
     * How far the last axle's middle runs from the path, at each of its points, m.
     *
     * @return non-empty-list<float>
     */
    public function offTracking(): array
    {
        $points = $this->path->points;
        $last = count($this->units) - 1;
        $end = count($points) - 1;
        $off = [];
        $at = 0;
        foreach ($this->frames as $frame) {
            [$x, $y] = $frame[$last];
            $dx = $points[$at][0] - $x;
            $dy = $points[$at][1] - $y;
            $least = $dx * $dx + $dy * $dy;
            while ($at < $end) {
                $dx = $points[$at + 1][0] - $x;
                $dy = $points[$at + 1][1] - $y;
                $next = $dx * $dx + $dy * $dy;
                if ($next > $least) {
                    break;
                }
                $least = $next;
                $at++;
            }
            $off[] = self::distanceToPolyline($points, $at, $x, $y);
        }

        return $off;
    }

    /** How far a rear corner swings out beyond the line its side ran on, m: over the first turn, a right angle of it at most. */
    public function tailSwingMetres(): float
    {
        $swing = 0.0;
        foreach ($this->units as $i => $unit) {
            $first = $this->frames[0][$i];
            [$cos, $sin] = [cos($first[2]), sin($first[2])];
            [$turned, $half] = [0.0, $unit->widthMetres / 2.0];
            foreach ($this->frames as $frame) {
                $now = abs($frame[$i][2] - $first[2]);
                // It turns back, or has turned so far that the old line means nothing any more.
                if ($now > M_PI_2 || $now < $turned - 1e-6) {
                    break;
                }
                $turned = $now;
                // Of the rear corners the one away from the turn: the heading says to which side that goes.
                $away = $frame[$i][2] >= $first[2] ? -1.0 : 1.0;
                $axle = ($frame[$i][1] - $first[1]) * $cos - ($frame[$i][0] - $first[0]) * $sin;
                $swing = max($swing, $away * ($axle - $unit->rearOverhangMetres * sin($frame[$i][2] - $first[2])) + $half * cos($now) - $half);
            }
        }

        return $swing;
    }

    /**
     * @param  non-empty-list<Unit>  $units
     * @param  array{float, float}  $front
     * @return non-empty-list<array{float, float}> where each unit is drawn, all of them in one line
     */
    private static function inLine(array $units, array $front, float $heading): array
    {
        $drawn = [];
        $back = 0.0;
        foreach ($units as $unit) {
            $drawn[] = [$front[0] - $back * cos($heading), $front[1] - $back * sin($heading)];
            $back += $unit->wheelbaseMetres + $unit->hitchOffsetMetres;
        }

        return $drawn;
    }

    /** A unit's heading after the point that draws it has moved by so much, straight. */
    private static function drawn(float $heading, float $dx, float $dy, float $wheelbase): float
    {
        $moved = sqrt($dx * $dx + $dy * $dy);
        if ($moved < 1e-12) {
            return $heading;
        }
        $psi = atan2($dy, $dx) - $heading;
        if ($psi === 0.0) {
            return $heading;
        }
        if ($psi > M_PI || $psi < -M_PI) {
            $psi -= 2.0 * M_PI * round($psi / (2.0 * M_PI));
        }

        return $heading + $psi - 2.0 * atan(tan($psi / 2.0) * exp(-$moved / $wheelbase));
    }

    /** @param  non-empty-list<array{float, float}>  $points */
    private static function distanceToPolyline(array $points, int $at, float $x, float $y): float
    {
        $least = INF;
        for ($i = max(0, $at - 1), $end = min($at, count($points) - 2); $i <= $end; $i++) {
            [$ax, $ay] = $points[$i];
            $dx = $points[$i + 1][0] - $ax;
            $dy = $points[$i + 1][1] - $ay;
            $length = $dx * $dx + $dy * $dy;
            $t = $length > 0.0 ? min(1.0, (($x - $ax) * $dx + ($y - $ay) * $dy) / $length) : 0.0;
            // Before the first point the path is taken to have come straight.
            $t = $i === 0 ? $t : max(0.0, $t);
            $offX = $ax + $t * $dx - $x;
            $offY = $ay + $t * $dy - $y;
            $least = min($least, sqrt($offX * $offX + $offY * $offY));
        }

        return $least;
    }
}
