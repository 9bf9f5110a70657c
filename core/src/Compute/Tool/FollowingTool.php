<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Answer;
use NobleTurn\Core\Compute\Field\EitherField;
use NobleTurn\Core\Compute\Field\QuantityField;
use NobleTurn\Core\Compute\Kind;
use NobleTurn\Core\Compute\Out;
use NobleTurn\Core\Compute\QuickAnswer;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Tool;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Judgement\Following;
use NobleTurn\Core\Judgement\WantedGap;
use NobleTurn\Core\Plan\Warning;
use NobleTurn\Core\Quantity\Distance;
use NobleTurn\Core\Quantity\Duration;
use NobleTurn\Core\Rules\Assumption;
use NobleTurn\Core\Rules\Source;
use NobleTurn\Core\Trade\Surface;

/** A counted gap held against the one wanted. */
final class FollowingTool implements Tool
{
    use QuickAnswer;

    private const CAR_LENGTH_M = 4.5;

    public function name(): string
    {
        return 'following';
    }

    public function about(): string
    {
        return 'The gap to the vehicle ahead against the gap wanted, and how long easing off takes to open it.';
    }

    public function input(): Shape
    {
        return new Shape(
            CommonFields::packField(),
            (new QuantityField('speed', 'ours', Kind::Speed, 0.5, 70.0))->required(),
            CommonFields::surfaceField(),
            (new EitherField('gap', new QuantityField('gap', 'measured gap as time', Kind::Duration, 0.0, 60.0), new QuantityField('gap',
                'measured gap as distance', Kind::Distance, 0.0, 4000.0)))
                ->required(),
            new QuantityField('leader_speed', 'of the vehicle ahead, as of one that has dropped in; default ours', Kind::Speed, 0.0, 70.0),
            VehicleField::field(),
            new QuantityField('vehicle_length', 'length counted as one car; default 4.5 m', Kind::Distance, 1.0, 25.0),
        );
    }

    public function output(): array
    {
        return [
            'gap_s' => Out::number('the gap as time'),
            'gap_m' => Out::number('the gap as distance at our speed'),
            'wanted_s' => Out::number('the gap wanted on this surface, in this vehicle'),
            'wanted_m' => Out::number('the same as distance'),
            'car_lengths' => Out::number('the measured gap in car lengths'),
            'short_by_s' => Out::number('how much is missing; 0 if the gap is enough'),
            'speed_after_mps' => Out::number('ours when the gap is open again'),
            'least_gap_m' => Out::number('the nearest it comes meanwhile; negative where easing off alone would not do'),
            'seconds_to_open_gap' => Out::number(
                'easing off until the gap is enough at our own speed of that moment; 0 if it is, null where easing off alone does not do', nullable: true,
            ),
            'our_length_m' => Out::number('of our vehicle'),
        ];
    }

    /** @return list<Warning> */
    private static function warnings(Following $following): array
    {
        $found = [];
        if (! $following->opensBeforeStanding) {
            $found[] = new Warning(
                'slower-than-standing',
                'Easing off alone does not open the gap before our own car would stand: wait until the leader is further ahead.',
            );
        }
        if ($following->leastMetres < 0.0) {
            $found[] = new Warning('brake', 'Easing off alone does not do here: brake, mirror first.');
        }

        return $found;
    }

    public function answer(Values $input): Answer
    {
        $pack = CommonFields::pack($input);
        $surface = CommonFields::surface($input);
        $speed = $input->speed('speed') ?? throw BadInput::field('speed_mps', 'is missing.');
        $length = $input->distance('vehicle_length') ?? Distance::ofMetres(self::CAR_LENGTH_M);
        $gap = $input->duration('gap');
        if ($gap === null) {
            $metres = $input->distance('gap') ?? throw BadInput::field('gap_s', 'is missing (or gap_m, gap_yd, gap_ft).');
            $gap = Duration::ofSeconds($metres->inMetres() / $speed->inMetresPerSecond());
        }
        $vehicle = VehicleField::read($input);
        $wanted = WantedGap::of($pack, $surface, $vehicle, $speed);
        $following = Following::at($speed, $gap, Duration::ofSeconds($wanted->seconds), $length, $input->speed('leader_speed'));

        return new Answer($pack->code(), $pack->version(), [
            'gap_s' => round($following->gapSeconds, 3),
            'gap_m' => round($following->gapMetres, 2),
            'wanted_s' => round($following->wantedSeconds, 3),
            'wanted_m' => round($following->wantedMetres, 2),
            'car_lengths' => round($following->carLengths, 2),
            'short_by_s' => round($following->shortBySeconds, 3),
            'speed_after_mps' => round($following->afterMps, 3),
            'least_gap_m' => round($following->leastMetres, 2),
            'seconds_to_open_gap' => $following->secondsToOpen === null ? null : round($following->secondsToOpen, 2),
            'our_length_m' => $vehicle->length->inMetres(),
        ], [
            new Assumption('gap wanted', round($following->wantedSeconds, 2), 's', $wanted->source),
            new Assumption('easing off', Following::EASING_OFF, 'm/s2', Source::assumed()),
            new Assumption('leader keeps a steady speed', true, '', Source::assumed()),
            ...CommonFields::defaults(
                $input, CommonFields::default('surface', Surface::Dry->value), CommonFields::default('vehicle_length', self::CAR_LENGTH_M, 'm'),
            ),
        ], self::warnings($following));
    }
}
