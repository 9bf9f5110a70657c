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
        public float $length,
        public Gradient $gradient,
        /** From its beginning to the sign that lifts the limit. */
        public float $limitChange,
        /** Where the main road can first be looked into. */
        public float $viewFrom,
        /** The solid line ends here. */
        public float $solidUntil,
        /** Whether the whole slip is used, or the first gap taken. */
        public bool $wholeSlip,
    ) {
    }

    public static function viewByAngle(float $degrees, float $length): float
    {
        return min($length, self::SEEN_ACROSS / tan($degrees * M_PI / 180.0));
    }

    /** Where gaining speed may begin. */
    public function gainFrom(): float
    {
        return $this->length - $this->limitChange;
    }

    /** Where we join: near the end with a reserve, or as soon as the line allows and the main road has been seen for a while. */
    public function joinAt(): float
    {
        $late = min($this->solidUntil, min(self::RESERVE, self::RESERVE_SHARE * $this->length));

        return $this->wholeSlip ? $late : max($late, min($this->solidUntil, $this->gainFrom() / 2.0, $this->viewFrom / 2.0));
    }

    /** The length that counts: from the limit sign to where we join. */
    public function counts(): float
    {
        return max(0.0, $this->gainFrom() - $this->joinAt());
    }

    /** Where one way of joining has to be chosen from: the main road is seen, and speed may be gained. */
    public function chooseFrom(): float
    {
        return max($this->joinAt(), min($this->gainFrom(), $this->viewFrom));
    }
}
