<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Answer;
use NobleTurn\Core\Compute\Field\ChoiceField;
use NobleTurn\Core\Compute\Field\NumberField;
use NobleTurn\Core\Compute\Field\QuantityField;
use NobleTurn\Core\Compute\Kind;
use NobleTurn\Core\Compute\Out;
use NobleTurn\Core\Compute\QuickAnswer;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Tool;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Motion\SweptPath;
use NobleTurn\Core\Plan\Warning;
use NobleTurn\Core\Routine\Wording;
use NobleTurn\Core\Rules\Assumption;
use NobleTurn\Core\Rules\Flank;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\Source;
use NobleTurn\Core\Vehicle\Chassis;
use NobleTurn\Core\Vehicle\Corner;
use NobleTurn\Core\Vehicle\Handling;
use NobleTurn\Core\Vehicle\Vehicle;

/** How much wheel a corner takes, when, and what room the car sweeps. */
final class SteeringTool implements Tool
{
    use QuickAnswer;

    /** Inner rear wheel to the kerb (assumed), m. */
    public const KERB_GAP_M = 0.5;

    public function name(): string
    {
        return 'steering';
    }

    public function about(): string
    {
        return 'Wheel angle and turns of the hand wheel for a corner, from its radius or from the kerb; where to begin and when to straighten; the room swept.';
    }

    public function input(): Shape
    {
        return new Shape(
            CommonFields::packField(),
            VehicleField::field(),
            new QuantityField('wheelbase', 'instead of the vehicle’s', Kind::Distance, 1.5, 9.0),
            new NumberField('steering_ratio', 'hand-wheel over road-wheel angle; instead of the vehicle’s', 5.0, 35.0),
            new QuantityField('radius', 'of the rear axle’s middle', Kind::Distance, 1.0, 1000.0),
            new QuantityField('kerb_radius', 'of the kerb that is followed; instead of radius', Kind::Distance, 0.0, 1000.0),
            new QuantityField('kerb_gap', 'inner rear wheel to kerb; default 0.5 m', Kind::Distance, 0.0, 10.0),
            new QuantityField('lane_width', 'of the lane followed round the corner, kerb to its outer edge', Kind::Distance, 2.0, 20.0),
            new NumberField('angle_deg', 'how far the road turns; default 90', 5.0, 270.0),
            new QuantityField('speed', 'default the comfortable one', Kind::Speed, 0.3, 30.0),
            new ChoiceField('corner', 'of the crossroads: on our own side, or across; default near', ['near', 'far']),
        );
    }

    public function output(): array
    {
        return [
            'radius_m' => Out::number('of the rear axle’s middle'),
            'minimum_radius_m' => Out::number('the smallest it steers'),
            'turning_circle_m' => Out::number('kerb to kerb at full lock'),
            'road_wheel_deg' => Out::number('angle of the front wheels'),
            'hand_wheel_deg' => Out::number('angle of the hand wheel'),
            'turns' => Out::number('the same in turns'),
            'taught_turns' => Out::list(['type' => 'number'], 'what is taught for that corner where it is a right angle'),
            'taught_radius_m' => Out::list(['type' => 'number'], 'the radii those turns would give'),
            'agrees_with_taught' => Out::flag('whether the turns lie between the taught ones'),
            ...CommonFields::headlineSpeedSchema('comfortable_speed', 'v^2 / r at what is comfortable in the vehicle'),
            'speed_mps' => Out::number('used here: at most the comfortable one'),
            'inner_clearance_m' => Out::number('inner rear wheel to kerb; null without a kerb', nullable: true),
            'outer_clearance_m' => Out::number('outer front corner to the outer edge of the lane; null without one', nullable: true),
            'cut_in_m' => Out::number('how much nearer to the kerb the rear wheels run'),
            'trailer_in_m' => Out::number('how much further in a trailer may run, on a long bend; null without one, or where it folds', nullable: true),
            'swept_width_m' => Out::number('room from inner side to outer front corner'),
            'steer_from_m' => Out::number('front bumper past the beginning of the kerb’s curve when the wheel starts to turn; negative before it'),
            'straighten_deg' => Out::number('heading still to turn when the wheel begins to come back'),
            'car' => CarShape::schema(),
        ];
    }

