<?php

declare(strict_types=1);

namespace NobleTurn\Core\Quantity;

use NobleTurn\Core\Fault\InvalidQuantity;

/** Stops NaN, infinities and absurd magnitudes at the maker of a quantity. */
final class Bounds
{
    /** @throws InvalidQuantity */
    public static function check(string $quantity, float $value, float $least, float $most, string $unit): float
    {
        if (! is_finite($value)) {
            throw InvalidQuantity::notFinite($quantity);
        }
        if ($value < $least || $value > $most) {
            throw InvalidQuantity::outOfRange($quantity, $value, $least, $most, $unit);
        }

        return $value;
    }
}
