<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Field\ChoiceField;
use NobleTurn\Core\Compute\Field\NumberField;
use NobleTurn\Core\Compute\Field\ObjectField;
use NobleTurn\Core\Compute\Field\QuantityField;
use NobleTurn\Core\Compute\Kind;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Place\ParkedAlong;
use NobleTurn\Core\Place\RoadMet;
use NobleTurn\Core\Trade\Side;

/** The road one comes out into, as the tools are told of it. */
final class RoadMetField
{
    public static function field(): ObjectField
    {
        return new ObjectField('road_met', 'the road one comes out into: all about the gap comes from it', new Shape(
            new QuantityField('limit', 'there', Kind::Speed, 2.0, 45.0),
            new NumberField('lanes', 'of each direction; default 1', 1.0, 4.0),
            ChoiceField::of('runs_to', 'where it is one-way: the side it runs to, seen from our line', Side::class),
            ChoiceField::of('parked', 'cars parked along it: on our side of it, beyond, or both', ParkedAlong::class),
        ));
    }

    public static function read(Values $input): RoadMet
    {
        $road = $input->object('road_met');

        return $road === null ? new RoadMet : new RoadMet(
            $road->speed('limit'), ArmsReader::whole($road, 'lanes', 'road_met.') ?? 1, $road->choice('runs_to', Side::class),
            $road->choice('parked', ParkedAlong::class) ?? ParkedAlong::None,
        );
    }
}
