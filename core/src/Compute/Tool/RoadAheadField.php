<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Field\Field;
use NobleTurn\Core\Compute\Field\NumberField;
use NobleTurn\Core\Compute\Field\ObjectField;
use NobleTurn\Core\Compute\Field\QuantityField;
use NobleTurn\Core\Compute\Kind;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Place\Crest;
use NobleTurn\Core\Place\Curve;
use NobleTurn\Core\Place\Dip;
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
                new QuantityField('offset', 'from our path to a hedge, a wall or cars along its inside; default none', Kind::Distance, 0.5, 100.0),
            )),
            new ObjectField('crest', 'the rounded top of a hill on the way to the line', new Shape(
                (new QuantityField('from', 'one end, metres to the line', Kind::Distance, 0.0, 1000.0))->required(),
                (new QuantityField('to', 'other end, metres to the line', Kind::Distance, 0.0, 1000.0))->required(),
                (new NumberField('gradient_change', 'between the slopes before and after it, rise over run', 0.002, 0.5))->required(),
            )),
            new ObjectField('dip', 'a hollow in the road on the way to the line', new Shape(
                (new QuantityField('from', 'one end, metres to the line', Kind::Distance, 0.0, 1000.0))->required(),
                (new QuantityField('to', 'other end, metres to the line', Kind::Distance, 0.0, 1000.0))->required(),
                (new QuantityField('depth', 'at its middle', Kind::Distance, 0.1, 50.0))->required(),
            )),
        ];
    }

    public static function read(Values $input): RoadAhead
    {
        return new RoadAhead(
            $input->distance('sight_ahead')?->inMetres(), self::curve($input->object('bend')), self::crest($input->object('crest')),
            self::dip($input->object('dip')),
        );
    }

    private static function crest(?Values $crest): ?Crest
    {
        [$from, $to, $change] = [$crest?->distance('from'), $crest?->distance('to'), $crest?->number('gradient_change')];

        return $from === null || $to === null || $change === null ? null : Crest::between($from->inMetres(), $to->inMetres(), $change);
    }

    private static function dip(?Values $dip): ?Dip
    {
        [$from, $to, $depth] = [$dip?->distance('from'), $dip?->distance('to'), $dip?->distance('depth')];

        return $from === null || $to === null || $depth === null ? null : Dip::between($from->inMetres(), $to->inMetres(), $depth->inMetres());
    }

    private static function curve(?Values $bend): ?Curve
    {
        [$radius, $from, $to] = [$bend?->distance('radius'), $bend?->distance('from'), $bend?->distance('to')];
        if ($radius === null || $from === null || $to === null) {
            return null;
        }
        $offset = $bend?->distance('offset');
        if ($offset !== null && $offset->inMetres() >= $radius->inMetres()) {
            throw BadInput::field('bend.offset_m', 'must be less than the radius of our path.');
        }

        return Curve::between($radius->inMetres(), $from->inMetres(), $to->inMetres(), $offset?->inMetres());
    }
}
