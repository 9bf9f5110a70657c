<?php

declare(strict_types=1);

namespace NobleTurn\Core\Rules;

use NobleTurn\Core\Quantity\Distance;

/** The unit short distances are spoken in. */
enum LengthUnit: string
{
    case Metres = 'm';
    case Feet = 'ft';

    /** "30 m", "100 ft"; feet are rounded to fives from twenty on, as they are spoken. */
    public function words(Distance $distance): string
    {
        return match ($this) {
            self::Metres => round($distance->inMetres(), $distance->inMetres() < 3.0 ? 1 : 0).' m',
            self::Feet => self::feet($distance->inMetres() / Distance::METRES_IN_A_FOOT).' ft',
        };
    }

    /** A place as it is said, from metres. */
    public function place(float $metres): string
    {
        return $this->words(Distance::ofMetres(max(0.0, $metres)));
    }

    /** To a tenth of a metre, or to the foot: where a step counts. */
    public function fine(float $metres): string
    {
        return $this === self::Metres ? sprintf('%.1f m', $metres) : $this->place($metres);
    }

    private static function feet(float $feet): float
    {
        return $feet < 20.0 ? round($feet) : round($feet / 5.0) * 5.0;
    }
}
