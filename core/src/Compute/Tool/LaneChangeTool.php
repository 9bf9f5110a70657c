<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Answer;
use NobleTurn\Core\Compute\Effort;
use NobleTurn\Core\Compute\Field\ChoiceField;
use NobleTurn\Core\Compute\Field\QuantityField;
use NobleTurn\Core\Compute\Kind;
use NobleTurn\Core\Compute\Out;
use NobleTurn\Core\Compute\ReadsAScene;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\FastRoad\Change;
use NobleTurn\Core\FastRoad\LaneChange;
use NobleTurn\Core\FastRoad\Neighbour;
use NobleTurn\Core\FastRoad\Room;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Rules\Assumption;
use NobleTurn\Core\Rules\Practice;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\Source;
use NobleTurn\Core\Trade\Side;
use NobleTurn\Core\Vehicle\GearChoice;
use NobleTurn\Core\Vehicle\Performance;
use NobleTurn\Core\Vehicle\Purpose;
use NobleTurn\Core\Vehicle\Vehicle;

/** Into which gap, faster or easier, with the checks in the order of pack and practice. */
final class LaneChangeTool implements ReadsAScene
{
    /** Of what the car has, used without hurry (assumed). */
    private const SHARE = 0.6;

    /** Seen as passing: faster by more than this, and no further behind, m/s and m (assumed). */
    private const PASSES_BY = 0.5;

    private const PASSES_WITHIN = 60.0;

    /** A lane worth going into is driven in for as long as the change in and the change out take together with one more, s (assumed). */
    private const LONG_ENOUGH_S = 3.0 * LaneChange::WHOLE_S;

    private const KINDS = ['faster-ahead', 'easier-behind', 'wait', 'stay'];

    public function name(): string
    {
        return 'lane-change';
    }

    public function about(): string
    {
        return 'Faster into the gap ahead, easier into the one behind, or wait: acceleration, time, way and gaps; the order of checks; where the lane ends '
            .'or the next junction asks for it.';
    }

    public function input(): Shape
    {
        return new Shape(
            CommonFields::packField(),
            new QuantityField('speed', 'ours; default the limit', Kind::Speed, 1.0, 45.0),
            (new QuantityField('limit', 'of the road', Kind::Speed, 2.0, 45.0))->required(),
            ChoiceField::of('to', 'lane wanted', Side::class)->required(),
            NeighboursField::field(
                'in the lane wanted and in ours', new ChoiceField('lane', 'which lane it is in; default the one wanted; own behind us '
                    .'follows us', ['left', 'right', 'own', 'beyond']),
            ),
            new QuantityField('room', 'until our lane ends', Kind::Distance, 5.0, 5000.0),
            new QuantityField('junction', 'to the junction for which the lane is needed', Kind::Distance, 5.0, 5000.0),
            new QuantityField('second_junction', 'from that one to a second, whose lane is wanted', Kind::Distance, 1.0, 5000.0),
            BusHours::timeField(),
            new QuantityField(
                'goes_on', 'of a lane for buses outside its hours: how far it goes on before it ends or is stopped in', Kind::Distance, 5.0, 5000.0,
            ),
            new QuantityField('gap', 'to keep once in; default half the gap of the pack, opened again after', Kind::Duration, 0.3, 10.0),
            CommonFields::gradientField(),
            CommonFields::surfaceField(),
            VehicleField::field(),
            PracticeField::field(),
            ...BusHours::fields(),
        );
    }

    public function output(): array
    {
        $option = Out::object([
            'kind' => ['enum' => self::KINDS], 'feasible' => Out::flag('room everywhere, in time'),
            'accel_mps2' => Out::number('negative: easing off'), 'speed_mps' => Out::number('when we move over'),
            'time_s' => Out::number('until we move over'), 'metres_m' => Out::number('until we are in'),
            'spare_m' => Out::number('room in hand to whoever has least; null where nobody is near', nullable: true),
            'gap_ahead_s' => Out::number('to the next one ahead; null where none is', nullable: true),
            'gap_behind_s' => Out::number('the next one behind to us; null where none is', nullable: true),
            'short_mps' => Out::number('below those we join when we move over'),
            'in_room' => Out::flag('done where the lane still goes on'),
            'motion' => Out::object([
                'time_s' => Out::list(['type' => 'number'], 'from now'),
                'ours_m' => Out::list(['type' => 'number'], 'our front, from where it is now'),
                'over' => Out::list(['type' => 'number'], 'share of the way into the other lane, 0 to 1'),
            ]),
            'cost' => Out::number('effort and patience on one scale'),
        ]);

        return [
            'options' => Out::list($option),
            'best' => ['type' => ['string', 'null'], 'enum' => [...self::KINDS, null]],
            'message' => Out::text('sentence for the user'),
            'checks' => Out::list(
                Out::object(['at' => Out::text('where the eyes go, or signal, or move'), 'time_s' => Out::number('from now')]),
                'in the order of pack and practice',
            ),
            'being_passed_by' => Out::list(['type' => 'string'], 'who is passing in the lane wanted'),
            'lane_by_m' => Out::number('where a lane change at this speed has to begin for the junction; null where none was given', nullable: true),
            'junctions' => [
                'type' => ['string', 'null'], 'enum' => ['room-between', 'before-the-first', null],
                'description' => 'whether the second junction’s lane can wait until after the first',
            ],
        ];
    }

    public function effort(Values $input): float
    {
        return Effort::QUICK + 80.0 * count($input->objects('vehicles'));
    }

