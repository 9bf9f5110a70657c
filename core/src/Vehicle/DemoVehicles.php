<?php

declare(strict_types=1);

namespace NobleTurn\Core\Vehicle;

use NobleTurn\Core\Fault\UnknownName;
use NobleTurn\Core\Quantity\Acceleration;
use NobleTurn\Core\Quantity\Distance;
use NobleTurn\Core\Quantity\EngineSpeed;

/** Cars of invented make to reckon with where nothing is known of the real one. Every figure is assumed. */
final class DemoVehicles
{
    public const DEFAULT = 'small-petrol-hatch';

    /** @return non-empty-list<Vehicle> */
    public static function all(): array
    {
        return [
            self::car(self::DEFAULT, 'small petrol hatch', Transmission::Manual, Controls::Standard, 0.7),
            self::car('small-automatic', 'small automatic', Transmission::Automatic, Controls::Standard, 0.5),
            self::car('small-electric', 'small electric car', Transmission::Automatic, Controls::Standard, 1.0),
            self::car('hand-controls', 'automatic with hand controls', Transmission::Automatic, Controls::Hand, 0.5),
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

    private static function car(string $id, string $name, Transmission $transmission, Controls $controls, float $engineBraking): Vehicle
    {
        return new Vehicle(
            $id,
            $name,
            $transmission,
            $controls,
            length: Distance::ofMetres(4.5),
            width: Distance::ofMetres(1.8),
            gearbox: Gearbox::of([3.6, 1.95, 1.3, 0.97, 0.78], 4.06, Tyre::fromMarking('195/65R15')),
            idle: EngineSpeed::ofRevolutionsPerMinute(800.0),
            engineBraking: Acceleration::ofMetresPerSecondSquared($engineBraking),
        );
    }
}
