<?php

declare(strict_types=1);

namespace NobleTurn\Core\Next;

use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Routine\Routine;
use NobleTurn\Core\Routine\Section;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Vehicle\Transmission;

/** What a test can ask of somebody: common practice, no source. Fast roads are driven in lessons, and met in few tests. */
final class Required
{
    private const SECTIONS = [
        Section::Between, Section::MovingOff, Section::Turning, Section::Emerging, Section::Lights, Section::Roundabouts, Section::Lanes, Section::Passing,
    ];

    /** Of those sections what few tests meet. */
    private const RARE = [RoutineCode::Ramp, RoutineCode::Merge, RoutineCode::Siren, RoutineCode::PassBus, RoutineCode::Hump, RoutineCode::QueueStop];

    /** Of the rules of a place what its tests do meet. */
    private const OF_THE_PLACE = [RoutineCode::AllWayStop];

    /** @return list<Routine> in the order of the catalogue */
    public static function of(RulePack $pack, Transmission $transmission): array
    {
        return array_values(array_filter(Catalogue::all($pack), static fn (Routine $routine): bool => $routine->fits($transmission)
            && (in_array($routine->section, self::SECTIONS, true) && ! in_array($routine->code, self::RARE, true)
                || in_array($routine->code, self::OF_THE_PLACE, true))));
    }
}
