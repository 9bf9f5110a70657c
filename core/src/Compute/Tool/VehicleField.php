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
use NobleTurn\Core\Quantity\EngineSpeed;
use NobleTurn\Core\Vehicle\Controls;
use NobleTurn\Core\Vehicle\DemoVehicles;
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
            ChoiceField::of('transmission', 'default manual', Transmission::class),
            ChoiceField::of('controls', 'default standard', Controls::class),
            new QuantityField('length', 'overall length', Kind::Distance, 2.0, 25.0),
            new QuantityField('width', 'overall width without mirrors', Kind::Distance, 1.2, 3.0),
            new ListField('ratios', 'gear ratios, first gear first', new NumberField('ratio', 'ratio', 0.2, 20.0), 10),
            new NumberField('final_drive', 'final drive ratio', 1.0, 20.0),
            new TextField('tyre', 'ISO marking such as 195/65R15', 20),
            new NumberField('idle_rpm', 'idling speed, rpm', 300.0, 2000.0),
            new QuantityField('engine_braking', 'slowing off the gas on the level', Kind::Acceleration, 0.1, 2.5),
        ), DemoVehicles::ids());
    }

    public static function read(Values $input): Vehicle
    {
        $own = $input->object('vehicle');
        $demo = DemoVehicles::byId($input->text('vehicle') ?? DemoVehicles::DEFAULT);

        return $own === null ? $demo : self::own($own, $demo);
    }

    private static function own(Values $own, Vehicle $demo): Vehicle
    {
        $gearbox = $demo->gearbox;
        if ($own->has('ratios') || $own->has('final_drive') || $own->has('tyre')) {
            try {
                $gearbox = Gearbox::of($own->numbers('ratios'), $own->number('final_drive') ?? 4.06, Tyre::fromMarking($own->text('tyre') ?? '195/65R15'));
            } catch (BadInput $bad) {
                throw BadInput::of(array_combine(array_map(static fn (string $field): string => "vehicle.{$field}", array_keys($bad->errors)), array_values($bad->errors)));
            }
        }
        $idle = $own->number('idle_rpm');

        return new Vehicle(
            'own',
            $own->text('name') ?? 'own vehicle',
            $own->choice('transmission', Transmission::class) ?? $demo->transmission,
            $own->choice('controls', Controls::class) ?? $demo->controls,
            $own->distance('length') ?? $demo->length,
            $own->distance('width') ?? $demo->width,
            $gearbox,
            $idle === null ? $demo->idle : EngineSpeed::ofRevolutionsPerMinute($idle),
            $own->acceleration('engine_braking') ?? $demo->engineBraking,
        );
    }
}
