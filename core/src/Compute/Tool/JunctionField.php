<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Field\ChoiceField;
use NobleTurn\Core\Compute\Field\Field;
use NobleTurn\Core\Compute\Field\QuantityField;
use NobleTurn\Core\Compute\Kind;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Place\Junction;
use NobleTurn\Core\Place\JunctionShape;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Trade\RoutineCode;

/** What lies at the line and beyond it, as the approach tool is told of it. */
final class JunctionField
{
    /** A path farther from the line than this is a hazard of its own: the next in a row of them (assumed). */
    private const PATH_WITHIN_M = 40.0;

    /** @return list<Field> */
    public static function fields(): array
    {
        return [
            RoadMetField::field(),
            ChoiceField::of('junction', 'what the roads make with ours; default as the routine implies, crossroads under lights', JunctionShape::class),
            new QuantityField(
                'path_before', 'a path for people or cycles across our way, so far before the line; farther off it is a hazard of its own', Kind::Distance, 1.0,
                self::PATH_WITHIN_M,
            ),
            new QuantityField('view_beyond', 'the view opens so far beyond the line; instead of view or view_from_m', Kind::Distance, 0.0, 15.0),
            new QuantityField('sight_left', 'seen along the road met to the left, from the line', Kind::Distance, 0.0, 1000.0),
            new QuantityField('sight_right', 'seen along the road met to the right, from the line', Kind::Distance, 0.0, 1000.0),
            new QuantityField('cycle_box', 'depth of the box for cycles beyond our line, at lights', Kind::Distance, 0.0, 10.0),
        ];
    }

    public static function read(Values $input, RulePack $pack, RoutineCode $routine, Speed $limit): Junction
    {
        return new Junction(
            RoadMetField::read($input), $input->choice('junction', JunctionShape::class), $input->distance('path_before')?->inMetres(),
            $input->distance('view_beyond')?->inMetres() ?? 0.0, SightAtTheLine::read($input, $pack, $routine, $limit),
            $input->distance('cycle_box')?->inMetres() ?? 0.0,
        );
    }
}
