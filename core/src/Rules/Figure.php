<?php

declare(strict_types=1);

namespace NobleTurn\Core\Rules;

/** One figure or rule of a pack as it is printed, with its status. */
final readonly class Figure
{
    public function __construct(public string $key, public string $name, public string $value, public Source $source)
    {
    }
}
