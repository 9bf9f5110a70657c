<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Answer;
use NobleTurn\Core\Compute\Field\ChoiceField;
use NobleTurn\Core\Compute\Field\ListField;
use NobleTurn\Core\Compute\Field\NumberField;
use NobleTurn\Core\Compute\Field\ObjectField;
use NobleTurn\Core\Compute\Field\QuantityField;
use NobleTurn\Core\Compute\Field\TextField;
use NobleTurn\Core\Compute\Kind;
use NobleTurn\Core\Compute\QuickAnswer;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Tool;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Plan\Warning;
use NobleTurn\Core\Quantity\Gradient;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Routine\Wording;
use NobleTurn\Core\Rules\Assumption;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\Source;
use NobleTurn\Core\Vehicle\Body;
use NobleTurn\Core\Vehicle\FullGas;
use NobleTurn\Core\Vehicle\GearChoice;
use NobleTurn\Core\Vehicle\Performance;
use NobleTurn\Core\Vehicle\Purpose;
use NobleTurn\Core\Vehicle\RevMatch;
use NobleTurn\Core\Vehicle\RevRule;
use NobleTurn\Core\Vehicle\Vehicle;

/** Engine speed, gears and what they can do: tables, shifts, the gear for a purpose. */
final class EngineTool implements Tool
{
    use QuickAnswer;

    /** Faster than any car on a road, m/s (assumed). */
    private const FASTEST_MPS = 120.0;

    public function name(): string
    {
        return 'engine';
    }

    public function about(): string
    {
        return 'Engine speed and road speed in each gear, what a change of gear does to the revs, what each gear can still pull, and which gear suits a '
            .'purpose.';
    }

    public function input(): Shape
    {
        return new Shape(
            CommonFields::packField(),
            VehicleField::field(),
            new TextField('tyre', 'ISO marking such as 195/65R15; instead of the vehicle’s', 20),
            new NumberField('final_drive', 'final drive ratio; instead of the vehicle’s', 1.0, 20.0),
            new ListField('ratios', 'gear ratios, first gear first; instead of the vehicle’s', new NumberField('ratio', 'ratio', 0.2, 20.0), 16),
            new QuantityField('speed', 'road speed; instead of rpm', Kind::Speed, 0.0, 70.0),
            new NumberField('rpm', 'engine speed in the gear; instead of a speed', 0.0, 20000.0),
            new NumberField('gear', 'gear engaged, for rpm without a shift', 1.0, 16.0),
            new NumberField('from_gear', 'gear before the change', 1.0, 16.0),
            new NumberField('to_gear', 'gear after the change', 1.0, 16.0),
            CommonFields::gradientField(),
            new QuantityField('to_speed', 'accelerator right down up to this speed, from the road speed', Kind::Speed, 0.0, 70.0),
            ChoiceField::of('purpose', 'what the gear is for; default cruise', Purpose::class),
            new QuantityField(
                'rev_fall', 'in which two thirds of the revs above idle are gone, foot off and clutch down; default 1.2', Kind::Duration, 0.2, 10.0,
            ),
            new ObjectField('rev_fall_measured', 'the same by a watch; instead of rev_fall_s', new Shape(
                (new NumberField('from_rpm', 'when the watch starts', 500.0, 20000.0))->required(),
                (new NumberField('to_rpm', 'when it stops', 500.0, 20000.0))->required(),
                (new QuantityField('time', 'between them', Kind::Duration, 0.1, 20.0))->required(),
            )),
        );
    }

    public function output(): array
    {
        return EnginePresenter::schema();
    }

