<?php

declare(strict_types=1);

namespace NobleTurn\Core\Rules;

use NobleTurn\Core\Quantity\Speed;

/** The unit limits are signed in and speeds are spoken in. */
enum SpeedUnit: string
{
    case MilesPerHour = 'mph';
    case KilometresPerHour = 'kmh';

    public function number(Speed $speed): float
    {
        return match ($this) {
            self::MilesPerHour => $speed->inMilesPerHour(),
            self::KilometresPerHour => $speed->inKilometresPerHour(),
        };
    }

    /** "24 mph", "50 km/h". */
    public function words(Speed $speed): string
    {
        return round($this->number($speed)).match ($this) {
            self::MilesPerHour => ' mph',
            self::KilometresPerHour => ' km/h',
        };
    }
}
