<?php

declare(strict_types=1);

namespace NobleTurn\Core\Quantity;

use NobleTurn\Core\Fault\InvalidQuantity;

/** How fast a vehicle moves along its path; never negative, at most 120 m/s. */
final readonly class Speed
{
    /** Exact by definition of the international mile. */
    public const METRES_PER_SECOND_IN_A_MILE_PER_HOUR = 0.44704;

    private function __construct(private float $metresPerSecond)
    {
    }

    /** @throws InvalidQuantity */
    public static function ofMetresPerSecond(float $value): self
    {
        return new self(Bounds::check('speed', $value, 0.0, 120.0, 'm/s'));
    }

    /** @throws InvalidQuantity */
    public static function ofMilesPerHour(float $value): self
    {
        return self::ofMetresPerSecond($value * self::METRES_PER_SECOND_IN_A_MILE_PER_HOUR);
    }

    /** @throws InvalidQuantity */
    public static function ofKilometresPerHour(float $value): self
    {
        return self::ofMetresPerSecond($value / 3.6);
    }

    public function inMetresPerSecond(): float
    {
        return $this->metresPerSecond;
    }

    public function inMilesPerHour(): float
    {
        return $this->metresPerSecond / self::METRES_PER_SECOND_IN_A_MILE_PER_HOUR;
    }

    public function inKilometresPerHour(): float
    {
        return $this->metresPerSecond * 3.6;
    }
}
