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
use NobleTurn\Core\Plan\Warning;
use NobleTurn\Core\Routine\Wording;
use NobleTurn\Core\Rules\Assumption;
use NobleTurn\Core\Rules\Source;
use NobleTurn\Core\Vehicle\BayWay;
use NobleTurn\Core\Vehicle\Chassis;
use NobleTurn\Core\Vehicle\ReversePlan;
use NobleTurn\Core\Vehicle\Reversing;
use NobleTurn\Core\Vehicle\ReversingExercise;
use NobleTurn\Core\Vehicle\Vehicle;

/** Reversing exercises: the way, the time at walking pace, how the kerb comes nearer, the order of looks. */
final class ReverseTool implements Tool
{
    use QuickAnswer;

    private const POINTS = 20;

    public function name(): string
    {
        return 'reverse';
    }

    public function about(): string
    {
        return 'At walking pace: back along the kerb after pulling up on the far side, into a bay backwards or nose first, out of one backwards, forwards '
            .'into a space at the kerb, down a ramp: path, time, room needed, distance to the kerb by angle, order of looks.';
    }

    public function input(): Shape
    {
        return new Shape(
            CommonFields::packField(),
            (new ChoiceField('exercise', 'what is done', array_column(ReversingExercise::cases(), 'value')))->required(),
            VehicleField::field(),
            new QuantityField('distance', 'to go back; default two car lengths', Kind::Distance, 0.5, 60.0),
            new QuantityField('kerb_gap', 'rear wheel to kerb at the start; default 0.3 m', Kind::Distance, 0.0, 5.0),
            new NumberField('angle_deg', 'to the kerb at the start, + where the tail points away from it; default 0', -20.0, 20.0),
            CommonFields::gradientField(),
            new QuantityField('speed', 'default 0.7 m/s, a slow walk', Kind::Speed, 0.1, 2.5),
            new QuantityField('radius', 'of the rear axle’s middle into the bay; default a little more than the smallest', Kind::Distance, 2.0, 20.0),
            new QuantityField('bay_width', 'default 2.4 m', Kind::Distance, 1.8, 6.0),
            new QuantityField('bay_depth', 'default 4.8 m', Kind::Distance, 2.0, 20.0),
            new QuantityField('aisle', 'room before the bays, and before the cars that stand in them', Kind::Distance, 2.0, 30.0),
            new QuantityField('space', 'between the parked cars at the kerb', Kind::Distance, 3.0, 40.0),
        );
    }

    public function output(): array
    {
        $nullable = static fn (string $about): array => Out::number($about, nullable: true);

        return [
            'length_m' => Out::number('of the way'),
            'time_s' => Out::number('at walking pace'),
            'end_gap_m' => $nullable('rear wheel to kerb at the end; null where no kerb is followed'),
            'touches_at_m' => $nullable('where the wheel meets the kerb if nothing is done; null where it does not'),
            'correct_turns' => $nullable('of the hand wheel to take the angle out over two metres'),
            'gap_by_angle' => Out::list(
                Out::object(['angle_deg' => Out::number('to the kerb'), 'end_gap_m' => Out::number('at the end')]),
                'how the gap grows with the angle',
            ),
            'path' => Out::object([
                'distance_m' => Out::list(['type' => 'number'], 'gone back'), 'time_s' => Out::list(['type' => 'number'], 'since the start'),
                'x_m' => Out::list(['type' => 'number'], 'rear axle’s middle, along the car’s first direction, + ahead'),
                'y_m' => Out::list(['type' => 'number'], 'and to the side of the kerb or bay'),
                'heading_deg' => Out::list(['type' => 'number'], 'turned since the start'),
                'kerb_gap_m' => Out::list(['type' => ['number', 'null']], 'rear wheel to kerb'),
            ]),
            'bay' => Out::maybe(Out::object([
                'radius_m' => Out::number('of the rear axle’s middle'), 'past_m' => Out::number('rear axle past the bay’s middle at the start'),
                'off_m' => Out::number('rear axle’s middle from the bay’s mouth at the start'),
                'aisle_needed_m' => Out::number('from the mouth to the front’s swing'),
                'side_room_m' => Out::number('left on each side in the bay'), 'width_m' => Out::number('of the bay'),
                'depth_m' => Out::number('of the bay'), 'road_wheel_deg' => Out::number('angle of the front wheels'),
                'hand_wheel_turns' => Out::number('held through the arc'), 'fits' => ['type' => ['boolean', 'null'], 'description' => 'in the aisle given'],
            ]), 'where to begin, and the room it takes'),
            'room' => Out::maybe(Out::object([
                'radius_m' => Out::number('of the rear axle’s middle'), 'hand_wheel_turns' => Out::number('held through the arc'),
                'straight_m' => $nullable('back before the wheel is turned; null at the kerb'),
                'view_after_m' => $nullable('back until the driver sees past the neighbours; null at the kerb'),
                'parked_m' => $nullable('from the kerb to the outside of the parked cars; null in bays'),
                'turns_at_m' => Out::number('rear axle past the neighbours’ tails, or short of the nose of the car behind, where the wheel is turned'),
                'needed_m' => Out::number('of aisle, from the tails of the neighbours; of kerb, between the parked cars'),
                'fits' => ['type' => ['boolean', 'null'], 'description' => 'in the room given'], 'message' => Out::text('as it is said'),
            ]), 'out of a bay, into one nose first, and forwards to the kerb; null otherwise'),
            'control' => Out::text('what holds the pace'),
            'looks' => Out::list(
                ['enum' => ['ahead', 'interior', 'left-mirror', 'right-mirror', 'left-shoulder', 'right-shoulder', 'rear']],
                'before moving, in this order; then mainly to the rear',
            ),
            'car' => CarShape::schema(),
        ];
    }

