<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Field\NumberField;
use NobleTurn\Core\Compute\Field\ObjectField;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Site\Position;

/** Somewhere on the earth, in degrees of WGS84. */
final class PositionField
{
    public static function of(string $key, string $about): ObjectField
    {
        return new ObjectField($key, $about, new Shape(
            (new NumberField('latitude_deg', 'degrees north', -90.0, 90.0))->required(),
            (new NumberField('longitude_deg', 'degrees east', -180.0, 180.0))->required(),
        ));
    }

    public static function read(?Values $said): ?Position
    {
        return $said === null ? null : Position::ofDegrees($said->number('latitude_deg') ?? 0.0, $said->number('longitude_deg') ?? 0.0);
    }
}
