<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Answer;
use NobleTurn\Core\Compute\Effort;
use NobleTurn\Core\Compute\Field\NumberField;
use NobleTurn\Core\Compute\Field\ObjectField;
use NobleTurn\Core\Compute\Field\QuantityField;
use NobleTurn\Core\Compute\Kind;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Tool;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Motion\ArcReach;
use NobleTurn\Core\Motion\BendLine;
use NobleTurn\Core\Motion\LaneLine;
use NobleTurn\Core\Motion\MiddleLine;
use NobleTurn\Core\Motion\PathReach;
use NobleTurn\Core\Motion\SweptPath;
use NobleTurn\Core\Place\Bend;
use NobleTurn\Core\Plan\Warning;
use NobleTurn\Core\Rules\Assumption;
use NobleTurn\Core\Rules\Source;
use NobleTurn\Core\Vehicle\Unit;

/** The room a vehicle sweeps along a path, and whether it fits between kerbs. */
final class SweptPathTool implements Tool
{
    public function name(): string
    {
        return 'swept-path';
    }

    public function about(): string
    {
        return 'Off-tracking, tail swing and the room swept by any chain of units whose front axle follows a path at low speed; whether it fits between '
            .'kerbs, and the line through a bend that leaves most room.';
    }

    public function input(): Shape
    {
        return new Shape(
            CommonFields::packField(),
            VehicleField::field(),
            UnitsField::field(),
            PathField::field(),
            new ObjectField('kerbs', 'circles about an arc’s centre, or lines beside any path', new Shape(
                new QuantityField('inner_radius', 'of the inner kerb', Kind::Distance, 0.0, 500.0),
                new QuantityField('outer_radius', 'of the outer kerb', Kind::Distance, 1.0, 500.0),
                new QuantityField('left', 'from the path to the kerb on its left', Kind::Distance, 0.0, 50.0),
                new QuantityField('right', 'from the path to the kerb on its right', Kind::Distance, 0.0, 50.0),
            )),
            new ObjectField('bend', 'a corner between kerbs; the best line through it is looked for; instead of path', new Shape(
                (new QuantityField('kerb_radius', 'of the inner kerb', Kind::Distance, 0.0, 100.0))->required(),
                (new QuantityField('entry_width', 'of the lane before it', Kind::Distance, 2.0, 30.0))->required(),
                (new QuantityField('exit_width', 'of the lane after it', Kind::Distance, 2.0, 30.0))->required(),
                new NumberField('angle_deg', 'how far it turns; default 90', 20.0, 160.0),
            )),
            new QuantityField(
                'lane_width', 'path is the middle of a lane so wide (s_bend or roundabout); the best line in it is looked for', Kind::Distance, 2.0, 30.0,
            ),
            new QuantityField('step', 'of the integration; default 0.1 m', Kind::Distance, 0.005, 1.0),
        );
    }

    public function output(): array
    {
        return SweptPathPresenter::schema();
    }

    public function effort(Values $input): float
    {
        $units = UnitsField::read($input);
        $bend = self::bend($input);

        return Effort::QUICK + (
            $bend !== null
                ? BendLine::effort($units, $bend, self::leastRadius($units))
                : ($input->has('lane_width') ? LaneLine::effort($units, self::lane($input)) : 0.0)
                    + count($units) * PathField::length($input) / self::step($input)
        );
    }

