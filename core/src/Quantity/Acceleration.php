<?php

declare(strict_types=1);

namespace NobleTurn\Core\Quantity;

use NobleTurn\Core\Fault\InvalidQuantity;

/** A rate of slowing or gaining speed, by its size: a deceleration is a positive number here. At most 15 m/s2. */
final readonly class Acceleration
{
    /** Standard gravity, exact by definition (CGPM 1901). */
    public const STANDARD_GRAVITY = 9.80665;

    private function __construct(private float $metresPerSecondSquared)
    {
    }

    /** @throws InvalidQuantity */
    public static function ofMetresPerSecondSquared(float $value): self
    {
        return new self(Bounds::check('acceleration', $value, 0.0, 15.0, 'm/s2'));
    }

    public function inMetresPerSecondSquared(): float
    {
        return $this->metresPerSecondSquared;
    }
}
