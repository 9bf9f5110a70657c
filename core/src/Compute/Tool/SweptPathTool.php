<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Answer;
use NobleTurn\Core\Compute\Field\ListField;
use NobleTurn\Core\Compute\Field\NumberField;
use NobleTurn\Core\Compute\Field\ObjectField;
use NobleTurn\Core\Compute\Field\QuantityField;
use NobleTurn\Core\Compute\Kind;
use NobleTurn\Core\Compute\Out;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Tool;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Motion\ArcReach;
use NobleTurn\Core\Motion\Path;
use NobleTurn\Core\Motion\SweptPath;
use NobleTurn\Core\Place\Bend;
use NobleTurn\Core\Plan\Warning;
use NobleTurn\Core\Rules\Assumption;
use NobleTurn\Core\Rules\Source;
use NobleTurn\Core\Vehicle\BendLine;
use NobleTurn\Core\Vehicle\Unit;

/** The room a vehicle sweeps along a path, and whether it fits between kerbs. */
final class SweptPathTool implements Tool
{
    /** Straight before and after an arc that is given alone, m: longer than any combination settles in. */
    private const LEAD = 30.0;

    /** So many positions and trace points are told, for drawing. */
    private const SHOWN = 48;

    public function name(): string
    {
        return 'swept-path';
    }

    public function about(): string
    {
        return 'Off-tracking, tail swing and the room swept by any chain of units whose front axle follows a path at low speed; whether it fits between kerbs, and the line through a bend that leaves most room.';
    }

    public function input(): Shape
    {
        $piece = new Shape(
            new QuantityField('length', 'a straight stretch', Kind::Distance, 0.1, 200.0),
            new QuantityField('radius', 'of an arc, with angle_deg', Kind::Distance, 1.0, 500.0),
            new NumberField('angle_deg', 'of an arc, + to the left', -360.0, 360.0),
        );

        return new Shape(
            CommonFields::packField(),
            VehicleField::field(),
            UnitsField::field(),
            new ObjectField('path', 'of the middle of the first unit’s front axle: an arc, pieces, or points', new Shape(
                new QuantityField('radius', 'of an arc, straight before and after it', Kind::Distance, 1.0, 500.0),
                new NumberField('angle_deg', 'of the arc, + to the left; default 90', -540.0, 540.0),
                new ListField('pieces', 'straights and arcs one after the other', new ObjectField('piece', 'length_m, or radius_m and angle_deg', $piece), 40),
                new ListField('points', 'metres: x ahead, y to the left', new ListField('point', 'x and y', new NumberField('xy', 'm', -500.0, 500.0), 2), 400),
            )),
            new ObjectField('kerbs', 'circles about the arc’s centre', new Shape(
                new QuantityField('inner_radius', 'of the inner kerb', Kind::Distance, 0.0, 500.0),
                new QuantityField('outer_radius', 'of the outer kerb', Kind::Distance, 1.0, 500.0),
            )),
            new ObjectField('bend', 'a corner between kerbs; the best line through it is looked for; instead of path', new Shape(
                (new QuantityField('kerb_radius', 'of the inner kerb', Kind::Distance, 0.0, 100.0))->required(),
                (new QuantityField('entry_width', 'of the lane before it', Kind::Distance, 2.0, 30.0))->required(),
                (new QuantityField('exit_width', 'of the lane after it', Kind::Distance, 2.0, 30.0))->required(),
                new NumberField('angle_deg', 'how far it turns; default 90', 20.0, 160.0),
            )),
            new QuantityField('step', 'of the integration; default 0.1 m', Kind::Distance, 0.005, 1.0),
        );
    }

    public function output(): array
    {
        $point = Out::list(['type' => 'number'], 'x and y, m');
        $nullable = static fn (string $about): array => Out::number($about, nullable: true);

        return [
            'off_tracking_m' => Out::object([
                'steady' => $nullable('after a long time on the arc; null off a circle, or where it never settles'),
                'most' => Out::number('largest distance of the last axle’s middle from the path'),
                'angle_deg' => Out::list(['type' => 'number'], 'turned along the arc'),
                'at_angle' => Out::list(['type' => 'number'], 'distance there'),
            ]),
            'swept_width_m' => $nullable('outer minus inner radius; null off a circle'),
            'inner_radius_min_m' => $nullable('nearest any body comes to the arc’s centre; null off a circle'),
            'outer_radius_max_m' => $nullable('farthest; null off a circle'),
            'tail_swing_m' => Out::number('how far a rear corner swings out at the beginning'),
            'fits' => ['type' => ['boolean', 'null'], 'description' => 'between the kerbs given; null without kerbs'],
            'spare_inside_m' => $nullable('room left at the inner kerb; negative where it is mounted'),
            'spare_outside_m' => $nullable('room left at the outer kerb'),
            'line' => ['type' => ['object', 'null'], 'description' => 'the line through the bend that leaves most room', 'properties' => [
                'entry_from_kerb_m' => Out::number('front axle’s middle from the inner kerb before the bend'),
                'exit_from_kerb_m' => Out::number('and after it'),
                'radius_m' => Out::number('of the front axle’s middle'),
                'begin_at_m' => Out::number('front axle past the beginning of the kerb’s curve when it starts to turn; negative before it'),
            ]],
            'frames' => Out::list(Out::list(Out::list($point), 'four corners of a unit'), 'positions along the way'),
            'traces' => Out::object([
                'path' => Out::list($point, 'front axle’s middle'),
                'outer' => Out::list($point, 'outer front corner of the first unit'),
                'inner' => Out::list($point, 'inner side of the last unit at its axle'),
            ]),
        ];
    }

