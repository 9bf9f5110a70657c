<?php

declare(strict_types=1);

namespace NobleTurn\Core\Judgement;

use NobleTurn\Core\Quantity\Distance;
use NobleTurn\Core\Quantity\Gradient;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Rules\LongGap;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\Source;
use NobleTurn\Core\Trade\Surface;
use NobleTurn\Core\Vehicle\Vehicle;

/**
 * The time gap wanted to the vehicle ahead: as a pack teaches it of a car; of a long vehicle by its length, or with what its brakes take longer than a
 * car’s, which may be what is ahead.
 */
final readonly class WantedGap
{
    /** One second for so much of the vehicle, and one more from this speed on (from memory: the model commercial driver’s manual, "managing space"). */
    private const A_SECOND_FOR_M = 10.0 * Distance::METRES_IN_A_FOOT;

    private const ONE_MORE_FROM_MPH = 40.0;

    /** So far below that speed the second more begins to be wanted, so that a hair of speed is no second (assumed), mph. */
    private const COMES_OVER_MPH = 5.0;

    private function __construct(public float $seconds, public Source $source)
    {
    }

    public static function of(RulePack $pack, Surface $surface, Vehicle $vehicle, Speed $speed): self
    {
        $car = $pack->followingGap($surface)->inSeconds();
        if (! $vehicle->isLong()) {
            return new self($car, $pack->followingGapSource($surface));
        }

        return match ($pack->longGap()) {
            LongGap::ByBrakes => new self($car + self::brakesTake($pack, $vehicle, $surface, $speed), Source::assumed()),
            LongGap::ByLength => new self(
                max($car, self::byLength($vehicle, $speed) + $car - $pack->followingGap(Surface::Dry)->inSeconds()),
                $surface === Surface::Dry ? Source::fromMemory('model commercial driver’s manual') : Source::assumed(),
            ),
        };
    }

    /** So much longer it takes to stop than a car would that brakes at the same moment, as a gap, s: the way it needs more, at this speed. */
    private static function brakesTake(RulePack $pack, Vehicle $vehicle, Surface $surface, Speed $speed): float
    {
        $v = $speed->inMetresPerSecond();
        $car = StoppingModel::of($pack);
        $metres = static fn (StoppingModel $model): float => Stopping::from($speed, $model, $surface, Gradient::level())->totalMetres() ?? 0.0;

        return ($metres($car->inVehicle($vehicle)) - $metres($car)) / $v;
    }

    private static function byLength(Vehicle $vehicle, Speed $speed): float
    {
        $over = ($speed->inMilesPerHour() - self::ONE_MORE_FROM_MPH) / self::COMES_OVER_MPH + 1.0;

        return $vehicle->length->inMetres() / self::A_SECOND_FOR_M + max(0.0, min(1.0, $over));
    }
}
