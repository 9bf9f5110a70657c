<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Answer;
use NobleTurn\Core\Compute\Field\ChoiceField;
use NobleTurn\Core\Compute\Field\NumberField;
use NobleTurn\Core\Compute\Field\QuantityField;
use NobleTurn\Core\Compute\Kind;
use NobleTurn\Core\Compute\QuickAnswer;
use NobleTurn\Core\Compute\ReadsAScene;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\FastRoad\LeavePlan;
use NobleTurn\Core\FastRoad\Leaving;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Plan\Warning;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Routine\Wording;
use NobleTurn\Core\Rules\Assumption;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\Source;
use NobleTurn\Core\Trade\Side;
use NobleTurn\Core\Trade\Surface;
use NobleTurn\Core\Vehicle\Handling;

/** Leaving a fast road by a slip road. */
final class LeaveTool implements ReadsAScene
{
    use QuickAnswer;

    /** Who comes from a road of this speed, 50 mph, and goes down to this share of it feels slower than they are (assumed). */
    private const FAST_MPS = 22.35;

    private const MUCH_SLOWER = 0.8;

    public function name(): string
    {
        return 'leave';
    }

    public function about(): string
    {
        return 'Signs, signal, brake, lane and gear on leaving by a slip road, with places and times. Places are metres to the beginning of the slip road, '
            .'negative on it.';
    }

    public function input(): Shape
    {
        return new Shape(
            CommonFields::packField(),
            (new QuantityField('main_speed', 'kept until on the slip road', Kind::Speed, 5.0, 45.0))->required(),
            (new QuantityField('slip_length', 'of the slip road, to the line at its end', Kind::Distance, 20.0, 2000.0))->required(),
            new QuantityField('end_speed', 'at its end; default a crawl of 2 m/s', Kind::Speed, 0.0, 45.0),
            CommonFields::gradientField(),
            CommonFields::surfaceField(),
            new QuantityField('bend_radius', 'of a bend on the slip road', Kind::Distance, 8.0, 1000.0),
            new QuantityField('bend_from', 'where it begins, from the beginning of the slip road; default half-way', Kind::Distance, 0.0, 2000.0),
            new QuantityField('bend_length', 'default 40 m', Kind::Distance, 1.0, 1000.0),
            ChoiceField::of('next_turn', 'at the end of the slip road', Side::class),
            new NumberField('lanes', 'of the slip road; default 1', 1.0, 4.0),
            new QuantityField('lower_limit', 'where a lower limit begins, from the beginning of the slip road', Kind::Distance, 0.0, 2000.0),
            VehicleField::field(),
            PracticeField::field(),
        );
    }

    public function output(): array
    {
        return LeavePresenter::schema();
    }

    public function scene(Values $input): Leaving
    {
        return self::read($input);
    }

    /** @throws BadInput where fields contradict each other */
    public static function planned(Values $input): LeavePlan
    {
        return self::plan($input, self::read($input), CommonFields::pack($input));
    }

    public function answer(Values $input): Answer
    {
        $pack = CommonFields::pack($input);
        $leaving = self::read($input);
        $plan = self::plan($input, $leaving, $pack);

        return new Answer($pack->code(), $pack->version(), LeavePresenter::body($plan, $plan->events()), [
            new Assumption(Wording::part($pack, 'straight on the {slip road} before the brake'), Leaving::SETTLE_S, 's', Source::assumed()),
            new Assumption('comfortable in a bend', $leaving->handling->sidewaysMps2, 'm/s2', Source::assumed()),
            new Assumption(
                'harsh from', round($leaving->harshFromMps2(), 2), 'm/s2',
                $leaving->handling->brakingShare < 1.0 || CommonFields::surface($input) !== Surface::Dry ? Source::assumed() : Source::commonPractice(),
            ),
            new Assumption('the hardest braking that holds', round($leaving->hardestMps2, 2), 'm/s2', Source::assumed()),
            new Assumption('markers', $pack->exitSigns()->inWords(), '', $pack->exitSigns()->source),
            ...(self::feelsLow($leaving) ? [new Assumption('speed feels low after', self::FAST_MPS, 'm/s', Source::assumed()),
                new Assumption('and down to', self::MUCH_SLOWER, 'of it', Source::assumed())] : []),
            ...CommonFields::defaults(
                $input, CommonFields::default('end_speed', round($leaving->endMps, 2), 'm/s'), CommonFields::default('gradient', 0.0, 'rise over run'),
                CommonFields::default('surface', 'dry'), CommonFields::default('lanes', 1),
            ),
        ], self::warnings($plan, $input, $pack));
    }

