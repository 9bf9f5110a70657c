<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Answer;
use NobleTurn\Core\Compute\Field\ChoiceField;
use NobleTurn\Core\Compute\Field\QuantityField;
use NobleTurn\Core\Compute\Kind;
use NobleTurn\Core\Compute\Out;
use NobleTurn\Core\Compute\QuickAnswer;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Tool;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Judgement\Stopping;
use NobleTurn\Core\Judgement\StoppingModel;
use NobleTurn\Core\Plan\Warning;
use NobleTurn\Core\Rules\Assumption;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\Source;
use NobleTurn\Core\Trade\Surface;

/** Thinking, braking and total distance to a stop. */
final class StoppingTool implements Tool
{
    use QuickAnswer;

    public function name(): string
    {
        return 'stopping';
    }

    public function about(): string
    {
        return 'Distance and time to stop: thinking and braking, by surface and gradient.';
    }

    public function input(): Shape
    {
        return new Shape(
            CommonFields::packField(),
            (new QuantityField('speed', 'speed at the start', Kind::Speed, 0.0, 70.0))->required(),
            CommonFields::surfaceField(),
            CommonFields::gradientField(),
            new ChoiceField(
                'model',
                'highway-code: 1 ft a mph + mph^2/20 ft; aashto: 2.5 s and 3.4 m/s2; own: reaction and decel given; default as the pack teaches it, or own '
                    .'where both are given',
                ['highway-code', 'aashto', 'own'],
            ),
            new QuantityField('seen', 'how far ahead what we stop for stands when it is seen', Kind::Distance, 0.0, 1000.0),
            new QuantityField('reaction', 'own reaction time', Kind::Duration, 0.0, 10.0),
            new QuantityField('decel', 'own deceleration on a dry level road', Kind::Acceleration, 0.1, 12.0),
            VehicleField::field(),
        );
    }

    public function output(): array
    {
        return [
            'thinking_m' => Out::number('travelled before the brakes act: while reacting, and of a long vehicle until the air is there'),
            'braking_m' => Out::number('travelled while braking; null where the hill pulls harder than the brakes hold', nullable: true),
            'total_m' => Out::number('both; null where the car does not stop', nullable: true),
            'total_s' => Out::number('reaction and braking time', nullable: true),
            ...array_map(
                static fn (array $schema): array => ['type' => ['number', 'null']] + $schema,
                CommonFields::headlineSpeedSchema('reached_at', 'so fast what was seen is reached; 0 where one stops before it, null where it was not said'),
            ),
            'decel_mps2' => Out::number('mean deceleration with surface and gradient; negative where one gains speed'),
            'our_length_m' => Out::number('of our vehicle'),
        ];
    }

    public function answer(Values $input): Answer
    {
        $pack = CommonFields::pack($input);
        $surface = CommonFields::surface($input);
        $model = self::model($input, $pack);
        $speed = $input->speed('speed') ?? throw BadInput::field('speed_mps', 'is missing.');
        $stopping = Stopping::from($speed, $model, $surface, CommonFields::gradient($input));
        $seen = $input->distance('seen');
        $round = static fn (?float $value): ?float => $value === null ? null : round($value, 3);

        return new Answer($pack->code(), $pack->version(), [
            'thinking_m' => round($stopping->thinkingMetres, 3),
            'braking_m' => $round($stopping->brakingMetres),
            'total_m' => $round($stopping->totalMetres()),
            'total_s' => $round($stopping->totalSeconds()),
            ...($seen === null
                ? ['reached_at_mps' => null, "reached_at_{$pack->speedUnit()->value}" => null]
                : CommonFields::headlineSpeed('reached_at', $stopping->speedAfter($seen->inMetres()), $pack)),
            'decel_mps2' => round($stopping->decelerationMps2, 4),
            'our_length_m' => VehicleField::read($input)->length->inMetres(),
        ], [
            new Assumption('model', $model->name, '', $model->source),
            new Assumption('reaction time', round($model->reactionSeconds, 3), 's', $model->source),
            new Assumption('deceleration, dry and level', round($model->decelerationMps2, 3), 'm/s2', $model->source),
            ...($surface === Surface::Dry ? [] : [new Assumption('braking distance multiplied by', Stopping::factor($surface), '', Source::assumed())]),
            ...CommonFields::defaults($input, CommonFields::default('surface', 'dry'), CommonFields::default('gradient', 0.0, 'rise over run')),
        ], $stopping->brakingMetres === null
            ? [new Warning('does-not-stop', 'On this hill and surface the brakes do not hold the car.')] : []);
    }

    private static function model(Values $input, RulePack $pack): StoppingModel
    {
        $reaction = $input->duration('reaction');
        $decel = $input->acceleration('decel');
        $asked = $input->text('model') ?? ($reaction !== null || $decel !== null ? 'own' : null);
        if ($asked !== 'own' && ($reaction !== null || $decel !== null)) {
            throw BadInput::field($reaction !== null ? 'reaction_s' : 'decel_mps2', "must not be given beside model {$asked}.");
        }

        $vehicle = VehicleField::read($input);

        return match ($asked) {
            'aashto' => StoppingModel::aashto()->inVehicle($vehicle),
            // What somebody measured is of the vehicle they measured it in.
            'own' => StoppingModel::own(
                $reaction ?? throw BadInput::field('reaction_s', 'is missing: model own needs it.'),
                $decel ?? throw BadInput::field('decel_mps2', 'is missing: model own needs it.'),
            ),
            'highway-code' => StoppingModel::highwayCode()->inVehicle($vehicle),
            default => StoppingModel::in($vehicle, $pack),
        };
    }
}
