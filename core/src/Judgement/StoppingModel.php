<?php

declare(strict_types=1);

namespace NobleTurn\Core\Judgement;

use NobleTurn\Core\Quantity\Acceleration;
use NobleTurn\Core\Quantity\Duration;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\Source;
use NobleTurn\Core\Rules\StoppingFigures;
use NobleTurn\Core\Vehicle\Handling;
use NobleTurn\Core\Vehicle\Vehicle;

/** A reaction time and a mean deceleration on a dry level road. */
final readonly class StoppingModel
{
    private function __construct(public string $name, public float $reactionSeconds, public float $decelerationMps2, public Source $source)
    {
    }

    /**
     * The arithmetic behind the Highway Code's table (rule 126): 1 ft of thinking a mph, mph^2 / 20 ft of braking;
     * as a reaction time 0.3048 / 0.44704 s, as a deceleration 0.44704^2 x 20 / (2 x 0.3048) m/s2. Derived exactly.
     */
    public static function highwayCode(): self
    {
        return new self('highway-code', 0.3048 / 0.44704, 0.44704 ** 2 * 10.0 / 0.3048, Source::published('Highway Code, rule 126'));
    }

    /** AASHTO Green Book, stopping sight distance: 2.5 s and 3.4 m/s2 (11.2 ft/s2), from memory. */
    public static function aashto(): self
    {
        return new self('aashto', 2.5, 3.4, Source::fromMemory('AASHTO Green Book, stopping sight distance'));
    }

    /** As it is taught under a pack. */
    public static function of(RulePack $pack): self
    {
        return match ($pack->stoppingFigures()) {
            StoppingFigures::HighwayCode => self::highwayCode(),
            StoppingFigures::RoadDesign => self::aashto(),
        };
    }

    /** As it is taught under a pack, in a vehicle. */
    public static function in(Vehicle $vehicle, RulePack $pack): self
    {
        return self::of($pack)->inVehicle($vehicle);
    }

    /** The same in a vehicle: in a long or heavy one air comes to the brakes first, and they hold less. */
    public function inVehicle(Vehicle $vehicle): self
    {
        $handling = Handling::of($vehicle);

        return $handling->brakingShare >= 1.0 ? $this : new self(
            $this->name, $this->reactionSeconds + $handling->brakeLagSeconds, $this->decelerationMps2 * $handling->brakingShare,
            Source::fromMemory(Handling::BRAKING),
        );
    }

    public static function own(Duration $reaction, Acceleration $deceleration): self
    {
        return new self('own', $reaction->inSeconds(), $deceleration->inMetresPerSecondSquared(), Source::given());
    }
}
