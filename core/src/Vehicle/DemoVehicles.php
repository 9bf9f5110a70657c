<?php

declare(strict_types=1);

namespace NobleTurn\Core\Vehicle;

use NobleTurn\Core\Fault\UnknownName;
use NobleTurn\Core\Quantity\Acceleration;
use NobleTurn\Core\Quantity\Distance;

/** Vehicles of invented make to reckon with where nothing is known of the real one. Every figure is assumed. */
final class DemoVehicles
{
    public const DEFAULT = 'small-petrol-hatch';

    /** @var non-empty-list<Vehicle>|null built once: they never change */
    private static ?array $all = null;

    /** @return non-empty-list<Vehicle> */
    public static function all(): array
    {
        return self::$all ??= [
            self::car(self::DEFAULT, 'small petrol hatch', Transmission::Manual, Controls::Standard, 0.7, self::petrol()),
            self::car('small-automatic', 'small automatic', Transmission::Automatic, Controls::Standard, 0.5, self::petrol()),
            self::car(
                'small-electric', 'small electric car', Transmission::Automatic, Controls::Standard, 1.0,
                Engine::electric(220.0, 80.0, 12000.0, 0.04), [1.0], 9.0, 1650.0,
            ),
            self::car('hand-controls', 'automatic with hand controls', Transmission::Automatic, Controls::Hand, 0.5, self::petrol()),
            self::loadedVan(),
            self::rigidLorry(),
            self::articulatedLorry(),
        ];
    }

    /** @return non-empty-list<string> */
    public static function ids(): array
    {
        return array_map(static fn (Vehicle $vehicle): string => $vehicle->id, self::all());
    }

    /** @throws UnknownName */
    public static function byId(string $id): Vehicle
    {
        foreach (self::all() as $vehicle) {
            if ($vehicle->id === $id) {
                return $vehicle;
            }
        }
        throw UnknownName::among('vehicle', $id, self::ids());
    }

    private static function petrol(): Engine
    {
        return Engine::combustion(130.0, 3500.0, 70.0, 5600.0, 800.0, 6300.0, 0.12);
    }

    /** @param  list<float>  $ratios */
    private static function car(
        string $id, string $name, Transmission $transmission, Controls $controls, float $engineBraking, Engine $engine,
        array $ratios = [3.6, 1.95, 1.3, 0.97, 0.78], float $finalDrive = 4.06, float $mass = 1250.0,
    ): Vehicle {
        return new Vehicle(
            $id, $name, $transmission, $controls,
            length: Distance::ofMetres(4.5),
            width: Distance::ofMetres(1.8),
            gearbox: Gearbox::of($ratios, $finalDrive, Tyre::fromMarking('195/65R15')),
            engine: $engine,
            body: new Body($mass, 0.66, 0.012),
            chassis: Chassis::of(2.6, 1.8, 0.9, 1.0, 1.5, 15.5, 10.6, 1.5),
            engineBraking: Acceleration::ofMetresPerSecondSquared($engineBraking),
        );
    }

    private static function loadedVan(): Vehicle
    {
        return new Vehicle(
            'loaded-van', 'loaded van', Transmission::Manual, Controls::Standard,
            length: Distance::ofMetres(5.9),
            width: Distance::ofMetres(2.05),
            gearbox: Gearbox::of([3.9, 2.1, 1.35, 0.95, 0.75, 0.62], 4.2, Tyre::fromMarking('225/65R16')),
            engine: Engine::combustion(340.0, 1600.0, 96.0, 3500.0, 800.0, 4600.0, 0.25),
            body: new Body(3300.0, 1.6, 0.012),
            chassis: Chassis::of(3.7, 2.05, 1.0, 1.2, 2.6, 17.0, 13.4, 1.73),
            engineBraking: Acceleration::ofMetresPerSecondSquared(0.6),
        );
    }

    private static function rigidLorry(): Vehicle
    {
        return new Vehicle(
            'rigid-lorry', 'rigid {lorry}', Transmission::Manual, Controls::Standard,
            length: Distance::ofMetres(9.4),
            width: Distance::ofMetres(2.5),
            gearbox: Gearbox::of([6.9, 4.0, 2.5, 1.6, 1.0, 0.78], 4.1, Tyre::fromMarking('265/70R19.5')),
            engine: Engine::combustion(900.0, 1300.0, 180.0, 2300.0, 600.0, 2700.0, 1.1),
            body: new Body(14000.0, 5.2, 0.007),
            chassis: Chassis::of(5.2, 2.5, 1.4, 2.8, 3.6, 20.0, 18.6, 2.05),
            engineBraking: Acceleration::ofMetresPerSecondSquared(0.5),
        );
    }

    private static function articulatedLorry(): Vehicle
    {
        return new Vehicle(
            'articulated-lorry', 'articulated {lorry}', Transmission::Automatic, Controls::Standard,
            length: Distance::ofMetres(16.5),
            width: Distance::ofMetres(2.55),
            gearbox: Gearbox::of([11.7, 9.2, 7.1, 5.6, 4.4, 3.4, 2.6, 2.1, 1.6, 1.28, 1.0, 0.78], 3.1, Tyre::fromMarking('315/70R22.5')),
            engine: Engine::combustion(2200.0, 1050.0, 330.0, 1700.0, 550.0, 2100.0, 2.8),
            body: new Body(38000.0, 6.0, 0.006),
            chassis: Chassis::of(3.8, 2.5, 1.4, 0.9, 4.0, 20.0, 15.6, 2.05),
            engineBraking: Acceleration::ofMetresPerSecondSquared(0.4),
            trailers: [new Unit(7.7, 2.55, 1.6, 3.3)],
            hitchOffsetMetres: -0.6,
        );
    }
}