    public function answer(Values $input): Answer
    {
        $pack = CommonFields::pack($input);
        $units = UnitsField::read($input);
        $bend = self::bend($input);
        $step = $input->distance('step')?->inMetres() ?? 0.1;
        $line = $bend === null ? null : BendLine::best($units, $bend, $units[0]->wheelbase + 0.5);
        $arc = $line === null ? self::arc($input, $units) : null;
        $swept = $line->swept ?? SweptPath::along($arc === null ? self::path($input, $step) : self::arcPath($arc, $step), $units);
        [$inner, $outer] = $arc === null ? [null, null] : (new ArcReach(self::LEAD, $arc['radius'], $arc['angle']))->of($swept);
        [$spareIn, $spareOut] = $line !== null ? [$line->spareInside, $line->spareOutside] : self::spare($input, $inner, $outer);
        $off = $swept->offTracking();
        $steady = $arc === null ? null : SweptPath::steadyRadii($units, $arc['radius'])[count($units) - 1];
        $round = static fn (?float $value): ?float => $value === null ? null : round($value, 4);
        $spares = array_filter([$spareIn, $spareOut], static fn (?float $spare): bool => $spare !== null);

        return new Answer($pack->code(), $pack->version(), [
            'off_tracking_m' => ['steady' => $arc === null ? null : $round($steady === null ? null : $arc['radius'] - $steady), 'most' => round(max($off), 4), ...self::offByAngle($off, $arc, $swept)],
            'swept_width_m' => $inner === null || $outer === null ? null : round($outer - $inner, 4),
            'inner_radius_min_m' => $round($inner),
            'outer_radius_max_m' => $round($outer),
            'tail_swing_m' => round($swept->tailSwing(), 4),
            'fits' => $spares === [] ? null : min($spares) >= 0.0,
            'spare_inside_m' => $round($spareIn),
            'spare_outside_m' => $round($spareOut),
            'line' => $line === null ? null : [
                'entry_from_kerb_m' => round($line->entryFromKerb, 2), 'exit_from_kerb_m' => round($line->exitFromKerb, 2),
                'radius_m' => round($line->radius, 2), 'begin_at_m' => round($line->beginAt, 2),
            ],
            'frames' => self::frames($swept),
            'traces' => self::traces($swept),
        ], [
            new Assumption('low speed: no wheel slips sideways', true, '', Source::assumed()),
            new Assumption('integration step', $line === null ? $step : 0.25, 'm', $input->has('step') ? Source::given() : Source::assumed()),
            ...($input->has('units') ? [] : [new Assumption('vehicle', VehicleField::read($input)->name, '', $input->has('vehicle') ? Source::given() : Source::assumed())]),
        ], $spares !== [] && min($spares) < 0.0
            ? [new Warning('does-not-fit', 'It does not fit: '.($line === null ? 'take another line.' : 'even the best line leaves the lane. Take another way, or have the road cleared.'), ['missing_m' => round(-min($spares), 3)])] : []);
    }

    private static function bend(Values $input): ?Bend
    {
        $bend = $input->object('bend');
        if ($bend === null) {
            return null;
        }
        foreach (['path', 'kerbs'] as $beside) {
            if ($input->has($beside)) {
                throw BadInput::field($beside, 'must not be given beside a bend.');
            }
        }

        return new Bend(
            $bend->distance('kerb_radius')?->inMetres() ?? 0.0,
            $bend->distance('entry_width')?->inMetres() ?? 0.0,
            $bend->distance('exit_width')?->inMetres() ?? 0.0,
            ($bend->number('angle_deg') ?? 90.0) * M_PI / 180.0,
        );
    }

