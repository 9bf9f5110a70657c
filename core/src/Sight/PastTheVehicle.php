<?php

declare(strict_types=1);

namespace NobleTurn\Core\Sight;

/** A vehicle ahead of us on a straight road, and what is seen past its corner of the lane that comes towards us. */
final readonly class PastTheVehicle implements Hides
{
    /** The driver sits so far from the middle of the car, towards the middle of the road, m (assumed). */
    public const EYE_ASIDE_M = 0.35;

    /** Of a lane, m (assumed). */
    public const LANE_M = 3.3;

    public function __construct(
        /** From our eyes to its back, m; more than 0. */
        public float $distanceMetres,
        public float $widthMetres,
        /** We keep so far towards the middle of the road of where it drives, m; negative towards the edge. */
        public float $asideMetres = 0.0,
        public float $laneMetres = self::LANE_M,
    ) {
    }

    /**
     * The line past its corner reaches the middle of the oncoming lane at d (y - e) / (c - e): similar triangles, e the eye, c the
     * corner and y that lane's middle, each across the road from the middle of ours. It moves with us: everywhere the same.
     */
    public function seenFrom(float $toGoMetres): float
    {
        $eye = $this->asideMetres + self::EYE_ASIDE_M;
        $corner = $this->widthMetres / 2.0;

        return $eye >= $corner ? INF : max($this->distanceMetres, $this->distanceMetres * ($this->laneMetres - $eye) / ($corner - $eye));
    }

    public function leastMetres(): float
    {
        return $this->seenFrom(0.0);
    }

    public function metresLong(): float
    {
        return 0.0;
    }
}
