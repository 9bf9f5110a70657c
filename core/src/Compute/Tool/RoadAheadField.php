<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Field\Field;
use NobleTurn\Core\Compute\Field\ObjectField;
use NobleTurn\Core\Compute\Field\QuantityField;
use NobleTurn\Core\Compute\Kind;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Place\Curve;
use NobleTurn\Core\Place\RoadAhead;

/** What the road asks of the speed on the way to the line, as the approach tool is told of it. */
final class RoadAheadField
{
    /** @return list<Field> */
    public static function fields(): array
    {
        return [
            new QuantityField('sight_ahead', 'the least that is seen ahead on the way: a bend, a crest, a hedge', Kind::Distance, 2.0, 1000.0),
            new ObjectField('bend', 'of the road on the way to the line', new Shape(
                (new QuantityField('radius', 'of our path', Kind::Distance, 5.0, 2000.0))->required(),
                (new QuantityField('from', 'one end, metres to the line', Kind::Distance, 0.0, 1000.0))->required(),
                (new QuantityField('to', 'other end, metres to the line', Kind::Distance, 0.0, 1000.0))->required(),
            )),
        ];
    }

    public static function read(Values $input): RoadAhead
    {
        $bend = $input->object('bend');
        [$radius, $from, $to] = [$bend?->distance('radius'), $bend?->distance('from'), $bend?->distance('to')];

        return new RoadAhead(
            $input->distance('sight_ahead')?->inMetres(),
            $radius === null || $from === null || $to === null ? null : Curve::between($radius->inMetres(), $from->inMetres(), $to->inMetres()),
        );
    }
}
