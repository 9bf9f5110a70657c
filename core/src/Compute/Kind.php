<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute;

use NobleTurn\Core\Quantity\Acceleration;
use NobleTurn\Core\Quantity\Distance;
use NobleTurn\Core\Quantity\Duration;
use NobleTurn\Core\Quantity\Speed;

/** The kinds of quantity whose unit is part of the field's name. */
enum Kind
{
    case Speed;
    case Distance;
    case Duration;
    case Acceleration;

    /** @return non-empty-list<string> suffixes, the SI one first */
    public function units(): array
    {
        return match ($this) {
            self::Speed => ['mps', 'mph', 'kmh'],
            self::Distance => ['m', 'yd', 'ft'],
            self::Duration => ['s'],
            self::Acceleration => ['mps2'],
        };
    }

    /** How many SI units one of the suffix's unit is. */
    public function factor(string $suffix): float
    {
        return match ($suffix) {
            'mph' => Speed::METRES_PER_SECOND_IN_A_MILE_PER_HOUR,
            'kmh' => 1.0 / 3.6,
            'yd' => Distance::METRES_IN_A_YARD,
            'ft' => Distance::METRES_IN_A_FOOT,
            default => 1.0,
        };
    }

    public function make(float $si): Speed|Distance|Duration|Acceleration
    {
        return match ($this) {
            self::Speed => Speed::ofMetresPerSecond($si),
            self::Distance => Distance::ofMetres($si),
            self::Duration => Duration::ofSeconds($si),
            self::Acceleration => Acceleration::ofMetresPerSecondSquared($si),
        };
    }
}