    public function answer(Values $input): Answer
    {
        $pack = CommonFields::pack($input);
        $vehicle = VehicleField::withGearbox($input);
        self::refuseUndrivable($vehicle, $input->object('vehicle')?->has('final_drive') === true ? 'vehicle.final_drive' : 'final_drive');
        [$from, $to] = [self::gear($input, 'from_gear', $vehicle), self::gear($input, 'to_gear', $vehicle)];
        $gear = self::gear($input, 'gear', $vehicle);
        if (($from === null) !== ($to === null)) {
            throw BadInput::field($from === null ? 'from_gear' : 'to_gear', 'is missing: a change has a gear before and a gear after.');
        }
        if ($from !== null && $gear !== null && $gear !== $from) {
            throw BadInput::field('gear', 'must be the gear before the change, or left out.');
        }
        $gear ??= $from;
        $gradient = CommonFields::gradient($input);
        $speed = self::speed($input, $vehicle, $gear);
        $performance = new Performance($vehicle);
        $gear ??= GearChoice::for($vehicle, Purpose::Cruise, $speed, $gradient)->gear;
        $before = $performance->rpm($speed, $gear);
        $after = $to === null ? null : $performance->rpm($speed, $to);
        $rule = $after === null ? null : RevRule::for($before, $after);
        $falls = self::falls($input, $vehicle);
        $choices = array_map(static fn (Purpose $purpose): GearChoice => GearChoice::for($vehicle, $purpose, $speed, $gradient), Purpose::cases());
        $wanted = $input->choice('purpose', Purpose::class) ?? Purpose::Cruise;
        $overRev = $performance->overRevs($speed, $gear) || ($to !== null && $performance->overRevs($speed, $to));

        return new Answer($pack->code(), $pack->version(), [
            ...CommonFields::headlineSpeed('speed', $speed->inMetresPerSecond(), $pack),
            'gear' => $gear,
            'rpm' => round($before, 1),
            'rpm_after_shift' => $after === null ? null : round($after, 1),
            'rev_change' => $after === null ? null : round($after - $before, 1),
            'over_rev' => $overRev,
            'labours' => $performance->labours($speed, $gear) || ($to !== null && $performance->labours($speed, $to)),
            'rule_of_thumb' => $rule === null ? null : [
                'at_rpm' => $rule->atRpm, 'low' => $rule->lowRpm, 'high' => $rule->highRpm, 'agrees' => $rule->agrees, 'message' => $rule->message,
            ],
            'rev_fall_s' => round($falls, 3),
            'changes' => EnginePresenter::changes($vehicle, $performance, $speed, $gear, $falls, $pack),
            'best_gear' => GearChoice::for($vehicle, $wanted, $speed, $gradient)->gear,
            'choices' => array_map(static fn (GearChoice $choice): array => [
                'purpose' => $choice->purpose->value, 'gear' => $choice->gear, 'accel_mps2' => round($choice->accelerationMps2, 3),
                'reason' => Wording::part($pack, $choice->reason),
            ], $choices),
            'run' => self::run($input, $vehicle, $speed, $gradient),
            'idle_rpm' => round($vehicle->engine->idleRpm, 1),
            'red_line_rpm' => round($vehicle->engine->redLineRpm, 1),
            'gears' => array_map(
                static fn (int $one): array => EnginePresenter::row($pack, $vehicle, $performance, $one, $speed, $gradient),
                range(1, $vehicle->gearbox->topGear()),
            ),
        ], self::assumptions($vehicle, $input, $wanted, $falls, $pack), $overRev
            ? [new Warning('over-rev', 'The engine would turn above its red line: brake first, or choose a higher gear.')] : []);
    }

    /** @throws BadInput where the watch cannot have shown it */
    private static function falls(Values $input, Vehicle $vehicle): float
    {
        $measured = $input->object('rev_fall_measured');
        if ($measured === null) {
            return $input->duration('rev_fall')?->inSeconds() ?? RevMatch::FALLS_S;
        }
        if ($input->has('rev_fall')) {
            throw BadInput::field('rev_fall_measured', 'must not be given beside rev_fall_s.');
        }
        [$from, $to, $idle] = [$measured->number('from_rpm') ?? 0.0, $measured->number('to_rpm') ?? 0.0, $vehicle->engine->idleRpm];
        // Near idle they hardly move, and a watch says nothing.
        if ($to < $idle + RevMatch::NEAR) {
            throw BadInput::field('rev_fall_measured.to_rpm', sprintf('must lie well above idle: at least %.0f.', $idle + RevMatch::NEAR));
        }
        if ($from <= $to) {
            throw BadInput::field('rev_fall_measured.from_rpm', 'must be more than to_rpm: the revs fall.');
        }

        return RevMatch::measured($from, $to, $measured->duration('time')?->inSeconds() ?? 1.0, $idle);
    }

    /** @return ?array<string, mixed> */
    private static function run(Values $input, Vehicle $vehicle, Speed $from, Gradient $gradient): ?array
    {
        $to = $input->speed('to_speed');
        if ($to === null) {
            return null;
        }
        if ($to->inMetresPerSecond() <= $from->inMetresPerSecond()) {
            throw BadInput::field('to_speed_mps', 'must be more than the speed it starts from.');
        }
        $run = FullGas::run(
            $vehicle, $from, $to, $gradient, self::gear($input, 'gear', $vehicle) ?? GearChoice::for($vehicle, Purpose::Pull, $from, $gradient)->gear,
        );

        return [
            'reached' => $run->reached, 'time_s' => round($run->seconds, 2), 'distance_m' => round($run->metres, 1),
            'speed_mps' => round($run->speedMps, 3), 'gear' => $run->gear,
            'changes' => array_map(
                static fn (array $change): array => ['at_mps' => round($change['at'], 3), 'from_gear' => $change['from'], 'to_gear' => $change['to']],
                $run->changes,
            ),
        ];
    }

