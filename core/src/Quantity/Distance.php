<?php

declare(strict_types=1);

namespace NobleTurn\Core\Quantity;

use NobleTurn\Core\Fault\InvalidQuantity;

/** A length along the road or across it; never negative, at most 100 km. A signed place is a plain float that says so. */
final readonly class Distance
{
    /** Exact: international yard, foot and mile (1959). */
    public const METRES_IN_A_YARD = 0.9144;

    public const METRES_IN_A_FOOT = 0.3048;

    private function __construct(private float $metres)
    {
    }

    /** @throws InvalidQuantity */
    public static function ofMetres(float $value): self
    {
        return new self(Bounds::check('distance', $value, 0.0, 100_000.0, 'm'));
    }

    public function inMetres(): float
    {
        return $this->metres;
    }
}
