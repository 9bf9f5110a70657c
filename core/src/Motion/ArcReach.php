<?php

declare(strict_types=1);

namespace NobleTurn\Core\Motion;

/**
 * How near to and how far from an arc's middle bodies come that drive straight in, round the arc, and straight out.
 * Beside the arc it is the radius; before it and after it, where kerbs run straight, the distance from the line through
 * the middle.
 */
final readonly class ArcReach
{
    private float $side;

    /** @param  float  $angle  radians, + to the left; the arc begins at x = $lead, y = 0 */
    public function __construct(private float $lead, private float $radius, private float $angle)
    {
        $this->side = $angle < 0.0 ? -1.0 : 1.0;
    }

    /** @return array{float, float} least and most, m */
    public function of(SweptPath $swept): array
    {
        [$least, $most] = [INF, 0.0];
        $turn = abs($this->angle);
        $gone = 0.0;
        $before = $swept->path->points[0];
        foreach ($swept->frames as $i => $frame) {
            $point = $swept->path->points[$i];
            $gone += hypot($point[0] - $before[0], $point[1] - $before[1]);
            $before = $point;
            $turned = ($gone - $this->lead) / $this->radius;
            // Round more than half a circle both straights run side by side: which one it is, the front knows.
            [$early, $late] = [$turn <= M_PI || $turned < M_PI_2, $turn <= M_PI || $turned > $turn - M_PI_2];
            foreach ($swept->units as $u => $unit) {
                $corners = SweptPath::corners($unit, $frame[$u]);
                foreach ([...$corners, ...$this->feet($corners)] as [$x, $y]) {
                    $from = $this->from($x, $y, $early, $late);
                    $least = min($least, $from);
                    $most = max($most, $from);
                }
            }
        }

        return [$least, $most];
    }

    private function from(float $x, float $y, bool $early, bool $late): float
    {
        $across = $this->radius - $this->side * $y;
        if ($early && $x < $this->lead && $across > 0.0) {
            return $across;
        }
        if ($late && $this->isBeyondTheEnd($x, $y)) {
            return ($x - $this->lead) * sin(abs($this->angle)) + $across * cos($this->angle);
        }

        return hypot($x - $this->lead, $across);
    }

    /** On the straight that follows the arc: past the line from the middle to its end, and on that end's side of it. */
    private function isBeyondTheEnd(float $x, float $y): bool
    {
        $turn = abs($this->angle);
        [$along, $across] = [$x - $this->lead, $this->radius - $this->side * $y];

        return $along * cos($turn) - $across * sin($turn) > 0.0 && $along * sin($turn) + $across * cos($turn) > 0.0;
    }

    /**
     * The points of both sides nearest to the arc's middle.
     *
     * @param  array{array{float, float}, array{float, float}, array{float, float}, array{float, float}}  $corners
     * @return list<array{float, float}>
     */
    private function feet(array $corners): array
    {
        [$cx, $cy] = [$this->lead, $this->side * $this->radius];
        $feet = [];
        foreach ([[$corners[0], $corners[3]], [$corners[1], $corners[2]]] as [$front, $rear]) {
            [$dx, $dy] = [$rear[0] - $front[0], $rear[1] - $front[1]];
            $t = (($cx - $front[0]) * $dx + ($cy - $front[1]) * $dy) / ($dx ** 2 + $dy ** 2);
            if ($t > 0.0 && $t < 1.0) {
                $feet[] = [$front[0] + $t * $dx, $front[1] + $t * $dy];
            }
        }

        return $feet;
    }
}
