<?php

declare(strict_types=1);

namespace NobleTurn\Core\Quantity;

use NobleTurn\Core\Fault\InvalidQuantity;

/** A span of time; never negative, at most a day. */
final readonly class Duration
{
    private function __construct(private float $seconds)
    {
    }

    /** @throws InvalidQuantity */
    public static function ofSeconds(float $value): self
    {
        return new self(Bounds::check('duration', $value, 0.0, 86_400.0, 's'));
    }

    public function inSeconds(): float
    {
        return $this->seconds;
    }
}
