<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Field\ListField;
use NobleTurn\Core\Compute\Field\NumberField;
use NobleTurn\Core\Compute\Field\ObjectField;
use NobleTurn\Core\Compute\Field\QuantityField;
use NobleTurn\Core\Compute\Kind;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Vehicle\Unit;

/** The rigid parts of a vehicle, nearest to the driver first. */
final class UnitsField
{
    public static function field(): ListField
    {
        return new ListField('units', 'rigid parts, the driving one first; instead of vehicle', new ObjectField('unit', 'one rigid part', new Shape(
            (new QuantityField('wheelbase', 'front to rear axle; of a trailer from its coupling to its axle', Kind::Distance, 0.5, 20.0))->required(),
            (new QuantityField('width', 'overall', Kind::Distance, 0.5, 5.0))->required(),
            new QuantityField('front_overhang', 'before the front axle, or the coupling; default 0', Kind::Distance, 0.0, 10.0),
            new QuantityField('rear_overhang', 'behind the rear axle; default 0', Kind::Distance, 0.0, 15.0),
            new NumberField(
                'hitch_offset_m', 'signed place: from the rear axle to the coupling of the next unit, positive behind the axle; default 0', -15.0,
                15.0,
            ),
        )), 5);
    }

    /** @return non-empty-list<Unit> */
    public static function read(Values $input): array
    {
        if (! $input->has('units')) {
            return VehicleField::read($input)->units();
        }
        if ($input->has('vehicle')) {
            throw BadInput::field('vehicle', 'must not be given beside units.');
        }
        $units = [];
        foreach ($input->objects('units') as $i => $unit) {
            $wheelbase = $unit->distance('wheelbase')?->inMetres() ?? 0.0;
            [$front, $rear, $hitch] = [
                $unit->distance('front_overhang')?->inMetres() ?? 0.0, $unit->distance('rear_overhang')?->inMetres() ?? 0.0,
                $unit->number('hitch_offset_m') ?? 0.0,
            ];
            if (-$hitch > $wheelbase || $hitch > $rear + 2.0) {
                throw BadInput::field("units.{$i}.hitch_offset_m", 'must put the coupling on the unit: between its front point and 2 m behind its tail.');
            }
            $units[] = new Unit($wheelbase, $unit->distance('width')?->inMetres() ?? 0.0, $front, $rear, $hitch);
        }

        return $units === [] ? throw BadInput::field('units', 'must name at least one unit.') : $units;
    }
}
