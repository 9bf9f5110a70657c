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
     * @param  float  $speedMps  m/s
     * @param  float  $amberSeconds  s
     * @param  float  $reactionSeconds  s
     * @param  float  $decelerationMps2  on this surface and slope, m/s2
     */
    public function __construct(public float $speedMps, public float $amberSeconds, public float $reactionSeconds, public float $decelerationMps2)
    {
    }

    /** The hill helps or hinders, the tyres set the most: deceleration that is still unhurried here, m/s2. */
    public static function slowingMps2(float $onTheLevel, Gradient $gradient, float $grip, float $share): float
    {
        return max(Slowing::LEAST, min($onTheLevel * $share, Slowing::SHARE_OF_GRIP * $grip * $gradient->pressing()) + $gradient->slowing());
    }

    /** Slowed by less than this nobody stops for a light, m/s2 (assumed). */
    private const STOPS_FROM = 0.3;

    /** Farther than this we stop, m; infinite where hill and surface leave nothing to stop with. */
    public function stoppingMetres(): float
    {
        return $this->decelerationMps2 < self::STOPS_FROM
            ? INF : $this->speedMps * $this->reactionSeconds + $this->speedMps ** 2 / (2.0 * $this->decelerationMps2);
    }

    /** Nearer than this we are over the line before red, m. */
    public function coveredByAmberMetres(): float
    {
        return $this->speedMps * $this->amberSeconds;
    }

    /** At and below this speed the two meet and no stretch is left, m/s. */
    public function vanishingMps(): float
    {
        return max(0.0, 2.0 * $this->decelerationMps2 * ($this->amberSeconds - $this->reactionSeconds));
    }

    /** Mean deceleration that would stop us from so far, after the reaction, m/s2; null where reaction alone passes the line. */
    public function mps2ToStop(float $metres): ?float
    {
        $left = $metres - $this->speedMps * $this->reactionSeconds;

        return $left <= 0.0 ? null : $this->speedMps ** 2 / (2.0 * $left);
    }

    /** How far beyond the line we would stand, braked so hard, m; 0 where that is before it, null where nothing stops us. */
    public function beyondTheLine(float $metres, float $hardestMps2): ?float
    {
        return $hardestMps2 < self::STOPS_FROM
            ? null : max(0.0, $this->speedMps * $this->reactionSeconds + $this->speedMps ** 2 / (2.0 * $hardestMps2) - $metres);
    }

    /** How long after red we would be over the line, going on as we are, s; 0 where that is before it. */
    public function secondsIntoRed(float $metres): float
    {
        return max(0.0, $metres / $this->speedMps - $this->amberSeconds);
    }
}
