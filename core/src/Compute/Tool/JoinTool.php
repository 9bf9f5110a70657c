<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Answer;
use NobleTurn\Core\Compute\Effort;
use NobleTurn\Core\Compute\Field\ChoiceField;
use NobleTurn\Core\Compute\Field\FlagField;
use NobleTurn\Core\Compute\Field\NumberField;
use NobleTurn\Core\Compute\Field\ObjectField;
use NobleTurn\Core\Compute\Field\QuantityField;
use NobleTurn\Core\Compute\Kind;
use NobleTurn\Core\Compute\ReadsAScene;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\FastRoad\Intention;
use NobleTurn\Core\FastRoad\Joining;
use NobleTurn\Core\FastRoad\JoinPlan;
use NobleTurn\Core\FastRoad\Neighbour;
use NobleTurn\Core\FastRoad\Room;
use NobleTurn\Core\FastRoad\Slip;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Vehicle\GearChoice;
use NobleTurn\Core\Vehicle\Purpose;

/** Joining a fast road from a slip road. */
final class JoinTool implements ReadsAScene
{
    public function name(): string
    {
        return 'join';
    }

    public function about(): string
    {
        return 'Whether a slip road gives room to reach the main road’s speed, ahead of or behind whom to join and by where to decide it, glances and gear. '
            .'Places are metres to the end of the lane that joins.';
    }

    public function input(): Shape
    {
        return new Shape(
            CommonFields::packField(),
            (new QuantityField('slip_length', 'of the slip road, to the end of its lane', Kind::Distance, 20.0, 2000.0))->required(),
            (new QuantityField('entry_speed', 'at its beginning', Kind::Speed, 0.0, 40.0))->required(),
            (new QuantityField('main_speed', 'of the traffic to be joined', Kind::Speed, 5.0, 45.0))->required(),
            new QuantityField('limit', 'of the main road; default its traffic’s speed', Kind::Speed, 5.0, 45.0),
            CommonFields::gradientField(),
            CommonFields::surfaceField(),
            new QuantityField('limit_change', 'from the beginning to the sign that lifts the limit; default 0', Kind::Distance, 0.0, 2000.0),
            new QuantityField('view_from', 'where the main road can be looked into, to the end; default by the angle', Kind::Distance, 0.0, 2000.0),
            new NumberField('slip_angle_deg', 'between slip and main road; default 4', 0.5, 60.0),
            new QuantityField('solid_line', 'a solid line ends so far before the end; default no solid line', Kind::Distance, 0.0, 2000.0),
            NeighboursField::field(
                'on the main road, as seen where the choice begins',
                ChoiceField::of('intends', 'what it seems to be about to do; default stays', Intention::class),
            ),
            new ObjectField('leader', 'the car ahead of us on the slip, as seen from its beginning', new Shape(
                (new QuantityField('distance', 'front bumper to front bumper', Kind::Distance, 5.0, 500.0))->required(),
                (new QuantityField('speed', 'its own', Kind::Speed, 0.0, 45.0))->required(),
            )),
            new QuantityField('gap', 'to keep where we join; default half the gap of the pack, opened again after', Kind::Duration, 0.3, 10.0),
            new NumberField('gear', 'on the slip; default the one that pulls', 1.0, 16.0),
            VehicleField::field(),
            PracticeField::field(),
            new FlagField('leaving_across', 'others leave across our lane'),
        );
    }

    public function output(): array
    {
        return JoinPresenter::schema();
    }

    public function effort(Values $input): float
    {
        return Effort::QUICK + 150.0 * count($input->objects('vehicles'));
    }

    public function scene(Values $input): Joining
    {
        return self::read($input, CommonFields::pack($input));
    }

    public function answer(Values $input): Answer
    {
        $pack = CommonFields::pack($input);
        $plan = self::planned($input);
        $joining = $plan->joining;

        return new Answer(
            $pack->code(), $pack->version(), JoinPresenter::body($plan), JoinPresenter::assumptions($input, $joining, $pack),
            JoinPresenter::warnings($plan, $input->flag('leaving_across') ?? false, $pack),
        );
    }

    /** @throws BadInput where fields contradict each other */
    public static function planned(Values $input): JoinPlan
    {
        $pack = CommonFields::pack($input);

        return new JoinPlan(self::read($input, $pack), $pack, self::leader($input));
    }

    private static function leader(Values $input): ?Neighbour
    {
        $leader = $input->object('leader');

        return $leader === null ? null : new Neighbour(
            'the car ahead', $leader->distance('distance')?->inMetres() ?? 0.0, $leader->speed('speed')?->inMetresPerSecond() ?? 0.0,
        );
    }

    private static function read(Values $input, RulePack $pack): Joining
    {
        $length = $input->distance('slip_length')?->inMetres() ?? 0.0;
        $entry = $input->speed('entry_speed') ?? throw BadInput::field('entry_speed_mps', 'is missing.');
        $main = $input->speed('main_speed') ?? throw BadInput::field('main_speed_mps', 'is missing.');
        $limit = $input->speed('limit') ?? $main;
        $vehicle = VehicleField::read($input);
        $change = $input->distance('limit_change')?->inMetres() ?? 0.0;
        foreach (['limit_change' => $change, 'view_from' => $input->distance('view_from')?->inMetres() ?? 0.0,
            'solid_line' => $input->distance('solid_line')?->inMetres() ?? 0.0] as $field => $metres) {
            if ($metres > $length) {
                throw BadInput::field("{$field}_m", 'must not exceed the length of the slip road.');
            }
        }
        $gear = ArmsReader::whole($input, 'gear') ?? GearChoice::for($vehicle, Purpose::SlipRoad, $entry, CommonFields::gradient($input))->gear;
        if ($gear > $vehicle->gearbox->topGear()) {
            throw BadInput::field('gear', "must be one of the {$vehicle->gearbox->topGear()} this vehicle has.");
        }
        if ($entry->inMetresPerSecond() > $vehicle->gearbox->metresPerSecondAt($vehicle->engine->redLineRpm, $gear)) {
            throw BadInput::field('gear', 'would turn past the red line at the entry speed.');
        }
        // Where a line is solid to the end there is no place to join: the reserve gives way.
        $slip = new Slip(
            $length, CommonFields::gradient($input), $change,
            $input->distance('view_from')?->inMetres() ?? Slip::viewMetresByAngle($input->number('slip_angle_deg') ?? JoinPresenter::ANGLE, $length),
            $input->distance('solid_line')?->inMetres() ?? $length,
            PracticeField::read($input, $pack)->answer('joining') === 'whole-slip',
        );
        $gap = $input->duration('gap')?->inSeconds() ?? $pack->followingGap(CommonFields::surface($input))->inSeconds() / 2.0;

        return new Joining(
            $slip, $vehicle, $gear, $entry->inMetresPerSecond(), $main->inMetresPerSecond(),
            max($limit->inMetresPerSecond(), $main->inMetresPerSecond()), new Room($gap, $vehicle->length->inMetres()), NeighboursField::read($input,
                otherwise: $input->flag('leaving_across') === true ? Intention::Leaves : Intention::Stays),
        );
    }
}