    public function scene(Values $input): LaneChange
    {
        return self::read(
            $input, CommonFields::pack($input), $input->choice('to', Side::class) ?? throw BadInput::field('to', 'is missing.'),
            VehicleField::read($input),
        );
    }

    public function answer(Values $input): Answer
    {
        $pack = CommonFields::pack($input);
        $practice = PracticeField::read($input, $pack);
        $side = $input->choice('to', Side::class) ?? throw BadInput::field('to', 'is missing.');
        $closed = BusHours::running($input, BusHours::time($input));
        $vehicle = VehicleField::read($input);
        $change = self::read($input, $pack, $side, $vehicle);
        $options = $change->options();
        $unused = ! $closed && ! $change->isNeeded() && self::leavesAlone($input, $practice, $change);
        $best = $closed ? null : LaneChange::choose($unused ? array_values(array_filter($options, self::stays(...))) : $options);
        $passing = self::passing($change);
        $junction = $input->distance('junction')?->inMetres();
        $takes = LaneChange::WHOLE_S * $change->speedMps;
        $second = $input->distance('second_junction')?->inMetres();

        return new Answer($pack->code(), $pack->version(), [
            'options' => array_map(LaneChangePresenter::option(...), $options),
            'best' => $best?->kind,
            'message' => LaneChangePresenter::message($best, $closed, $junction, $takes, $pack, $vehicle->isLong()),
            'checks' => LaneChangePresenter::checks($side, $practice, $best, $passing),
            'being_passed_by' => array_map(static fn (Neighbour $other): string => $other->name, $passing),
            'lane_by_m' => $junction === null ? null : round($takes, 1),
            'junctions' => $second === null ? null : ($second >= $takes ? 'room-between' : 'before-the-first'),
        ], self::assumptions($input, $pack, $vehicle), [
            ...LaneChangePresenter::warnings($best, $closed, $junction, $second, $takes, $pack),
            ...($unused ? [LaneChangePresenter::leftAlone($practice, $pack, self::LONG_ENOUGH_S * $change->speedMps)] : []),
            ...LaneChangePresenter::others($change, $best, $passing, $practice),
            ...NeighboursField::meeting($change->target, $best === null ? LaneChange::WHOLE_S : $best->seconds + LaneChange::MOVE_S),
        ]);
    }

    private static function read(Values $input, RulePack $pack, Side $side, Vehicle $vehicle): LaneChange
    {
        $limit = $input->speed('limit') ?? throw BadInput::field('limit_mps', 'is missing.');
        $speed = $input->speed('speed') ?? $limit;
        if ($speed->inMetresPerSecond() > $limit->inMetresPerSecond() + 0.5) {
            throw BadInput::field('speed_mps', 'must not exceed the limit: are the two swapped?');
        }
        $gradient = CommonFields::gradient($input);
        $gear = GearChoice::for($vehicle, Purpose::Pull, $speed, $gradient)->gear;
        $available = max(0.0, self::SHARE * (new Performance($vehicle))->acceleration($speed, $gear, $gradient));
        $gap = $input->duration('gap')?->inSeconds() ?? $pack->followingGap(CommonFields::surface($input))->inSeconds() / 2.0;
        $within = min($input->distance('room')?->inMetres() ?? INF, $input->distance('junction')?->inMetres() ?? INF);

        return new LaneChange(
            $speed->inMetresPerSecond(), $limit->inMetresPerSecond(), $available, new Room($gap, $vehicle->length->inMetres()),
            NeighboursField::read($input, static fn (Values $one): bool => ($one->text('lane') ?? $side->value) === $side->value),
            NeighboursField::read($input, static fn (Values $one): bool => $one->text('lane') === 'own'), $within,
            NeighboursField::read($input, static fn (Values $one): bool => $one->text('lane') === 'beyond'),
        );
    }

    /** Whether a lane for buses, its hours over, is better left as it is; a lane that a turn needs is taken by everybody. */
    private static function leavesAlone(Values $input, Practice $practice, LaneChange $change): bool
    {
        $goesOn = $input->distance('goes_on')?->inMetres();

        return BusHours::over($input, BusHours::time($input)) && match ($practice->answer('bus_lane')) {
            'left-alone' => true,
            'any-lane' => false,
            default => $goesOn !== null && $goesOn < self::LONG_ENOUGH_S * $change->speedMps,
        };
    }

    private static function stays(Change $option): bool
    {
        return $option->kind === 'stay';
    }

    /** @return list<Neighbour> faster than we are and about to come by in the lane wanted */
    private static function passing(LaneChange $change): array
    {
        return array_values(
            array_filter(
                $change->target,
                static fn (Neighbour $other): bool => $other->speedMps > $change->speedMps + self::PASSES_BY
                    && $other->metres <= 0.0
                    && $other->metres > -self::PASSES_WITHIN,
            ),
        );
    }

    /** @return list<Assumption> */
    private static function assumptions(Values $input, RulePack $pack, Vehicle $vehicle): array
    {
        return [
            new Assumption('checks and signal before the move', LaneChange::CHECKS_S, 's', Source::assumed()),
            new Assumption('the move itself', LaneChange::MOVE_S, 's', Source::assumed()),
            new Assumption('acceleration used', self::SHARE, 'of what the car has', Source::assumed()),
            new Assumption('others keep their speed', true, '', Source::assumed()),
            ...CommonFields::defaults(
                $input, CommonFields::default('gap', $pack->followingGap(CommonFields::surface($input))->inSeconds() / 2.0, 's'),
                CommonFields::default('gradient', 0.0, 'rise over run'), CommonFields::default('surface', 'dry'),
                CommonFields::default('vehicle', VehicleField::named($vehicle, $pack)),
            ),
        ];
    }
}
