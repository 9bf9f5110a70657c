<?php

declare(strict_types=1);

namespace NobleTurn\Core\Judgement;

use NobleTurn\Core\Quantity\Acceleration;
use NobleTurn\Core\Quantity\Gradient;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Trade\Surface;

/** Thinking and braking distance to a stop. Null braking where the hill pulls harder than the brakes can hold. */
final readonly class Stopping
{
    private function __construct(
        public float $thinkingMetres,
        public ?float $brakingMetres,
        public float $thinkingSeconds,
        public ?float $brakingSeconds,
        public float $decelerationMps2,
        private float $startMps,
    ) {
    }

    /** How many times longer the braking part is than on a dry road (assumed). */
    public static function factor(Surface $surface): float
    {
        return match ($surface) {
            Surface::Dry => 1.0,
            Surface::Wet => 2.0,
            Surface::Ice => 10.0,
        };
    }

    /**
     * v^2 / (2 g (f + i)): the surface divides the friction f, the gradient i adds to it.
     * AASHTO Green Book, stopping sight distance on grades (from memory).
     */
    public static function from(Speed $speed, StoppingModel $model, Surface $surface, Gradient $gradient): self
    {
        $v = $speed->inMetresPerSecond();
        $deceleration = $model->decelerationMps2 / self::factor($surface)
            + Acceleration::STANDARD_GRAVITY * $gradient->inRiseOverRun();
        $stops = $deceleration > 1e-6;

        return new self(
            $v * $model->reactionSeconds,
            $stops ? $v ** 2 / (2.0 * $deceleration) : null,
            $model->reactionSeconds,
            $stops ? $v / $deceleration : null,
            $deceleration,
            $v,
        );
    }

    /**
     * The speed from which one stops within a distance: v t + v^2 / (2 a) = s, solved for v.
     *
     * @return float m/s; 0 where the hill pulls harder than the brakes hold
     */
    public static function speedWithin(float $metres, StoppingModel $model, Surface $surface, Gradient $gradient): float
    {
        $a = self::from(Speed::ofMetresPerSecond(0.0), $model, $surface, $gradient)->decelerationMps2;
        $t = $model->reactionSeconds;

        return $a <= 1e-6 ? 0.0 : sqrt(($a * $t) ** 2 + 2.0 * $a * $metres) - $a * $t;
    }

    /**
     * How fast the car still is where it has come so far: v^2 = v0^2 - 2 a s once the foot acts.
     *
     * @return float m/s; 0 where it stands before
     */
    public function speedAfter(float $metres): float
    {
        $left = $this->startMps ** 2 - 2.0 * $this->decelerationMps2 * max(0.0, $metres - $this->thinkingMetres);

        return $left <= 0.0 ? 0.0 : sqrt($left);
    }

    public function totalMetres(): ?float
    {
        return $this->brakingMetres === null ? null : $this->thinkingMetres + $this->brakingMetres;
    }

    public function totalSeconds(): ?float
    {
        return $this->brakingSeconds === null ? null : $this->thinkingSeconds + $this->brakingSeconds;
    }
}
