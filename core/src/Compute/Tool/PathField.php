<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Field\FlagField;
use NobleTurn\Core\Compute\Field\ListField;
use NobleTurn\Core\Compute\Field\NumberField;
use NobleTurn\Core\Compute\Field\ObjectField;
use NobleTurn\Core\Compute\Field\QuantityField;
use NobleTurn\Core\Compute\Kind;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Motion\Path;
use NobleTurn\Core\Vehicle\Unit;

/** The line a vehicle's front axle follows: one arc, pieces one after the other, or points. */
final class PathField
{
    /** Straight before and after an arc that is given alone, m: longer than any combination settles in. */
    public const LEAD = 30.0;

    public static function field(): ObjectField
    {
        $piece = new Shape(
            new QuantityField('length', 'a straight stretch', Kind::Distance, 0.1, 200.0),
            new QuantityField('radius', 'of an arc, with angle_deg', Kind::Distance, 1.0, 500.0),
            new NumberField('angle_deg', 'of an arc, + to the left', -360.0, 360.0),
        );

        return new ObjectField('path', 'of the middle of the first unit’s front axle: an arc, pieces, points, or a way that is driven often', new Shape(
            new QuantityField('radius', 'of an arc, straight before and after it', Kind::Distance, 1.0, 500.0),
            new NumberField('angle_deg', 'of the arc, + to the left; default 90', -540.0, 540.0),
            new FlagField('straight_out', 'straight after the arc; default true'),
            new ListField('pieces', 'straights and arcs one after the other', new ObjectField('piece', 'length_m, or radius_m and angle_deg', $piece), 40),
            new ListField('points', 'metres: x ahead, y to the left', new ListField('point', 'x and y', new NumberField('xy', 'm', -500.0, 500.0), 2), 400),
            ...WaysField::fields(),
        ));
    }

    /**
     * The arc, where the path is one; null where it is not.
     *
     * @param  non-empty-list<Unit>  $units
     * @return ?array{radius: float, angle: float}
     *
     * @throws BadInput
     */
    public static function arc(Values $input, array $units): ?array
    {
        $path = $input->object('path') ?? throw BadInput::field('path', 'is missing (or bend).');
        $given = array_values(array_filter(['radius', 'pieces', 'points', 's_bend', 'roundabout'], $path->has(...)));
        if (count($given) !== 1) {
            throw BadInput::field('path', 'must have one of radius_m, pieces, points, s_bend, roundabout.');
        }
        if ($given[0] !== 'radius') {
            return null;
        }
        $radius = $path->distance('radius')?->inMetres() ?? 0.0;
        if ($radius <= $units[0]->wheelbaseMetres) {
            throw BadInput::field(
                'path.radius_m',
                sprintf('must be more than the first unit’s wheelbase of %.2f m: its rear axle would stand still.', $units[0]->wheelbaseMetres),
            );
        }

        return ['radius' => $radius, 'angle' => ($path->number('angle_deg') ?? 90.0) * M_PI / 180.0];
    }

    /**
     * Straight in, round the arc, and, unless it ends there, straight out.
     *
     * @param  array{radius: float, angle: float}  $arc
     */
    public static function round(array $arc, float $step, bool $straightOut = true): Path
    {
        return Path::of([['length' => self::LEAD], $arc, ...($straightOut ? [['length' => self::LEAD]] : [])], $step);
    }

    /** How long the path is that is asked for, m, whether it is sound or not. */
    public static function length(Values $input): float
    {
        $path = $input->object('path') ?? new Values([]);
        $arc = static fn (Values $of): float => ($of->distance('radius')?->inMetres() ?? 0.0) * abs($of->number('angle_deg') ?? 90.0) * M_PI / 180.0;
        $length = 2.0 * self::LEAD + $arc($path);
        foreach ($path->objects('pieces') as $piece) {
            $length += $piece->distance('length')?->inMetres() ?? $arc($piece);
        }
        foreach (WaysField::pieces($path, CommonFields::pack($input)) as $piece) {
            $length += $piece['length'] ?? $piece['radius'] * abs($piece['angle']);
        }
        $before = null;
        foreach ($path->lists('points') as $point) {
            $length += $before === null || count($before) < 2 || count($point) < 2 ? 0.0 : hypot($point[0] - $before[0], $point[1] - $before[1]);
            $before = $point;
        }

        return $length;
    }

    public static function read(Values $input, float $step): Path
    {
        $path = $input->object('path') ?? new Values([]);
        if ($path->has('points')) {
            return self::throughPoints($path->lists('points'), $step);
        }
        $pieces = WaysField::pieces($path, CommonFields::pack($input));
        foreach ($path->objects('pieces') as $i => $piece) {
            $length = $piece->distance('length')?->inMetres();
            $radius = $piece->distance('radius')?->inMetres();
            if (($length === null) === ($radius === null) || ($radius !== null && $piece->number('angle_deg') === null)) {
                throw BadInput::field("path.pieces.{$i}", 'must be a length, or a radius and an angle.');
            }
            $pieces[] = $length !== null ? ['length' => $length] : ['radius' => $radius ?? 0.0, 'angle' => ($piece->number('angle_deg') ?? 0.0) * M_PI / 180.0];
        }

        return $pieces === [] ? throw BadInput::field('path.pieces', 'must name at least one piece.') : Path::of($pieces, $step);
    }

    /** @param  list<list<float>>  $points */
    private static function throughPoints(array $points, float $step): Path
    {
        $corners = [];
        foreach ($points as $i => $point) {
            if (count($point) !== 2) {
                throw BadInput::field("path.points.{$i}", 'must be two numbers, x and y.');
            }
            if ($corners !== [] && $corners[count($corners) - 1] === [$point[0], $point[1]]) {
                throw BadInput::field("path.points.{$i}", 'must not be the point before it.');
            }
            $corners[] = [$point[0], $point[1]];
        }

        return count($corners) < 2 ? throw BadInput::field('path.points', 'must name at least two points.') : Path::through($corners, $step);
    }
}