    public function answer(Values $input): Answer
    {
        $pack = CommonFields::pack($input);
        $units = UnitsField::read($input);
        $bend = self::bend($input);
        $step = self::step($input);
        $line = $bend === null ? null : BendLine::best($units, $bend, self::leastRadius($units));
        $inLane = $bend === null ? self::inLane($input, $units) : null;
        $arc = $line === null && $inLane === null ? PathField::arc($input, $units) : null;
        $swept = $line->swept ?? $inLane->swept ?? SweptPath::along($arc === null ? PathField::read($input, $step) : PathField::round($arc, $step,
            $input->object('path')?->flag('straight_out') ?? true), $units);
        [$inner, $outer] = $arc === null ? [null, null] : (new ArcReach(PathField::LEAD, $arc['radius'], $arc['angle']))->of($swept);
        [$spareIn, $spareOut] = $line !== null ? [$line->spareInsideMetres, $line->spareOutsideMetres] : self::spare($input, $inner, $outer);
        // Told for every path but the bend whose kerbs are its own.
        $reach = $bend === null && $inLane === null ? PathReach::of($swept) : null;
        [$spareLeft, $spareRight] = $inLane === null ? self::besides($input, $reach) : [$inLane->spareLeftMetres, $inLane->spareRightMetres];
        $off = $swept->offTracking();
        $steady = $arc === null ? null : SweptPath::steadyRadii($units, $arc['radius'])[count($units) - 1];
        $round = static fn (?float $value): ?float => $value === null ? null : round($value, 4);
        $spares = array_filter([$spareIn, $spareOut, $spareLeft, $spareRight], static fn (?float $spare): bool => $spare !== null);

        return new Answer($pack->code(), $pack->version(), [
            'off_tracking_m' => [
                'steady' => $arc === null ? null : $round($steady === null ? null : $arc['radius'] - $steady), 'most' => round(max($off), 4),
                ...SweptPathPresenter::offByAngle($off, $arc, $swept),
            ],
            'swept_width_m' => $inner === null || $outer === null ? null : round($outer - $inner, 4),
            'inner_radius_min_m' => $round($inner),
            'outer_radius_max_m' => $round($outer),
            'tail_swing_m' => round($swept->tailSwingMetres(), 4),
            'fits' => $spares === [] ? null : min($spares) >= 0.0,
            'reach_m' => $reach === null ? null : ['left' => round($reach->left, 4), 'right' => round($reach->right, 4)],
            'spare_inside_m' => $round($spareIn),
            'spare_outside_m' => $round($spareOut),
            'spare_left_m' => $round($spareLeft),
            'spare_right_m' => $round($spareRight),
            'line' => $line === null ? null : [
                'entry_from_kerb_m' => round($line->entryFromKerbMetres, 2), 'exit_from_kerb_m' => round($line->exitFromKerbMetres, 2),
                'radius_m' => round($line->radiusMetres, 2), 'begin_at_m' => round($line->beginAtMetres, 2),
            ],
            ...LaneLinePresenter::fields($inLane, $inLane === null ? null : self::lane($input), $input, $pack, $units[0]),
            'frames' => SweptPathPresenter::frames($swept),
            'traces' => SweptPathPresenter::traces($swept),
        ], [
            new Assumption('low speed: no wheel slips sideways', true, '', Source::assumed()),
            new Assumption(
                'integration step', $inLane !== null ? LaneLine::TOLD : ($line === null ? $step : 0.25), 'm',
                $input->has('step') ? Source::given() : Source::assumed(),
            ),
            ...(
                $input->has('units')
                    ? []
                    : [
                        new Assumption(
                            'vehicle', VehicleField::named(VehicleField::read($input), $pack), '',
                            $input->has('vehicle') ? Source::given() : Source::assumed(),
                        ),
                    ]
            ),
            ...WaysField::defaults($input->object('path') ?? new Values([])),
        ], $spares !== [] && min($spares) < 0.0 ? [new Warning(
            'does-not-fit', 'It does not fit: '.($line === null && $inLane === null ? 'take another line.'
                : 'even the best line leaves the lane. Take another way, or have the road cleared.'), ['missing_m' => round(-min($spares), 3)],
        )] : []);
    }

    private static function step(Values $input): float
    {
        return $input->distance('step')?->inMetres() ?? 0.1;
    }

    /** @throws BadInput where it is no way that a lane has */
    private static function lane(Values $input): MiddleLine
    {
        $pieces = WaysField::pieces($input->object('path') ?? new Values([]), CommonFields::pack($input));
        if ($pieces === []) {
            throw BadInput::field('lane_width_m', 'must stand beside path.s_bend or path.roundabout.');
        }

        return new MiddleLine($pieces);
    }

    /** @param  non-empty-list<Unit>  $units */
    private static function inLane(Values $input, array $units): ?LaneLine
    {
        $width = $input->distance('lane_width')?->inMetres();
        if ($width === null) {
            return null;
        }
        if ($input->has('kerbs')) {
            throw BadInput::field('kerbs', 'must not be given beside the width of a lane: it has them.');
        }

        return LaneLine::best($units, self::lane($input), $width, self::leastRadius($units));
    }

    /** @param  non-empty-list<Unit>  $units */
    private static function leastRadius(array $units): float
    {
        return $units[0]->wheelbaseMetres + 0.5;
    }

    private static function bend(Values $input): ?Bend
    {
        $bend = $input->object('bend');
        if ($bend === null) {
            return null;
        }
        foreach (['path', 'kerbs', 'lane_width'] as $beside) {
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

    /** @return array{?float, ?float} */
    private static function spare(Values $input, ?float $inner, ?float $outer): array
    {
        $kerbs = $input->object('kerbs');
        if ($kerbs === null) {
            return [null, null];
        }
        $in = $kerbs->distance('inner_radius')?->inMetres();
        $out = $kerbs->distance('outer_radius')?->inMetres();
        if ($in === null && $out === null) {
            return $kerbs->has('left') || $kerbs->has('right') ? [null, null] : throw BadInput::field(
                'kerbs', 'must name an inner or an outer radius, or a kerb to the left or to the right.',
            );
        }
        if ($inner === null || $outer === null) {
            throw BadInput::field('kerbs', 'with radii are circles: they need a path that is one arc.');
        }

        return [$in === null ? null : $inner - $in, $out === null ? null : $out - $outer];
    }

    /** @return array{?float, ?float} room left at kerbs beside the path, left and right, m */
    private static function besides(Values $input, ?PathReach $reach): array
    {
        if ($reach === null) {
            return [null, null];
        }
        $kerbs = $input->object('kerbs');
        [$left, $right] = [$kerbs?->distance('left')?->inMetres(), $kerbs?->distance('right')?->inMetres()];

        return [$left === null ? null : $left - $reach->left, $right === null ? null : $right - $reach->right];
    }
}
