<?php

declare(strict_types=1);

namespace NobleTurn\Core\Plan;

use NobleTurn\Core\Place\Stretch;
use NobleTurn\Core\Rules\Flank;
use NobleTurn\Core\Vehicle\Vehicle;

/**
 * What parked cars leave of the road, and how we go through it: a door's width to each of them where there is that much,
 * otherwise what there is in equal shares, and slower the less it is. Metres from the nearside kerb; places to the line.
 */
final readonly class Corridor
{
    /** A parked car from the kerb, m (assumed). */
    public const PARKED_M = 1.9;

    /** Left for a door where there is room, m (assumed: about 1 m). */
    public const DOOR_M = 1.0;

    /** Left to a kerb, m (assumed). */
    private const KERB_M = 0.3;

    /** Both mirrors together stand out by so much, m (assumed). */
    private const MIRRORS_M = 0.2;

    /** With less than this on each side it is walking pace, with less than that nobody goes through, m (common practice). */
    private const WALKING_BELOW_M = 0.5;

    public const NOT_BELOW_M = 0.15;

    /** m/s (assumed). */
    public const WALKING_MPS = 1.6;

    private function __construct(
        public float $fromMetres,
        public float $toMetres,
        public bool $nearParked,
        public bool $offParked,
        /** On each side with parked cars, m; never more than a door's width; negative where the car is wider than the way. */
        public float $clearMetres,
        /** The car's middle, m from the nearside kerb. */
        public float $lateralMetres,
    ) {
    }

    /** @return list<self> every stretch with parked cars, from far to near */
    public static function along(Approach $approach): array
    {
        if ($approach->parked === []) {
            return [];
        }
        $of = static fn (Flank $flank): array => array_values(array_filter($approach->parked, static fn (Stretch $cars): bool => $cars->flank === $flank));
        [$near, $off] = [$of(Flank::Near), $of(Flank::Off)];
        $car = $approach->vehicle->length->inMetres();
        $meet = static fn (Stretch $a, Stretch $b): bool => $a->farMetres > $b->nearMetres - $car && $b->farMetres > $a->nearMetres - $car;
        $found = [];
        foreach ($near as $cars) {
            $opposite = array_filter($off, static fn (Stretch $other): bool => $meet($cars, $other));
            $found[] = self::beside($approach, $cars->farMetres, $cars->nearMetres, true, $opposite !== []);
        }
        foreach ($off as $cars) {
            $opposite = array_filter($near, static fn (Stretch $other): bool => $meet($cars, $other));
            $found[] = self::beside($approach, $cars->farMetres, $cars->nearMetres, $opposite !== [], true);
        }
        usort($found, static fn (self $a, self $b): int => $b->fromMetres <=> $a->fromMetres);

        return $found;
    }

    /** At most so fast between them by somebody who would drive at `$usualMps`, m/s. */
    public function mps(float $usualMps): float
    {
        $share = min(1.0, max(0.0, ($this->clearMetres - self::WALKING_BELOW_M) / (self::DOOR_M - self::WALKING_BELOW_M)));

        return min($usualMps, self::WALKING_MPS + max(0.0, $usualMps - self::WALKING_MPS) * $share);
    }

    public function isTooNarrow(): bool
    {
        return $this->clearMetres < self::NOT_BELOW_M;
    }

    /** With mirrors, m. */
    public static function ourMetres(Vehicle $vehicle): float
    {
        return $vehicle->width->inMetres() + self::MIRRORS_M;
    }

    private static function beside(Approach $approach, float $from, float $to, bool $near, bool $off): self
    {
        $ours = self::ourMetres($approach->vehicle);
        $left = $near ? self::PARKED_M : 0.0;
        $right = $approach->roadWidth->inMetres() - ($off ? self::PARKED_M : 0.0);
        $wants = [$near ? self::DOOR_M : self::KERB_M, $off ? self::DOOR_M : self::KERB_M];
        $share = min(1.0, ($right - $left - $ours) / ($wants[0] + $wants[1]));
        [$least, $most] = [$left + $wants[0] * $share + $ours / 2.0, $right - $wants[1] * $share - $ours / 2.0];
        $usual = LateralPath::usualMetres($approach);

        return new self(
            $from, $to, $near, $off, self::DOOR_M * $share,
            // Past cars on our own side a door's width out; past those opposite only as far over as they push us.
            $near ? min($least, max($most, $left + $ours / 2.0)) : max($least, min($usual, $most)),
        );
    }
}
