<?php

declare(strict_types=1);

namespace NobleTurn\Core\Motion;

/**
 * A line on the ground that the middle of the front axle follows, as points close together. Metres; x ahead at the
 * start, y to the left.
 */
final readonly class Path
{
    /**
     * @param  non-empty-list<array{float, float}>  $points
     * @param  float  $headingRadians  in which it sets out
     */
    private function __construct(public array $points, public float $headingRadians)
    {
    }

    /**
     * Straight stretches and arcs one after the other, beginning at the origin along x.
     *
     * @param  list<array{length: float}|array{radius: float, angle: float}>  $pieces  angle in radians, + to the left
     * @param  float  $step  m between points
     */
    public static function of(array $pieces, float $step): self
    {
        [$x, $y, $heading] = [0.0, 0.0, 0.0];
        $points = [[$x, $y]];
        foreach ($pieces as $piece) {
            if (isset($piece['length'])) {
                $count = max(1, (int) ceil($piece['length'] / $step));
                for ($i = 1; $i <= $count; $i++) {
                    $along = $piece['length'] * $i / $count;
                    $points[] = [$x + $along * cos($heading), $y + $along * sin($heading)];
                }
            } else {
                $count = max(1, (int) ceil($piece['radius'] * abs($piece['angle']) / $step));
                $side = $piece['angle'] < 0.0 ? -1.0 : 1.0;
                [$cx, $cy] = [$x - $side * $piece['radius'] * sin($heading), $y + $side * $piece['radius'] * cos($heading)];
                for ($i = 1; $i <= $count; $i++) {
                    $turned = $heading + $piece['angle'] * $i / $count;
                    $points[] = [$cx + $side * $piece['radius'] * sin($turned), $cy - $side * $piece['radius'] * cos($turned)];
                }
                $heading += $piece['angle'];
            }
            [$x, $y] = $points[count($points) - 1];
        }

        return new self($points, 0.0);
    }

    /**
     * Through given points, in straight lines.
     *
     * @param  list<array{float, float}>  $corners  at least two, no two the same in a row
     */
    public static function through(array $corners, float $step): self
    {
        $points = [$corners[0]];
        for ($i = 1, $n = count($corners); $i < $n; $i++) {
            [$from, $to] = [$corners[$i - 1], $corners[$i]];
            $count = max(1, (int) ceil(hypot($to[0] - $from[0], $to[1] - $from[1]) / $step));
            for ($k = 1; $k <= $count; $k++) {
                $points[] = [$from[0] + ($to[0] - $from[0]) * $k / $count, $from[1] + ($to[1] - $from[1]) * $k / $count];
            }
        }

        return new self($points, atan2($corners[1][1] - $corners[0][1], $corners[1][0] - $corners[0][0]));
    }

    /**
     * Through points that lie close together already.
     *
     * @param  non-empty-list<array{float, float}>  $points  at least two, no two the same in a row
     */
    public static function by(array $points): self
    {
        return new self($points, atan2($points[1][1] - $points[0][1], $points[1][0] - $points[0][0]));
    }

    /** The same path, come to straight from so far before it: in line all the way, which needs no points between. */
    public function cameStraight(float $metres): self
    {
        [$x, $y] = $this->points[0];

        return new self(
            [[$x - $metres * cos($this->headingRadians), $y - $metres * sin($this->headingRadians)], ...$this->points], $this->headingRadians,
        );
    }

    /** The same path moved. */
    public function moved(float $dx, float $dy): self
    {
        return new self(array_map(static fn (array $point): array => [$point[0] + $dx, $point[1] + $dy], $this->points), $this->headingRadians);
    }
}
