<?php

declare(strict_types=1);

namespace NobleTurn\Core\Routine\Catalogue;

use NobleTurn\Core\Routine\Routine;
use NobleTurn\Core\Routine\RoutineCode;
use NobleTurn\Core\Rules\Flank;
use NobleTurn\Core\Rules\RulePack;

/** Every routine that is taught so far. A turn is written once for each flank: towards the kerb, or across the road. */
final class Catalogue
{
    public static function routine(RoutineCode $code, RulePack $pack): Routine
    {
        return match ([$code->emerges(), Flank::of($code->turnSide(), $pack)]) {
            [false, Flank::Near] => TurnTowardsKerb::routine($code),
            [false, Flank::Off] => TurnAcross::routine($code),
            [true, Flank::Near] => EmergeTowardsKerb::routine($code),
            [true, Flank::Off] => EmergeAcross::routine($code),
        };
    }

    /** @return non-empty-list<Routine> */
    public static function all(RulePack $pack): array
    {
        return array_map(static fn (RoutineCode $code): Routine => self::routine($code, $pack), RoutineCode::cases());
    }
}
