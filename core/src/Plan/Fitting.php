<?php

declare(strict_types=1);

namespace NobleTurn\Core\Plan;

use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Routine\Arrival;
use NobleTurn\Core\Vehicle\Handling;

/**
 * The routine at the speed asked for, or where that does not fit, at the highest speed at which it does;
 * where not even walking pace is slow enough, with every part of it cut short alike.
 */
final readonly class Fitting
{
    private const SLOWEST = 1.5;

    private const SHORTEST = 0.05;

    /** Of a car with a clutch pedal. */
    public ?Gears $gears;

    /** @param  list<Obstacle>  $obstacles what stood in the way at the speed asked for */
    private function __construct(public Chain $chain, public array $obstacles, public float $compression)
    {
        $this->gears = $chain->approach->vehicle->hasClutch() ? Gears::for($chain) : null;
    }

    public static function of(Approach $approach): self
    {
        $timing = Timing::planned($approach->practice->look, Handling::of($approach->vehicle));
        $asked = Chain::for($approach, $timing);
        $obstacles = Obstacle::before($asked);
        if ($obstacles === []) {
            return new self($asked, [], 1.0);
        }
        // The road may ask for less than one would arrive with; a routine alone is not driven slower than it arrives.
        $arrives = array_filter($obstacles, static fn (Obstacle $one): bool => $one->isOfTheRoad()) === []
            && in_array($approach->demand->arrival, [Arrival::Turning, Arrival::Line, Arrival::Stop], true)
            ? $asked->lineSpeed->metresPerSecond : $approach->lineSpeed?->inMetresPerSecond() ?? 0.0;
        $slowest = min($approach->speed->inMetresPerSecond(), max($arrives, self::SLOWEST));
        $slowly = self::at($approach, $slowest, $timing);
        if (Obstacle::before($slowly) !== []) {
            return self::compressed($approach->atSpeed(Speed::ofMetresPerSecond($slowest)), $obstacles);
        }
        $fits = static fn (float $speed): bool => Obstacle::before(self::at($approach, $speed, $timing)) === [];

        return new self(self::at($approach, self::highest($slowest, $approach->speed->inMetresPerSecond(), $fits), $timing), $obstacles, 1.0);
    }

    public function fits(): bool
    {
        return $this->obstacles === [];
    }

    private static function at(Approach $approach, float $speed, Timing $timing): Chain
    {
        return Chain::for($approach->atSpeed(Speed::ofMetresPerSecond($speed)), $timing);
    }

    /** @param  list<Obstacle>  $obstacles */
    private static function compressed(Approach $approach, array $obstacles): self
    {
        $timing = Timing::planned($approach->practice->look, Handling::of($approach->vehicle));
        $fits = static fn (float $factor): bool => Obstacle::before(Chain::for($approach, $timing->compressed($factor))) === [];
        $factor = $fits(self::SHORTEST) ? self::highest(self::SHORTEST, 1.0, $fits) : self::SHORTEST;

        return new self(Chain::for($approach, $timing->compressed($factor)), $obstacles, $factor);
    }

    /**
     * The highest value that fits, by halving, to within a millionth of the span.
     *
     * @param  callable(float): bool  $fits  true at $low
     */
    private static function highest(float $low, float $high, callable $fits): float
    {
        for ($i = 0; $i < 20; $i++) {
            $middle = ($low + $high) / 2.0;
            if ($fits($middle)) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }

        return $low;
    }
}
