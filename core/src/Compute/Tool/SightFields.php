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
use NobleTurn\Core\Rules\Assumption;
use NobleTurn\Core\Rules\Source;
use NobleTurn\Core\Sight\IntoTheDip;
use NobleTurn\Core\Sight\OverTheCrest;
use NobleTurn\Core\Sight\RoundTheBend;
use NobleTurn\Core\Sight\Sight;
use NobleTurn\Core\Vehicle\Handling;

/** What of the road itself ends the view: a bend with something along its inside, a crest, a dip. */
final class SightFields
{
    public const UPPER_BOUND = 'An upper bound: it knows no driveway, no parked car and no hedge that nobody told. What your eyes see decides.';

    /** @return list<Field> */
    public static function fields(): array
    {
        return [
            new QuantityField('bend_radius', 'of our path through a bend ahead', Kind::Distance, 5.0, 5000.0),
            new QuantityField('offset', 'from our path to a hedge, a wall or cars along the inside of the bend', Kind::Distance, 0.5, 200.0),
            new NumberField('bend_angle_deg', 'how far the road turns in it; default further than is seen', 2.0, 180.0),
            new ObjectField('crest', 'the rounded top of a hill ahead', new Shape(
                (new QuantityField('length', 'of the rounded part', Kind::Distance, 1.0, 3000.0))->required(),
                (new NumberField('gradient_change', 'between the slopes before and after it, rise over run', 0.002, 0.5))->required(),
            )),
            new ObjectField('dip', 'a hollow in the road ahead', new Shape(
                (new QuantityField('length', 'from edge to edge', Kind::Distance, 5.0, 2000.0))->required(),
                (new QuantityField('depth', 'at its middle', Kind::Distance, 0.1, 50.0))->required(),
            )),
            new QuantityField('eye_height', 'default '.Sight::EYE_M.' m, '.Sight::HIGH_EYE_M.' m in a long vehicle', Kind::Distance, 0.5, 3.5),
            new QuantityField('target_height', 'of what must be seen; default '.Sight::TARGET_M.' m, the tail lights of a car', Kind::Distance, 0.0, 4.0),
        ];
    }

    /**
     * @return array<string, RoundTheBend|OverTheCrest|IntoTheDip> by what they are called; none where nothing was said
     *
     * @throws BadInput where a bend is half told
     */
    public static function read(Values $input): array
    {
        [$eye, $target] = [self::eye($input), self::target($input)];
        $crest = $input->object('crest');
        $dip = $input->object('dip');

        return array_filter([
            'bend' => self::bend($input),
            'crest' => $crest === null
                ? null : new OverTheCrest($crest->distance('length')?->inMetres() ?? 0.0, $crest->number('gradient_change') ?? 0.0, $eye, $target),
            'dip' => $dip === null
                ? null : new IntoTheDip($dip->distance('length')?->inMetres() ?? 0.0, $dip->distance('depth')?->inMetres() ?? 0.0, $eye, $target),
        ]);
    }

    /** @return list<Assumption> */
    public static function assumptions(Values $input): array
    {
        $measured = Source::fromMemory(Sight::HEIGHTS);

        return [
            new Assumption('what is seen is an upper bound', true, '', Source::assumed()),
            ...($input->has('crest') || $input->has('dip') ? [
                new Assumption('eye above the road', self::eye($input), 'm', $input->has('eye_height') ? Source::given() : $measured),
                new Assumption('what is to be seen, above the road', self::target($input), 'm', $input->has('target_height') ? Source::given() : $measured),
            ] : []),
        ];
    }

    /** As it was said, or as high as it is in the vehicle; m above the road. */
    public static function eye(Values $input): float
    {
        return $input->distance('eye_height')?->inMetres() ?? Handling::of(VehicleField::read($input))->eyeMetres;
    }

    private static function target(Values $input): float
    {
        return $input->distance('target_height')?->inMetres() ?? Sight::TARGET_M;
    }

    private static function bend(Values $input): ?RoundTheBend
    {
        $radius = $input->distance('bend_radius')?->inMetres();
        $offset = $input->distance('offset')?->inMetres();
        $angle = $input->number('bend_angle_deg');
        if ($radius === null) {
            if ($offset !== null || $angle !== null) {
                throw BadInput::field('bend_radius_m', 'is missing: a bend has a radius.');
            }

            return null;
        }
        if ($offset === null) {
            throw BadInput::field('offset_m', 'is missing: how far from our path what hides the bend stands.');
        }
        if ($offset >= $radius) {
            throw BadInput::field('offset_m', 'must be less than the radius of our path.');
        }

        return new RoundTheBend($radius, $offset, $angle === null ? M_PI : deg2rad($angle));
    }
}