    private static function gear(Values $input, string $field, Vehicle $vehicle): ?int
    {
        $gear = $input->number($field);
        if ($gear === null) {
            return null;
        }
        if ($gear !== floor($gear) || $gear > $vehicle->gearbox->topGear()) {
            throw BadInput::field($field, 'must be a whole number from 1 to '.$vehicle->gearbox->topGear().'.');
        }

        return (int) $gear;
    }

    /** @throws BadInput where the ratios and the tyre together make more than any car does */
    private static function refuseUndrivable(Vehicle $vehicle, string $field): void
    {
        $top = $vehicle->gearbox->metresPerSecondAt($vehicle->engine->redLineRpm, $vehicle->gearbox->topGear());
        if ($top > self::FASTEST_MPS) {
            throw BadInput::field($field, sprintf('makes with these ratios and this tyre %.0f m/s at the red line in top gear: no car does.', $top));
        }
    }

    private static function speed(Values $input, Vehicle $vehicle, ?int $gear): Speed
    {
        $rpm = $input->number('rpm');
        if ($rpm === null) {
            return $input->speed('speed') ?? throw BadInput::field('speed_mps', 'is missing (or rpm and gear).');
        }
        if ($input->has('speed')) {
            throw BadInput::field('rpm', 'must not be given beside a speed.');
        }
        $speed = $vehicle->gearbox->metresPerSecondAt($rpm, $gear ?? throw BadInput::field('gear', 'is missing: engine speed says nothing without the gear.'));
        if ($speed > 70.0) {
            throw BadInput::field('rpm', 'must not mean more than 70 m/s in this gear.');
        }

        return Speed::ofMetresPerSecond($speed);
    }

    /** @return list<Assumption> */
    private static function assumptions(Vehicle $vehicle, Values $input, Purpose $purpose, float $falls, RulePack $pack): array
    {
        $own = $input->object('vehicle');
        // A figure is given where it stands in the vehicle's own object or beside it, and assumed where the demo's fills in.
        $figure = static fn (string $name, float|string $value, string $unit, string $field): Assumption => new Assumption(
            $name, $value, $unit, $own?->has($field) === true || ($input->has($field) && $field !== 'vehicle') ? Source::given() : Source::assumed(),
        );
        $engine = $vehicle->engine;

        return [
            new Assumption('vehicle', VehicleField::named($vehicle, $pack), '', $input->has('vehicle') ? Source::given() : Source::assumed()),
            $figure(Wording::part($pack, '{tyre}'), $vehicle->gearbox->tyre->marking, '', 'tyre'),
            $figure('final drive', $vehicle->gearbox->finalDrive, '', 'final_drive'),
            $figure('gear ratios', implode(' ', $vehicle->gearbox->ratios), '', 'ratios'),
            $figure('peak torque', round($engine->peakTorqueNm, 1), 'Nm', 'torque_nm'),
            $figure('peak torque at', round($engine->peakTorqueRpm), 'rpm', 'torque_rpm'),
            $figure('peak power', round($engine->peakPowerKw, 1), 'kW', 'power_kw'),
            $figure('peak power at', round($engine->peakPowerRpm), 'rpm', 'power_rpm'),
            $figure('idle', round($engine->idleRpm), 'rpm', 'idle_rpm'),
            $figure('red line', round($engine->redLineRpm), 'rpm', 'red_line_rpm'),
            $figure('mass with everybody', round($vehicle->body->massKg), 'kg', 'mass_kg'),
            $figure('drag area', $vehicle->body->dragAreaM2, 'm2', 'drag_area_m2'),
            $figure('rolling resistance', $vehicle->body->rolling, 'of the weight', 'rolling'),
            $figure('a whole change of gear', $vehicle->shiftSeconds, 's', 'shift_time'),
            new Assumption(
                'revs above idle fall by two thirds in', round($falls, 2), 's',
                $input->has('rev_fall') || $input->has('rev_fall_measured') ? Source::given() : Source::assumed(),
            ),
            new Assumption('from crankshaft to road', Performance::EFFICIENCY, 'efficiency', Source::assumed()),
            new Assumption('wheels’ inertia', Performance::WHEELS, 'of the mass', Source::assumed()),
            new Assumption('turning with the crankshaft', $engine->inertiaKgM2, 'kg m2', Source::assumed()),
            new Assumption('density of air', Body::AIR, 'kg/m3', Source::fromMemory('ICAO standard atmosphere, sea level')),
            ...CommonFields::defaults($input, CommonFields::default('gradient', 0.0, 'rise over run'), CommonFields::default('purpose', $purpose->value)),
        ];
    }
}
