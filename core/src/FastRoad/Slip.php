<?php

declare(strict_types=1);

namespace NobleTurn\Core\FastRoad;

use NobleTurn\Core\Quantity\Gradient;

/** A joining slip road. Places are metres to the end of its lane. */
final readonly class Slip
{
    /** So far from the main road's edge it can be looked into over the shoulder (assumed), m. */
    private const SEEN_ACROSS = 15.0;

    /** Kept in hand before the end of the lane: a share of the slip, and never more than so many metres (assumed). */
    private const RESERVE_SHARE = 0.15;

    private const RESERVE = 30.0;

    public function __construct(
        public float $lengthMetres,
        public Gradient $gradient,
        /** From its beginning to the sign that lifts the limit. */
        public float $limitChangeMetres,
        /** Where the main road can first be looked into. */
        public float $viewFromMetres,
        /** The solid line ends here. */
        public float $solidUntilMetres,
        /** Whether the whole slip is used, or the first gap taken. */
        public bool $wholeSlip,
    ) {
    }

    public static function viewMetresByAngle(float $degrees, float $length): float
    {
        return min($length, self::SEEN_ACROSS / tan($degrees * M_PI / 180.0));
    }

    /** Where gaining speed may begin. */
    public function gainFromMetres(): float
    {
        return $this->lengthMetres - $this->limitChangeMetres;
    }

    /** Where we join: near the end with a reserve, or as soon as the line allows and the main road has been seen for a while. */
    public function joinAtMetres(): float
    {
        $late = min($this->solidUntilMetres, min(self::RESERVE, self::RESERVE_SHARE * $this->lengthMetres));

        return $this->wholeSlip ? $late : max($late, min($this->solidUntilMetres, $this->gainFromMetres() / 2.0, $this->viewFromMetres / 2.0));
    }

    /** The length that counts: from the limit sign to where we join. */
    public function countsMetres(): float
    {
        return max(0.0, $this->gainFromMetres() - $this->joinAtMetres());
    }

    /** Where one way of joining has to be chosen from: the main road is seen, and speed may be gained. */
    public function chooseFromMetres(): float
    {
        return max($this->joinAtMetres(), min($this->gainFromMetres(), $this->viewFromMetres));
    }
}
