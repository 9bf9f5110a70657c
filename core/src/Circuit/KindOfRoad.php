<?php

declare(strict_types=1);

namespace NobleTurn\Core\Circuit;

use NobleTurn\Core\Trade\RoutineCode as R;

/** What one drives on around a way, as rounds note it. */
enum KindOfRoad: string
{
    case Residential = 'residential';
    case Town = 'town';
    case Rural = 'rural';
    case Dual = 'dual';
    case Motorway = 'motorway';

    /** From door to door with a learner at the wheel, lines and lights included, outside the busy hours, km/h (assumed, adjustable). */
    public function kmh(): float
    {
        return match ($this) {
            self::Residential => 22.0,
            self::Town => 26.0,
            self::Rural => 50.0,
            self::Dual => 72.0,
            self::Motorway => 90.0,
        };
    }

    /** The shortest loop that leads from behind a way to before it again, m (assumed): round a block, or to the next junction and back. */
    public function leastLoopMetres(): float
    {
        return match ($this) {
            self::Residential => 450.0,
            self::Town => 600.0,
            self::Rural => 1_500.0,
            self::Dual, self::Motorway => 4_000.0,
        };
    }

    /** Where nobody says on what kind of road a routine is taught. */
    public static function usual(R $routine): self
    {
        return match ($routine) {
            R::Join, R::Leave, R::Merge => self::Dual,
            R::Overtake => self::Rural,
            R::BayIn, R::BayOut, R::Ramp, R::PullUpRightReverse, R::MoveOff, R::PullUpLeft, R::PullUpRight, R::Hump => self::Residential,
            default => self::Town,
        };
    }
}
