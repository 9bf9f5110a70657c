<?php

declare(strict_types=1);

namespace NobleTurn\Core\Quantity;

use NobleTurn\Core\Fault\InvalidQuantity;

/** How fast the crankshaft turns; never negative, at most 20 000 rpm. */
final readonly class EngineSpeed
{
    private function __construct(private float $revolutionsPerMinute)
    {
    }

    /** @throws InvalidQuantity */
    public static function ofRevolutionsPerMinute(float $value): self
    {
        return new self(Bounds::check('engine speed', $value, 0.0, 20_000.0, 'rpm'));
    }

    public function inRevolutionsPerMinute(): float
    {
        return $this->revolutionsPerMinute;
    }
}
