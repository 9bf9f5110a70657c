<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Plan\Warning;
use NobleTurn\Core\Rules\Assumption;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\Source;
use NobleTurn\Core\Vehicle\BayWay;
use NobleTurn\Core\Vehicle\ReversingExercise;
use NobleTurn\Core\Vehicle\Vehicle;

/** Whether a bay that the car gets into is one to stand in. */
final class BayWarnings
{
    /** What is left beside the car, all of it to one side, for a door to be got out of (assumed). */
    private const DOOR_M = 0.5;

    /** It is said to a tenth of a metre: less than half of that, out of the bay or beside the car, would be said as nothing. */
    private const NOTHING_M = 0.05;

    /** @return list<Warning> */
    public static function of(Values $input, ReversingExercise $exercise, Vehicle $vehicle, RulePack $pack): array
    {
        if (! self::isEntered($exercise)) {
            return [];
        }
        $beside = ($input->distance('bay_width')?->inMetres() ?? BayWay::WIDTH_M) - $vehicle->chassis->widthMetres;
        $out = $vehicle->length->inMetres() - ($input->distance('bay_depth')?->inMetres() ?? BayWay::DEPTH_M);
        $unit = $pack->lengthUnit();
        $room = $beside < self::NOTHING_M ? 'With next to nothing beside the car' : "Of {$unit->fine($beside)} beside the car, both sides together,";

        return [
            ...($beside < self::DOOR_M
                ? [new Warning('no-door', "{$room} no door opens far enough to get out: another bay.", ['beside_m' => round($beside, 2)])]
                : []),
            ...($out >= self::NOTHING_M
                ? [new Warning('stands-out', "It stands {$unit->fine($out)} out of the bay, where others pass.", ['out_m' => round($out, 2)])]
                : []),
        ];
    }

    /** @return list<Assumption> */
    public static function assumptions(ReversingExercise $exercise): array
    {
        return self::isEntered($exercise) ? [new Assumption('a door to get out takes', self::DOOR_M, 'm', Source::assumed())] : [];
    }

    private static function isEntered(ReversingExercise $exercise): bool
    {
        return $exercise === ReversingExercise::Bay || $exercise === ReversingExercise::NoseIn;
    }
}
