<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Field\ChoiceField;
use NobleTurn\Core\Compute\Field\ListField;
use NobleTurn\Core\Compute\Field\NumberField;
use NobleTurn\Core\Compute\Field\ObjectField;
use NobleTurn\Core\Compute\Field\QuantityField;
use NobleTurn\Core\Compute\Field\TextField;
use NobleTurn\Core\Compute\Kind;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Routine\Wording;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Vehicle\Body;
use NobleTurn\Core\Vehicle\Chassis;
use NobleTurn\Core\Vehicle\Controls;
use NobleTurn\Core\Vehicle\DemoVehicles;
use NobleTurn\Core\Vehicle\Engine;
use NobleTurn\Core\Vehicle\Gearbox;
use NobleTurn\Core\Vehicle\Transmission;
use NobleTurn\Core\Vehicle\Tyre;
use NobleTurn\Core\Vehicle\Vehicle;

/** The vehicle of an input: the name of a demo car, or an object whose gaps are filled from the default one. */
final class VehicleField
{
    public static function field(): ObjectField
    {
        return new ObjectField('vehicle', 'demo vehicle by id, or its own figures', new Shape(
            new TextField('name', 'what it is called'),
            new ChoiceField(
                'like', 'demo vehicle whose figures fill the gaps, its motor and trailers included; default '.DemoVehicles::DEFAULT,
                DemoVehicles::ids(),
            ),
            ChoiceField::of('transmission', 'default manual', Transmission::class),
            ChoiceField::of('controls', 'default standard', Controls::class),
            new QuantityField('length', 'overall length', Kind::Distance, 2.0, 25.0),
            new QuantityField('width', 'overall width without mirrors', Kind::Distance, 1.2, 3.0),
            new ListField('ratios', 'gear ratios, first gear first', new NumberField('ratio', 'ratio', 0.2, 20.0), 16),
            new NumberField('final_drive', 'final drive ratio', 1.0, 20.0),
            new TextField('tyre', 'ISO marking such as 195/65R15', 20),
            new NumberField('idle_rpm', 'idling speed, rpm', 300.0, 2000.0),
            new NumberField('red_line_rpm', 'highest engine speed, rpm', 1000.0, 20000.0),
            new NumberField('torque_nm', 'peak torque', 10.0, 5000.0),
            new NumberField('torque_rpm', 'engine speed of the peak torque', 500.0, 12000.0),
            new NumberField('power_kw', 'peak power', 5.0, 1000.0),
            new NumberField('power_rpm', 'engine speed of the peak power', 800.0, 15000.0),
            new QuantityField(
                'shift_time', 'a whole change of gear; default '.Vehicle::CHANGE_BY_HAND_S.' s by hand, '.Vehicle::CHANGE_BY_ITSELF_S.' s by itself',
                Kind::Duration, 0.0, 5.0,
            ),
            new QuantityField('engine_braking', 'slowing off the accelerator on the level', Kind::Acceleration, 0.1, 2.5),
            new NumberField('mass_kg', 'with driver, instructor and load', 300.0, 60000.0),
            new NumberField('drag_area_m2', 'drag coefficient times frontal area', 0.2, 12.0),
            new NumberField('rolling', 'rolling resistance as a share of the weight', 0.002, 0.05),
            new QuantityField('wheelbase', 'front to rear axle', Kind::Distance, 1.5, 9.0),
            new QuantityField('front_overhang', 'front axle to bumper', Kind::Distance, 0.2, 4.0),
            new QuantityField('rear_overhang', 'rear axle to bumper', Kind::Distance, 0.1, 6.0),
            new QuantityField('track', 'between the wheels’ middles', Kind::Distance, 1.0, 2.6),
            new QuantityField('height', 'overall height', Kind::Distance, 1.0, 5.5),
            new NumberField('steering_ratio', 'hand-wheel over road-wheel angle', 5.0, 35.0),
            new QuantityField('turning_circle', 'kerb to kerb', Kind::Distance, 6.0, 40.0),
        ), DemoVehicles::ids());
    }

    public static function read(Values $input): Vehicle
    {
        $own = $input->object('vehicle');
        $demo = DemoVehicles::byId($input->text('vehicle') ?? $own?->text('like') ?? DemoVehicles::DEFAULT);

        return $own === null ? $demo : self::own($own, $demo);
    }

    /** The vehicle of an input that may give tyre, final drive and ratios beside it. */
    public static function withGearbox(Values $input): Vehicle
    {
        $vehicle = self::read($input);

        return $vehicle->withGearbox(self::gearbox($input, $vehicle->gearbox));
    }