    public function answer(Values $input): Answer
    {
        $pack = CommonFields::pack($input);
        $vehicle = VehicleField::read($input);
        if ($vehicle->trailers !== []) {
            throw BadInput::field('vehicle', 'draws a trailer: this is worked out for one rigid vehicle.');
        }
        $exercise = ReversingExercise::from($input->text('exercise') ?? '');
        $plan = new ReversePlan($pack, $vehicle, $exercise, CommonFields::gradient($input));
        $pace = $input->speed('speed')?->inMetresPerSecond() ?? Reversing::PACE_MPS;
        $room = new KerbRoomPresenter($pack, $vehicle->chassis, $pace);
        $body = match ($exercise) {
            ReversingExercise::Bay => self::bay($input, $vehicle->chassis, $pace),
            ReversingExercise::OutOfBay, ReversingExercise::NoseIn => $room->flatBay($input, $exercise),
            ReversingExercise::KerbSpace => $room->kerbSpace($input),
            default => self::back($input, $vehicle, $exercise, $pace),
        };

        return new Answer($pack->code(), $pack->version(), [
            ...$body,
            'control' => Wording::in($pack, $plan->control()),
            'looks' => $plan->looks(),
            'car' => CarShape::of($vehicle->chassis),
        ], [
            new Assumption('pace', $pace, 'm/s', $input->has('speed') ? Source::given() : Source::assumed()),
            ...(
                $exercise === ReversingExercise::Bay
                    ? CommonFields::defaults(
                        $input, CommonFields::default('bay_width', BayWay::WIDTH_M, 'm'), CommonFields::default('bay_depth', BayWay::DEPTH_M, 'm'),
                        CommonFields::default('radius', (float) ($body['bay']['radius_m'] ?? 0.0), 'm'),
                    )
                    : []
            ),
            ...KerbRoomPresenter::assumed($exercise),
            ...BayWarnings::assumptions($exercise),
            ...(in_array($exercise, [ReversingExercise::OutOfBay, ReversingExercise::NoseIn], true) ? CommonFields::defaults(
                $input, CommonFields::default('bay_width', BayWay::WIDTH_M, 'm'),
                CommonFields::default('radius', (float) ($body['room']['radius_m'] ?? 0.0), 'm'),
            ) : []),
            new Assumption('order of looks', 'all round before moving', '', Source::commonPractice()),
            ...CommonFields::defaults(
                $input, CommonFields::default('vehicle', VehicleField::named($vehicle, $pack)),
                CommonFields::default('gradient', 0.0, 'rise over run'),
            ),
        ], [
            ...(($body['touches_at_m'] ?? null) === null ? [] : [new Warning('touches-the-kerb', 'About to touch: never wait for contact. Look round, '
                .'pull forward, adjust, stop, look, again.', ['at_m' => round((float) $body['touches_at_m'], 2)])]),
            ...BayWarnings::of($input, $exercise, $vehicle, $pack),
        ]);
    }

