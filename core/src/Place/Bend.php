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
        public float $kerbRadiusMetres,
        public float $entryWidthMetres,
        public float $exitWidthMetres,
        /** How far it turns, radians, more than 0 and less than pi. */
        public float $angleRadians,
    ) {
    }

    /** Room between a point and the inner kerb, m; negative on the pavement. */
    public function insideMetres(float $x, float $y): float
    {
        if ($x < 0.0) {
            return -$y - $this->kerbRadiusMetres;
        }
        if ($x * cos($this->angleRadians) + $y * sin($this->angleRadians) > 0.0) {
            return $this->towardsExit($x, $y) - $this->kerbRadiusMetres;
        }

        return hypot($x, $y) - $this->kerbRadiusMetres;
    }

    /** Room between a point and the outer edge of the lane it is in, m; negative beyond it. */
    public function outsideMetres(float $x, float $y): float
    {
        $exit = $this->kerbRadiusMetres + $this->exitWidthMetres - $this->towardsExit($x, $y);

        return $x < 0.0 ? min($exit, $this->kerbRadiusMetres + $this->entryWidthMetres + $y) : $exit;
    }

    private function towardsExit(float $x, float $y): float
    {
        return $x * sin($this->angleRadians) - $y * cos($this->angleRadians);
    }
}