    /**
     * @param  non-empty-list<Unit>  $units
     * @return ?array{radius: float, angle: float}
     */
    private static function arc(Values $input, array $units): ?array
    {
        $path = $input->object('path') ?? throw BadInput::field('path', 'is missing (or bend).');
        $given = array_values(array_filter(['radius', 'pieces', 'points'], $path->has(...)));
        if (count($given) !== 1) {
            throw BadInput::field('path', 'must have one of radius_m, pieces, points.');
        }
        if ($given[0] !== 'radius') {
            return null;
        }
        $radius = $path->distance('radius')?->inMetres() ?? 0.0;
        if ($radius <= $units[0]->wheelbase) {
            throw BadInput::field('path.radius_m', sprintf('must be more than the first unit’s wheelbase of %.2f m: its rear axle would stand still.', $units[0]->wheelbase));
        }

        return ['radius' => $radius, 'angle' => ($path->number('angle_deg') ?? 90.0) * M_PI / 180.0];
    }

    /** @param  array{radius: float, angle: float}  $arc */
    private static function arcPath(array $arc, float $step): Path
    {
        return Path::of([['length' => self::LEAD], $arc, ['length' => self::LEAD]], $step);
    }

    private static function path(Values $input, float $step): Path
    {
        $path = $input->object('path') ?? new Values([]);
        if ($path->has('points')) {
            return self::throughPoints($path->lists('points'), $step);
        }
        $pieces = [];
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

    /** @return array{?float, ?float} */
    private static function spare(Values $input, ?float $inner, ?float $outer): array
    {
        $kerbs = $input->object('kerbs');
        if ($kerbs === null) {
            return [null, null];
        }
        if ($inner === null || $outer === null) {
            throw BadInput::field('kerbs', 'are circles: they need a path that is one arc.');
        }
        $in = $kerbs->distance('inner_radius')?->inMetres();
        $out = $kerbs->distance('outer_radius')?->inMetres();
        if ($in === null && $out === null) {
            throw BadInput::field('kerbs', 'must name an inner or an outer radius.');
        }

        return [$in === null ? null : $inner - $in, $out === null ? null : $out - $outer];
    }

    /**
     * @param  list<float>  $off
     * @param  ?array{radius: float, angle: float}  $arc
     * @return array{angle_deg: list<float>, at_angle: list<float>}
     */
    private static function offByAngle(array $off, ?array $arc, SweptPath $swept): array
    {
        if ($arc === null) {
            return ['angle_deg' => [], 'at_angle' => []];
        }
        $table = ['angle_deg' => [], 'at_angle' => []];
        $degrees = min(165.0, abs($arc['angle']) * 180.0 / M_PI);
        $before = [-1.0, 0.0];
        foreach ($swept->path->points as $i => [$x, $y]) {
            $turned = atan2($x - self::LEAD, $arc['radius'] - ($arc['angle'] < 0.0 ? -$y : $y)) * 180.0 / M_PI;
            $wanted = 15.0 * count($table['angle_deg']);
            if ($wanted <= $degrees + 1e-9 && $turned >= $wanted - 1e-9 && $before[0] < $wanted) {
                $share = ($wanted - $before[0]) / ($turned - $before[0]);
                $table['angle_deg'][] = $wanted;
                $table['at_angle'][] = round($before[1] + ($off[$i] - $before[1]) * $share, 4);
            }
            $before = [$turned, $off[$i]];
        }

        return $table;
    }

    /** @return list<list<list<array{float, float}>>> */
    private static function frames(SweptPath $swept): array
    {
        $every = max(1, intdiv(count($swept->frames), self::SHOWN));
        $shown = [];
        for ($i = 0, $n = count($swept->frames); $i < $n; $i += $every) {
            $shown[] = array_map(
                static fn (Unit $unit, array $pose): array => array_map(self::rounded(...), SweptPath::corners($unit, $pose)),
                $swept->units, $swept->frames[$i],
            );
        }

        return $shown;
    }

    /** @return array{path: list<array{float, float}>, outer: list<array{float, float}>, inner: list<array{float, float}>} */
    private static function traces(SweptPath $swept): array
    {
        $every = max(1, intdiv(count($swept->frames), 4 * self::SHOWN));
        $last = count($swept->units) - 1;
        $turnsLeft = $swept->frames[count($swept->frames) - 1][0][2] >= $swept->frames[0][0][2];
        $traces = ['path' => [], 'outer' => [], 'inner' => []];
        for ($i = 0, $n = count($swept->frames); $i < $n; $i += $every) {
            [$x, $y, $heading] = $swept->frames[$i][$last];
            $half = ($turnsLeft ? 1.0 : -1.0) * $swept->units[$last]->width / 2.0;
            $traces['path'][] = self::rounded($swept->path->points[$i]);
            $traces['outer'][] = self::rounded(SweptPath::corners($swept->units[0], $swept->frames[$i][0])[$turnsLeft ? 1 : 0]);
            $traces['inner'][] = self::rounded([$x - $half * sin($heading), $y + $half * cos($heading)]);
        }

        return $traces;
    }

    /**
     * @param  array{float, float}  $point
     * @return array{float, float}
     */
    private static function rounded(array $point): array
    {
        return [round($point[0], 3), round($point[1], 3)];
    }
}
