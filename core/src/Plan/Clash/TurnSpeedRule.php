<?php

declare(strict_types=1);

namespace NobleTurn\Core\Plan\Clash;

use NobleTurn\Core\Plan\Conflict;
use NobleTurn\Core\Plan\Fitting;
use NobleTurn\Core\Plan\LineSpeed;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Routine\Arrival;

/** "About 15 mph or less" round a left turn, held against what such a corner asks of the tyres: v^2 / r. */
final class TurnSpeedRule implements Clash
{
    private const MOST_COMFORTABLE = 3.0;

    public function in(Fitting $fitting): ?Conflict
    {
        $approach = $fitting->chain->approach;
        $rule = Speed::ofMilesPerHour(LineSpeed::TURN_RULE_MPH);
        $radius = $approach->turnRadius->inMetres();
        $sideways = $rule->inMetresPerSecond() ** 2 / $radius;
        $planned = $fitting->chain->lineSpeed->metresPerSecond;
        if ($approach->demand->arrival !== Arrival::Turning || $sideways <= self::MOST_COMFORTABLE || $planned >= $rule->inMetresPerSecond()) {
            return null;
        }
        $unit = $approach->pack->speedUnit();

        return new Conflict(
            'turn-speed-rule',
            $unit->words($rule).' or less round the corner',
            null,
            null,
            'slower',
            sprintf(
                '%s would feel too fast round a corner of %s radius (%.1f m/s² sideways; 2 to 3 is comfortable). The plan turns at %s.', $unit->words($rule),
                $approach->pack->lengthUnit()->place($radius), $sideways, $unit->words(Speed::ofMetresPerSecond($planned)),
            ),
            ['sideways_at_rule_mps2' => round($sideways, 2), 'sideways_planned_mps2' => round($planned ** 2 / $radius, 2), 'radius_m' => $radius],
        );
    }
}
