<?php

declare(strict_types=1);

namespace NobleTurn\Core\Judgement;

use NobleTurn\Core\Motion\Slowing;
use NobleTurn\Core\Quantity\Gradient;

/**
 * Where a light that turns amber finds no good answer: too near to stop without harsh braking, too far to be over the
 * line before red. Stopping takes v t_r + v^2 / (2 a); what amber covers is v T. Between the two neither fits; they meet
 * at v = 2 a (T - t_r).
 */
final readonly class AmberStretch
{
    /**
     * @param  float  $speed  m/s
     * @param  float  $amber  s
     * @param  float  $reaction  s
     * @param  float  $deceleration  on this surface and slope, m/s2
     */
    public function __construct(public float $speed, public float $amber, public float $reaction, public float $deceleration)
    {
    }

    /** The hill helps or hinders, the tyres set the most: deceleration that is still unhurried here, m/s2. */
    public static function slowing(float $onTheLevel, Gradient $gradient, float $grip, float $share): float
    {
        return max(Slowing::LEAST, min($onTheLevel * $share, Slowing::SHARE_OF_GRIP * $grip * $gradient->pressing()) + $gradient->slowing());
    }

    /** Farther than this we stop, m. */
    public function stoppingDistance(): float
    {
        return $this->speed * $this->reaction + $this->speed ** 2 / (2.0 * $this->deceleration);
    }

    /** Nearer than this we are over the line before red, m. */
    public function coveredByAmber(): float
    {
        return $this->speed * $this->amber;
    }

    /** At and below this speed the two meet and no stretch is left, m/s. */
    public function vanishingSpeed(): float
    {
        return max(0.0, 2.0 * $this->deceleration * ($this->amber - $this->reaction));
    }

    /** Mean deceleration that would stop us from so far, after the reaction, m/s2; null where reaction alone passes the line. */
    public function decelerationToStop(float $metres): ?float
    {
        $left = $metres - $this->speed * $this->reaction;

        return $left <= 0.0 ? null : $this->speed ** 2 / (2.0 * $left);
    }
}
