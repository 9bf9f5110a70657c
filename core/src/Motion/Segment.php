<?php

declare(strict_types=1);

namespace NobleTurn\Core\Motion;

/** A stretch of constant deceleration. SI units; deceleration 0 where the speed is held. */
final readonly class Segment
{
    private function __construct(
        public Phase $phase,
        public float $entryMps,
        public float $exitMps,
        public float $decelerationMps2,
        public float $seconds,
        public float $metres,
    ) {
    }

    public static function held(Phase $phase, float $speed, float $seconds): self
    {
        return new self($phase, $speed, $speed, 0.0, $seconds, $speed * $seconds);
    }

    /** From one speed down to another: t = dv / a, s = mean speed x t. */
    public static function slowing(Phase $phase, float $entrySpeed, float $exitSpeed, float $deceleration): self
    {
        $seconds = ($entrySpeed - $exitSpeed) / $deceleration;

        return new self($phase, $entrySpeed, $exitSpeed, $deceleration, $seconds, ($entrySpeed + $exitSpeed) / 2.0 * $seconds);
    }

    /** Speed when $metres of this stretch are still ahead: v^2 = v_exit^2 + 2 a s. */
    public function mpsWithMetresLeft(float $metres): float
    {
        return sqrt(max(0.0, $this->exitMps * $this->exitMps + 2.0 * $this->decelerationMps2 * $metres));
    }

    /** Seconds until the end of this stretch with $metres of it ahead; 0 s at its end. */
    public function secondsForMetresLeft(float $metres): float
    {
        $mean = ($this->mpsWithMetresLeft($metres) + $this->exitMps) / 2.0;

        return $mean <= 0.0 ? 0.0 : $metres / $mean;
    }

    public function metresForSecondsLeft(float $seconds): float
    {
        return ($this->exitMps + $this->decelerationMps2 * $seconds / 2.0) * $seconds;
    }
}