    /** @return array<string, mixed> */
    private static function back(Values $input, Vehicle $vehicle, ReversingExercise $exercise, float $pace): array
    {
        $alongKerb = $exercise === ReversingExercise::AlongTheFarKerb;
        KerbRoomPresenter::without($input, ['radius', 'bay_width', 'bay_depth', 'aisle', 'space'], 'belongs to another exercise.');
        $distance = $input->distance('distance')?->inMetres() ?? 2.0 * $vehicle->length->inMetres();
        $gap = $input->distance('kerb_gap')?->inMetres() ?? 0.3;
        $angle = ($input->number('angle_deg') ?? 0.0) * M_PI / 180.0;
        $path = ['distance_m' => [], 'time_s' => [], 'x_m' => [], 'y_m' => [], 'heading_deg' => [], 'kerb_gap_m' => []];
        for ($i = 0; $i <= self::POINTS; $i++) {
            $gone = $distance * $i / self::POINTS;
            $path['distance_m'][] = round($gone, 3);
            $path['time_s'][] = round($gone / $pace, 3);
            $path['x_m'][] = round(-$gone, 3);
            $path['y_m'][] = 0.0;
            $path['heading_deg'][] = 0.0;
            $path['kerb_gap_m'][] = $alongKerb ? round(Reversing::gapAfterMetres($gap, $angle, $gone), 4) : null;
        }
        $touches = $alongKerb ? Reversing::touchesAtMetres($gap, $angle, $distance) : null;

        return [
            'length_m' => round($distance, 3),
            'time_s' => round($distance / $pace, 2),
            'end_gap_m' => $alongKerb ? round(Reversing::gapAfterMetres($gap, $angle, $distance), 4) : null,
            'touches_at_m' => $touches === null ? null : round($touches, 3),
            'correct_turns' => $alongKerb ? round(Reversing::correctingTurns($vehicle->chassis, $angle), 3) : null,
            'gap_by_angle' => $alongKerb ? array_map(static fn (int $degrees): array => [
                'angle_deg' => (float) $degrees, 'end_gap_m' => round(Reversing::gapAfterMetres($gap, $degrees * M_PI / 180.0, $distance), 4),
            ], [-3, -2, -1, 0, 1, 2, 3, 5]) : [],
            'path' => $path,
            'bay' => null, 'room' => null,
        ];
    }

    /** @return array<string, mixed> */
    private static function bay(Values $input, Chassis $chassis, float $pace): array
    {
        KerbRoomPresenter::without($input, ['distance', 'kerb_gap', 'angle_deg', 'space'], 'belongs to the kerb, not to the bay.');
        $radius = $input->distance('radius')?->inMetres() ?? BayWay::usualRadiusMetres($chassis);
        if ($radius < $chassis->minimumRadiusMetres()) {
            throw BadInput::field('radius_m', sprintf('is tighter than this vehicle steers: %.1f m at the least.', $chassis->minimumRadiusMetres()));
        }
        $bay = new BayWay(
            $chassis, $radius, $input->distance('bay_width')?->inMetres() ?? BayWay::WIDTH_M,
            $input->distance('bay_depth')?->inMetres() ?? BayWay::DEPTH_M,
        );
        if ($bay->sideMetres < 0.0) {
            throw BadInput::field('bay_width_m', 'is less than the width of the vehicle.');
        }
        $aisle = $input->distance('aisle')?->inMetres();
        $path = ['distance_m' => [], 'time_s' => [], 'x_m' => [], 'y_m' => [], 'heading_deg' => [], 'kerb_gap_m' => []];
        for ($i = 0; $i <= self::POINTS; $i++) {
            $gone = $bay->lengthMetres * $i / self::POINTS;
            $at = $bay->at($gone);
            $path['distance_m'][] = round($gone, 3);
            $path['time_s'][] = round($gone / $pace, 3);
            $path['x_m'][] = round($at['x'], 3);
            $path['y_m'][] = round($at['y'], 3);
            $path['heading_deg'][] = round($at['heading'], 2);
            $path['kerb_gap_m'][] = null;
        }

        return [
            'length_m' => round($bay->lengthMetres, 3),
            'time_s' => round($bay->lengthMetres / $pace, 2),
            'end_gap_m' => null,
            'touches_at_m' => null,
            'correct_turns' => null,
            'gap_by_angle' => [],
            'path' => $path,
            'bay' => [
                'radius_m' => round($radius, 3), 'past_m' => round($bay->pastMetres, 3), 'off_m' => round($bay->offMetres, 3),
                'aisle_needed_m' => round($bay->aisleMetres, 3),
                'side_room_m' => round($bay->sideMetres, 3), 'width_m' => $bay->widthMetres, 'depth_m' => $bay->depthMetres,
                'road_wheel_deg' => round($bay->roadWheelDegrees(), 2),
                'hand_wheel_turns' => round($bay->handWheelTurns(), 3), 'fits' => $aisle === null ? null : $bay->fits($aisle),
            ],
            'room' => null,
        ];
    }
}