    public function answer(Values $input): Answer
    {
        $pack = CommonFields::pack($input);
        $chassis = self::chassis($input);
        $corner = self::corner($input, $chassis);
        $turns = $corner->turns();
        $lane = $input->distance('lane_width')?->inMetres();
        $kerbCentre = $corner->kerbGapMetres === null ? null : $corner->radiusMetres - $chassis->trackMetres / 2.0 - $corner->kerbGapMetres;
        $outer = $lane === null || $kerbCentre === null ? null : $kerbCentre + $lane - $chassis->outerRadiusMetres($corner->radiusMetres);
        $degrees = 180.0 / M_PI;
        $usual = $pack->wheelTaught($input->text('corner') === 'far' ? Flank::Off : Flank::Near);
        $taught = array_map(static fn (float $turn): float => round($chassis->wheelbaseMetres / tan($turn * 2.0 * M_PI / $chassis->steeringRatio), 2),
            $usual);
        $asked = $input->speed('speed')?->inMetresPerSecond();
        $vehicle = VehicleField::read($input);
        $in = self::trailerIn($vehicle, $corner);

        return new Answer($pack->code(), $pack->version(), [
            'radius_m' => round($corner->radiusMetres, 3),
            'minimum_radius_m' => round($chassis->minimumRadiusMetres(), 3),
            'turning_circle_m' => round($chassis->turningCircleMetres, 2),
            'road_wheel_deg' => round($chassis->roadWheelRadians($corner->radiusMetres) * $degrees, 2),
            'hand_wheel_deg' => round($chassis->handWheelRadians($corner->radiusMetres) * $degrees, 1),
            'turns' => round($turns, 3),
            'taught_turns' => $usual,
            'taught_radius_m' => $taught,
            'agrees_with_taught' => $turns >= $usual[0] - 0.005 && $turns <= $usual[1] + 0.005,
            ...CommonFields::headlineSpeed('comfortable_speed', $corner->comfortableMps(), $pack),
            'speed_mps' => round($corner->speedMps, 3),
            'inner_clearance_m' => $corner->kerbGapMetres === null ? null : round($corner->kerbGapMetres, 3),
            'outer_clearance_m' => $outer === null ? null : round($outer, 3),
            'cut_in_m' => round($corner->cutInMetres(), 3),
            'trailer_in_m' => $in === null ? null : round($in, 2),
            'swept_width_m' => round($corner->sweptMetres(), 3),
            'steer_from_m' => round($corner->steerAtMetres(), 2),
            'straighten_deg' => round($corner->straightenWithRadians() * $degrees, 1),
            'car' => CarShape::of($chassis),
        ], [
            new Assumption(
                'wheelbase', $chassis->wheelbaseMetres, 'm',
                $input->has('wheelbase') || $input->object('vehicle')?->has('wheelbase') === true ? Source::given() : Source::assumed(),
            ),
            new Assumption(
                'steering ratio', $chassis->steeringRatio, '',
                $input->has('steering_ratio') || $input->object('vehicle')?->has('steering_ratio') === true ? Source::given() : Source::assumed(),
            ),
            new Assumption(
                Wording::part($pack, 'turning circle, {kerb} to {kerb}'), round($chassis->turningCircleMetres, 2), 'm',
                $input->object('vehicle')?->has('turning_circle') === true ? Source::given() : Source::assumed(),
            ),
            new Assumption(Wording::part($pack, 'turns taught for a right-angle corner on the {near} side'), '0.5 to 0.75', '', Source::commonPractice()),
            new Assumption('time to turn the wheel, and to bring it back', Corner::WHEEL_S, 's', Source::assumed()),
            new Assumption('comfortable sideways acceleration', $corner->sidewaysMps2, 'm/s2', Source::assumed()),
            ...CommonFields::defaults($input, CommonFields::default('angle_deg', 90.0)),
        ], [
            ...(
                $asked !== null && $asked > $corner->comfortableMps() + 1e-9
                    ? [
                        new Warning(
                            'too-fast-for-the-corner', 'Faster than is comfortable round this radius: reckoned at the comfortable speed.',
                            ['sideways_mps2' => round($asked ** 2 / $corner->radiusMetres, 2)],
                        ),
                    ]
                    : []
            ),
            ...(
                $outer !== null && $outer < 0.0
                    ? [
                        new Warning(
                            'outside-the-lane', 'The outer front corner leaves the lane: begin further out, or slower and tighter.',
                            ['outside_m' => round(-$outer, 3)],
                        ),
                    ]
                    : []
            ),
            ...($vehicle->trailers === [] ? [] : [self::cutsIn($in, $pack)]),
        ]);
    }

    /** How much further in than our own rear wheels the last trailer runs after a long time on such a circle, m; null without one, or where it folds. */
    private static function trailerIn(Vehicle $vehicle, Corner $corner): ?float
    {
        $units = $vehicle->units();
        $last = SweptPath::steadyRadii($units, hypot($corner->radiusMetres, $units[0]->wheelbaseMetres))[count($units) - 1];

        return $vehicle->trailers === [] || $last === null ? null : $corner->radiusMetres - $last;
    }

    private static function cutsIn(?float $metres, RulePack $pack): Warning
    {
        $in = $pack->lengthUnit()->fine($metres ?? 0.0);

        return new Warning('trailer-cuts-in', $metres === null ? 'On a circle as tight as that the trailer folds: begin wider.'
            : "The trailer runs up to {$in} nearer to the inside than our own rear wheels: the room all of it sweeps decides.");
    }

    private static function chassis(Values $input): Chassis
    {
        $of = VehicleField::read($input)->chassis;
        $wheelbase = $input->distance('wheelbase')?->inMetres();
        if ($wheelbase === null && ! $input->has('steering_ratio')) {
            return $of;
        }
        // Another wheelbase with the same lock of the front wheels: the turning circle grows with it.
        $circle = $of->turningCircleMetres * ($wheelbase ?? $of->wheelbaseMetres) / $of->wheelbaseMetres;

        return Chassis::of(
            $wheelbase ?? $of->wheelbaseMetres, $of->widthMetres, $of->frontOverhangMetres, $of->rearOverhangMetres, $of->heightMetres,
            $input->number('steering_ratio') ?? $of->steeringRatio, $circle, $of->trackMetres,
        );
    }

    private static function corner(Values $input, Chassis $chassis): Corner
    {
        $angle = ($input->number('angle_deg') ?? 90.0) * M_PI / 180.0;
        $speed = $input->speed('speed')?->inMetresPerSecond();
        $radius = $input->distance('radius')?->inMetres();
        $kerb = $input->distance('kerb_radius')?->inMetres();
        if ($radius !== null && $kerb !== null) {
            throw BadInput::field('kerb_radius_m', 'must not be given beside a radius.');
        }
        $sideways = Handling::of(VehicleField::read($input))->sidewaysMps2;
        if ($kerb !== null) {
            return Corner::alongKerb($chassis, $kerb, $input->distance('kerb_gap')?->inMetres() ?? self::KERB_GAP_M, $angle, $speed, $sideways);
        }

        return Corner::of($chassis, $radius ?? throw BadInput::field('radius_m', 'is missing (or kerb_radius_m).'), $angle, $speed, sideways: $sideways);
    }
}