    private static function read(Values $input): Leaving
    {
        $main = ($input->speed('main_speed') ?? throw BadInput::field('main_speed_mps', 'is missing.'))->inMetresPerSecond();
        $end = $input->speed('end_speed')?->inMetresPerSecond() ?? 2.0;
        $length = $input->distance('slip_length')?->inMetres() ?? 0.0;
        $radius = $input->distance('bend_radius')?->inMetres();
        $bend = $input->distance('bend_from')?->inMetres() ?? ($radius === null ? null : $length / 2.0);
        if ($end > $main) {
            throw BadInput::field('end_speed_mps', 'must not exceed the speed of the main road: are the two swapped?');
        }
        foreach (['bend_from' => $bend, 'lower_limit' => $input->distance('lower_limit')?->inMetres()] as $field => $metres) {
            if ($metres !== null && $metres > $length) {
                throw BadInput::field("{$field}_m", 'must not exceed the length of the slip road.');
            }
        }
        if ($radius === null && $input->has('bend_from')) {
            throw BadInput::field('bend_radius_m', 'is missing: a bend has a place and a radius.');
        }

        return new Leaving($main, $length, $end, $bend, $input->distance('bend_length')?->inMetres() ?? 40.0, $radius, CommonFields::surface($input),
            Handling::of(VehicleField::read($input)), CommonFields::gradient($input));
    }

    private static function plan(Values $input, Leaving $leaving, RulePack $pack): LeavePlan
    {
        return new LeavePlan(
            $leaving, $pack, PracticeField::read($input, $pack), VehicleField::read($input), CommonFields::gradient($input),
            ArmsReader::whole($input, 'lanes') ?? 1, $input->choice('next_turn', Side::class), $input->distance('lower_limit')?->inMetres(),
        );
    }

    /** Whether somebody comes from a fast road and has a good part of its speed to lose. */
    private static function feelsLow(Leaving $leaving): bool
    {
        return $leaving->mainMps >= self::FAST_MPS && $leaving->endMps <= self::MUCH_SLOWER * $leaving->mainMps;
    }

    /** @return list<Warning> */
    private static function warnings(LeavePlan $plan, Values $input, RulePack $pack): array
    {
        $leaving = $plan->leaving;
        $words = static fn (float $speed): string => $pack->speedUnit()->words(Speed::ofMetresPerSecond($speed));
        $found = match ($leaving->braking()) {
            'harsh' => [new Warning('harsh-braking', $plan->message())], 'firm' => [new Warning('firm-braking', $plan->message())], default => [],
        };
        $bend = $leaving->bendMps();
        if ($bend !== null && $bend < $leaving->mainMps) {
            $found[] = new Warning('bend', "The bend takes {$words($bend)}: that speed and its gear before it, not in it.");
        }
        $natural = $leaving->meanMps2() + 9.81 * CommonFields::gradient($input)->inRiseOverRun() * -1.0;
        if ($leaving->meanMps2() > 0.0 && $natural <= 0.0) {
            $found[] = new Warning('no-brake-needed', 'The hill alone slows the car enough: the brake only to show it.');
        }
        if (self::feelsLow($leaving)) {
            $found[] = new Warning('speed-feels-low', 'After a while at speed everything slower feels like walking: read the speed, do not feel it.');
        }

        return $found;
    }
}
