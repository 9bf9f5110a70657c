<?php

declare(strict_types=1);

namespace NobleTurn\Core\Plan\Clash;

use NobleTurn\Core\Plan\Conflict;
use NobleTurn\Core\Plan\Fitting;
use NobleTurn\Core\Plan\Gears;
use NobleTurn\Core\Quantity\Speed;

/** The clutch would have to go down above about 20 mph to have the gear settled before steering. */
final class ClutchTooFast implements Clash
{
    public function in(Fitting $fitting): ?Conflict
    {
        $chain = $fitting->chain;
        $rule = Speed::ofMilesPerHour(Gears::CLUTCH_RULE_MPH);
        foreach ($fitting->gears->changes ?? [] as $change) {
            $place = $chain->metres($change->downSeconds);
            $speed = $chain->profile->mpsAt($place);
            if ($speed > $rule->inMetresPerSecond() + 0.05 && $change->to <= 2) {
                $unit = $chain->approach->pack->speedUnit();

                return new Conflict(
                    'clutch-too-fast',
                    'clutch down only below about '.$unit->words($rule),
                    null,
                    $place,
                    'clutch-faster',
                    sprintf(
                        'To have the gear settled before steering, the clutch goes down at %s. A lower speed at the line would give it time.',
                        $unit->words(Speed::ofMetresPerSecond($speed)),
                    ),
                );
            }
        }

        return null;
    }
}
