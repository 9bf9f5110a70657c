<?php

declare(strict_types=1);

namespace NobleTurn\Core\Motion;

use NobleTurn\Core\Quantity\Acceleration;
use NobleTurn\Core\Quantity\Gradient;
use NobleTurn\Core\Trade\Surface;

/**
 * How hard the car slows in each phase, m/s2. All are what the car does (kinematic), whatever share of it
 * comes from brake, engine or hill. Shares of the comfortable mean are assumed.
 */
final readonly class Slowing
{
    /** Shares of the comfortable deceleration of a dry road (assumed): gently, then more firmly, then easing. */
    public const GENTLE_SHARE = 0.5;

    public const FIRM_SHARE = 1.2;

    public const EASING_SHARE = 0.6;

    /** Off the gas uphill, more than this is given back with a little gas (assumed). */
    public const MOST_EASING_OFF = 1.0;

    /** Share of the grip a planned slowing may use (assumed). */
    public const SHARE_OF_GRIP = 0.8;

    /** A close follower is given longer: the brake is used lighter by this factor (assumed). */
    public const LIGHTER_FOR_FOLLOWER = 0.85;

    /** Planned with where the tyres cannot hold the car at all, so that there is a picture to explain it with. */
    public const LEAST = 0.05;

    private function __construct(
        public float $naturalMps2,
        public float $easingOffMps2,
        public float $gentleMps2,
        public float $firmMps2,
        public float $easingMps2,
        public bool $tyresHold,
    ) {
    }

    /**
     * @param  Acceleration  $engineBraking  of the car off the gas on the level
     * @param  Acceleration  $comfort  mean deceleration that feels comfortable on a dry road
     * @param  bool  $isFollowedClosely  somebody close behind is given longer
     * @param  float  $brakingShare  what the vehicle’s brakes hold, as a share of a car’s
     */
    public static function on(
        Surface $surface, Gradient $gradient, Acceleration $engineBraking, Acceleration $comfort, bool $isFollowedClosely, float $brakingShare,
    ): self {
        $uphill = $gradient->slowing();
        $natural = $engineBraking->inMetresPerSecondSquared() + $uphill;
        $held = self::SHARE_OF_GRIP * ($surface->grip() * $brakingShare * $gradient->pressing() + $uphill);
        $dry = $comfort->inMetresPerSecondSquared() * ($isFollowedClosely ? self::LIGHTER_FOR_FOLLOWER : 1.0);
        $firm = min(self::FIRM_SHARE * $dry * $surface->shareOfComfort(), max(self::LEAST, $held));
        $easingOff = max(0.0, min($natural, self::MOST_EASING_OFF, $firm));
        // The light parts are light enough for a wet road as they are: only the firm part is softened by the surface.
        $gentle = max(min(self::GENTLE_SHARE * $dry, $firm), $easingOff);

        return new self($natural, $easingOff, $gentle, $firm, min(self::EASING_SHARE * $dry, $firm), $held > self::LEAST);
    }

    /** Whether the brake is needed for a deceleration, or gas off and the hill are enough. */
    public function needsBrake(float $deceleration): bool
    {
        return $deceleration > $this->naturalMps2 + 1e-9;
    }

    /** Off the gas the car gains speed: a falling road outdoes the engine. */
    public function runsAway(): bool
    {
        return $this->naturalMps2 < 0.0;
    }
}
