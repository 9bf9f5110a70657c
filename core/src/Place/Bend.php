<?php

declare(strict_types=1);

namespace NobleTurn\Core\Place;

/**
 * A corner between kerbs, turning left: the inner kerb runs straight, round an arc about the origin, and straight on;
 * the lanes before and after it have their own widths. Metres; the vehicle comes along x.
 */
final readonly class Bend
{
    public function __construct(
        public float $kerbRadius,
        public float $entryWidth,
        public float $exitWidth,
        /** How far it turns, radians, more than 0 and less than pi. */
        public float $angle,
    ) {
    }

    /** Room between a point and the inner kerb, m; negative on the pavement. */
    public function inside(float $x, float $y): float
    {
        if ($x < 0.0) {
            return -$y - $this->kerbRadius;
        }
        if ($x * cos($this->angle) + $y * sin($this->angle) > 0.0) {
            return $this->towardsExit($x, $y) - $this->kerbRadius;
        }

        return hypot($x, $y) - $this->kerbRadius;
    }

    /** Room between a point and the outer edge of the lane it is in, m; negative beyond it. */
    public function outside(float $x, float $y): float
    {
        $exit = $this->kerbRadius + $this->exitWidth - $this->towardsExit($x, $y);

        return $x < 0.0 ? min($exit, $this->kerbRadius + $this->entryWidth + $y) : $exit;
    }

    private function towardsExit(float $x, float $y): float
    {
        return $x * sin($this->angle) - $y * cos($this->angle);
    }
}
