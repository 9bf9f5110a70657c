<?php

declare(strict_types=1);

namespace NobleTurn\Core\Quantity;

use NobleTurn\Core\Fault\InvalidQuantity;

/** Rise over run of the road, + uphill; between -0.35 and 0.35 (steeper streets exist, lessons on them do not). */
final readonly class Gradient
{
    public const STEEPEST = 0.35;

    private function __construct(private float $rise)
    {
    }

    /** @throws InvalidQuantity */
    public static function ofRiseOverRun(float $value): self
    {
        return new self(Bounds::check('gradient', $value, -self::STEEPEST, self::STEEPEST, '(rise over run)'));
    }

    public static function level(): self
    {
        return new self(0.0);
    }

    public function inRiseOverRun(): float
    {
        return $this->rise;
    }

    /** The part of gravity along the road, m/s2: positive uphill, where it slows the car. Exact: g sin(atan i). */
    public function slowing(): float
    {
        return Acceleration::STANDARD_GRAVITY * $this->rise / sqrt(1.0 + $this->rise ** 2);
    }

    /** The part of gravity pressing the car onto the road, m/s2: g cos(atan i). */
    public function pressing(): float
    {
        return Acceleration::STANDARD_GRAVITY / sqrt(1.0 + $this->rise ** 2);
    }
}
