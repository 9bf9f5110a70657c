<?php

declare(strict_types=1);

namespace NobleTurn\Core\Place;

use NobleTurn\Core\Trade\RoutineCode;

/** What stands in the middle of a roundabout: one drives round it, or over its paint if there is no other way. */
enum Island: string
{
    case Raised = 'raised';
    case Painted = 'painted';

    /** Null where nothing is gone round. */
    public static function of(RoutineCode $routine): ?self
    {
        return match ($routine) {
            RoutineCode::Roundabout => self::Raised,
            RoutineCode::MiniRoundabout => self::Painted,
            default => null,
        };
    }
}
