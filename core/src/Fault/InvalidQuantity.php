<?php

declare(strict_types=1);

namespace NobleTurn\Core\Fault;

/** A number that cannot be the quantity it is meant to be: not finite, or beyond what any road or car can show. */
final class InvalidQuantity extends \InvalidArgumentException implements CoreException
{
    public static function notFinite(string $quantity): self
    {
        return new self("A {$quantity} must be a finite number.");
    }

    public static function outOfRange(string $quantity, float $value, float $least, float $most, string $unit): self
    {
        return new self(sprintf('A %s must lie between %s and %s %s; %s was given.', $quantity, $least, $most, $unit, $value));
    }
}
