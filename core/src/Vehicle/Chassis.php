<?php

declare(strict_types=1);

namespace NobleTurn\Core\Vehicle;

use NobleTurn\Core\Fault\BadInput;

/**
 * Where the wheels are and how far they steer. The single-track model: both front wheels as one in the middle,
 * turned by atan(wheelbase / radius of the rear axle's middle).
 */
final readonly class Chassis
{
    private function __construct(
        public float $wheelbaseMetres,
        public float $widthMetres,
        public float $frontOverhangMetres,
        public float $rearOverhangMetres,
        public float $heightMetres,
        /** Hand-wheel angle over road-wheel angle. */
        public float $steeringRatio,
        /** Kerb to kerb: twice the path of the outer front wheel at full lock, m. */
        public float $turningCircleMetres,
        /** Between the wheels' middles, m. */
        public float $trackMetres,
    ) {
    }

    /** @throws BadInput where the turning circle is one that no front wheel could steer */
    public static function of(
        float $wheelbase, float $width, float $frontOverhang, float $rearOverhang, float $height, float $steeringRatio, float $turningCircle,
        ?float $track = null,
    ): self {
        $track ??= 0.85 * $width;
        if ($turningCircle / 2.0 <= $wheelbase + 0.1 || sqrt(($turningCircle / 2.0) ** 2 - $wheelbase ** 2) <= $track / 2.0) {
            throw BadInput::field('turning_circle_m', 'is too small for this wheelbase.');
        }

        return new self($wheelbase, $width, $frontOverhang, $rearOverhang, $height, $steeringRatio, $turningCircle, $track);
    }

    /** Smallest radius of the rear axle's middle: the outer front wheel runs on half the turning circle. */
    public function minimumRadiusMetres(): float
    {
        return sqrt(($this->turningCircleMetres / 2.0) ** 2 - $this->wheelbaseMetres ** 2) - $this->trackMetres / 2.0;
    }

    /** Angle of the front wheels for a radius of the rear axle's middle, radians. */
    public function roadWheelRadians(float $radius): float
    {
        return atan($this->wheelbaseMetres / $radius);
    }

    public function handWheelRadians(float $radius): float
    {
        return $this->roadWheelRadians($radius) * $this->steeringRatio;
    }

    /** Radius of the front outer corner when the rear axle's middle runs on this one. */
    public function outerRadiusMetres(float $radius): float
    {
        return hypot($radius + $this->widthMetres / 2.0, $this->wheelbaseMetres + $this->frontOverhangMetres);
    }

    public function lengthMetres(): float
    {
        return $this->frontOverhangMetres + $this->wheelbaseMetres + $this->rearOverhangMetres;
    }
}
