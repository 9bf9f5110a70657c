<?php

declare(strict_types=1);

namespace NobleTurn\Core\FastRoad;

/**
 * The drive from the choice to where we join, in two parts of steady change: ease, then gain; or gain, then hold. Where one
 * part is enough the other is empty.
 */
final readonly class TwoParts
{
    public float $endMps;

    public float $seconds;

    /** Speed where the one part ends and the other begins. */
    public float $turnMps;

    public function __construct(
        public float $metres,
        public float $fromMps,
        public float $firstMps2,
        /** So far the first part goes. */
        public float $firstMetres,
        public float $thenMps2,
    ) {
        $this->turnMps = self::after($fromMps, $firstMps2, $firstMetres);
        $this->endMps = self::after($this->turnMps, $thenMps2, $metres - $firstMetres);
        $this->seconds = self::lasts($firstMetres, $fromMps, $this->turnMps) + self::lasts($metres - $firstMetres, $this->turnMps, $this->endMps);
    }

    public static function one(float $metres, float $fromMps, float $mps2): self
    {
        return new self($metres, $fromMps, $mps2, $metres, $mps2);
    }

    /** Whether there really are two. */
    public function turns(): bool
    {
        return $this->firstMetres > 0.0 && $this->firstMetres < $this->metres && abs($this->firstMps2 - $this->thenMps2) > 1e-6;
    }

    /** How far, over its way, from one acceleration: the root of the mean square, m/s2. */
    public function effortMps2(float $naturalMps2): float
    {
        $first = $this->metres > 0.0 ? $this->firstMetres / $this->metres : 1.0;

        return sqrt($first * ($this->firstMps2 - $naturalMps2) ** 2 + (1.0 - $first) * ($this->thenMps2 - $naturalMps2) ** 2);
    }

    private static function after(float $mps, float $mps2, float $metres): float
    {
        return sqrt(max(0.0, $mps ** 2 + 2.0 * $mps2 * $metres));
    }

    private static function lasts(float $metres, float $from, float $to): float
    {
        return $metres <= 0.0 ? 0.0 : 2.0 * $metres / max(0.2, $from + $to);
    }
}