    private static function own(Values $own, Vehicle $demo): Vehicle
    {
        if ($demo->engine->isElectric && $own->choice('transmission', Transmission::class) === Transmission::Manual) {
            throw BadInput::field('vehicle.transmission', 'must be automatic: an electric car has no clutch.');
        }
        $gearbox = $demo->gearbox;
        if ($own->has('ratios') || $own->has('final_drive') || $own->has('tyre')) {
            $gearbox = self::within('vehicle', static fn (): Gearbox => self::gearbox($own, $demo->gearbox));
        }

        return new Vehicle(
            'own',
            $own->text('name') ?? 'own vehicle',
            $own->choice('transmission', Transmission::class) ?? $demo->transmission,
            $own->choice('controls', Controls::class) ?? $demo->controls,
            $own->distance('length') ?? $demo->length,
            $own->distance('width') ?? $demo->width,
            $gearbox,
            self::within('vehicle', static fn (): Engine => self::engine($own, $demo->engine)),
            new Body(
                $own->number('mass_kg') ?? $demo->body->massKg, $own->number('drag_area_m2') ?? $demo->body->dragAreaM2,
                $own->number('rolling') ?? $demo->body->rolling,
            ),
            self::within('vehicle', static fn (): Chassis => self::chassis($own, $demo->chassis)),
            $own->acceleration('engine_braking') ?? $demo->engineBraking,
            $demo->trailers,
            $demo->hitchOffsetMetres,
            $own->duration('shift_time')?->inSeconds(),
        );
    }

    /** Ratios, final drive and tyre as given, the rest from another gearbox. */
    public static function gearbox(Values $own, Gearbox $demo): Gearbox
    {
        $tyre = $own->text('tyre');

        return Gearbox::of(
            $own->has('ratios') ? $own->numbers('ratios') : $demo->ratios,
            $own->number('final_drive') ?? $demo->finalDrive,
            $tyre === null ? $demo->tyre : Tyre::fromMarking($tyre),
        );
    }

    private static function engine(Values $own, Engine $demo): Engine
    {
        if ($demo->isElectric) {
            foreach (['torque_rpm', 'power_rpm', 'idle_rpm'] as $none) {
                if ($own->has($none)) {
                    throw BadInput::field($none, 'must be left out: a motor pulls from rest and its power begins where its torque allows.');
                }
            }

            return Engine::electric(
                $own->number('torque_nm') ?? $demo->peakTorqueNm, $own->number('power_kw') ?? $demo->peakPowerKw,
                $own->number('red_line_rpm') ?? $demo->redLineRpm, $demo->inertiaKgM2,
            );
        }

        return Engine::combustion(
            $own->number('torque_nm') ?? $demo->peakTorqueNm,
            $own->number('torque_rpm') ?? $demo->peakTorqueRpm,
            $own->number('power_kw') ?? $demo->peakPowerKw,
            $own->number('power_rpm') ?? $demo->peakPowerRpm,
            $own->number('idle_rpm') ?? $demo->idleRpm,
            $own->number('red_line_rpm') ?? $demo->redLineRpm,
            $demo->inertiaKgM2,
        );
    }

    private static function chassis(Values $own, Chassis $demo): Chassis
    {
        return Chassis::of(
            $own->distance('wheelbase')?->inMetres() ?? $demo->wheelbaseMetres,
            $own->distance('width')?->inMetres() ?? $demo->widthMetres,
            $own->distance('front_overhang')?->inMetres() ?? $demo->frontOverhangMetres,
            $own->distance('rear_overhang')?->inMetres() ?? $demo->rearOverhangMetres,
            $own->distance('height')?->inMetres() ?? $demo->heightMetres,
            $own->number('steering_ratio') ?? $demo->steeringRatio,
            $own->distance('turning_circle')?->inMetres() ?? $demo->turningCircleMetres,
            $own->distance('track')?->inMetres(),
        );
    }

    /**
     * Names the fields of what goes wrong inside as fields of the object they were given in.
     *
     * @template T
     *
     * @param  callable(): T  $make
     * @return T
     */
    private static function within(string $object, callable $make): mixed
    {
        try {
            return $make();
        } catch (BadInput $bad) {
            throw BadInput::of(
                array_combine(array_map(static fn (string $field): string => "{$object}.{$field}", array_keys($bad->errors)), array_values($bad->errors)),
            );
        }
    }

    /** Its name in the words of the place: those that ship with the core are written with them. */
    public static function named(Vehicle $vehicle, RulePack $pack): string
    {
        return Wording::part($pack, $vehicle->name);
    }
}
