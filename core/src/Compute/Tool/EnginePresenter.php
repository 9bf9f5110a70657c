<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Out;
use NobleTurn\Core\Quantity\Gradient;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Routine\Wording;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Vehicle\Foot;
use NobleTurn\Core\Vehicle\Performance;
use NobleTurn\Core\Vehicle\Purpose;
use NobleTurn\Core\Vehicle\RevMatch;
use NobleTurn\Core\Vehicle\Vehicle;

/** Gears, and changes between them, as the arrays of the tool's answer. */
final class EnginePresenter
{
    /** @return array<string, array<string, mixed>> */
    public static function schema(): array
    {
        return [
            ...CommonFields::headlineSpeedSchema('speed', 'road speed'),
            'gear' => Out::integer('gear engaged'),
            'rpm' => Out::number('engine speed in that gear'),
            'rpm_after_shift' => Out::number('engine speed after the change at the same road speed; null without one', nullable: true),
            'rev_change' => Out::number('what the change asks of the revs, + to be added', nullable: true),
            'over_rev' => Out::flag('whether the red line is passed, before or after the change'),
            'labours' => Out::flag('whether the engine labours, before or after the change'),
            'rule_of_thumb' => Out::maybe(Out::object([
                'at_rpm' => Out::number('engine speed it speaks of'), 'low' => Out::number('least'), 'high' => Out::number('most'),
                'agrees' => Out::flag('within 150 rpm'), 'message' => Out::text('sentence for the user'),
            ]), 'what is said of such a change, and whether these ratios agree'),
            'rev_fall_s' => Out::number('in which two thirds of the revs above idle are gone, foot off and clutch down'),
            'changes' => Out::list(Out::object([
                'from_gear' => Out::integer('before'), 'to_gear' => Out::integer('after, one or more gears on, up or down'),
                'rpm_after' => Out::number('asked for at the same road speed'),
                'falls_to_rpm' => Out::number('where the revs are by themselves once the lever is in'),
                'foot' => ['type' => ['string', 'null'], 'enum' => [...array_column(Foot::cases(), 'value'), null],
                    'description' => 'what the right foot does; null where the change is none to be made'],
                'wait_s' => Out::number('so much longer before the clutch comes up; null where they never come down so far', nullable: true),
                'message' => Out::text('as it is said'),
            ]), 'from this gear to every other; none without a clutch'),
            'best_gear' => Out::integer('gear for the purpose'),
            'choices' => Out::list(Out::object([
                'purpose' => ['enum' => array_map(static fn (Purpose $purpose): string => $purpose->value, Purpose::cases())],
                'gear' => Out::integer('gear'), 'accel_mps2' => Out::number('acceleration available in it'), 'reason' => Out::text('why'),
            ]), 'the gear for each purpose'),
            'run' => Out::maybe(Out::object([
                'reached' => Out::flag('whether the speed is reached at all'), 'time_s' => Out::number('seconds it takes'),
                'distance_m' => Out::number('metres it takes'),
                'speed_mps' => Out::number('reached'), 'gear' => Out::integer('at the end'),
                'changes' => Out::list(
                    Out::object(['at_mps' => Out::number('road speed'), 'from_gear' => Out::integer('before'), 'to_gear' => Out::integer('after')]),
                    'up, at nine tenths of the red line',
                ),
            ]), 'accelerator right down up to to_speed; null without one'),
            'idle_rpm' => Out::number('idling speed; 0 for a motor'),
            'red_line_rpm' => Out::number('highest engine speed'),
            'gears' => Out::list(Out::object([
                'gear' => Out::integer('gear'), 'ratio' => Out::number('gear ratio'), 'reduction' => Out::number('with the final drive'),
                'rpm' => Out::number('engine speed at this road speed'), 'speed_per_1000_rpm_mps' => Out::number('road speed for each 1000 rpm'),
                'speed_at_idle_mps' => Out::number('below it the clutch slips'), ...CommonFields::headlineSpeedSchema('top_speed', 'at the red line'),
                'accel_available_mps2' => Out::number('accelerator right down, on this hill'),
                'engine_braking_mps2' => Out::number('accelerator released, on this hill'),
                'labours' => Out::flag('below 1.25 times idle'), 'over_revs' => Out::flag('above the red line'),
            ], ['top_speed_mph', 'top_speed_kmh'])),
        ];
    }

    /** @return list<array<string, mixed>> */
    public static function changes(Vehicle $vehicle, Performance $performance, Speed $speed, int $gear, float $falls, RulePack $pack): array
    {
        $others = $vehicle->hasClutch() ? array_values(array_diff(range(1, $vehicle->gearbox->topGear()), [$gear])) : [];

        return array_map(static function (int $to) use ($vehicle, $performance, $speed, $gear, $falls, $pack): array {
            $match = new RevMatch($performance->rpm($speed, $gear), $performance->rpm($speed, $to), $vehicle->shiftSeconds, $vehicle->engine->idleRpm, $falls);
            $isTooLow = $to < $gear && $match->after > RevMatch::MOST_OF_RED * $vehicle->engine->redLineRpm;
            $message = $isTooLow
                ? sprintf('%d to %d: %s rpm there, of %s to the red line. Brake first.', $gear, $to, number_format(round($match->after, -2)),
                    number_format($vehicle->engine->redLineRpm))
                : Wording::part($pack, $match->message($gear, $to)).($performance->labours($speed, $to) ? ' The engine labours there.' : '');

            return [
                'from_gear' => $gear, 'to_gear' => $to, 'rpm_after' => round($match->after, 1), 'falls_to_rpm' => round($match->fallsToRpm, 1),
                'foot' => $isTooLow || $match->waitSeconds === null ? null : $match->foot->value,
                'wait_s' => $match->waitSeconds === null ? null : round($match->waitSeconds, 2),
                'message' => $message,
            ];
        }, $others);
    }

    /** @return array<string, mixed> */
    public static function row(RulePack $pack, Vehicle $vehicle, Performance $performance, int $gear, Speed $speed, Gradient $gradient): array
    {
        return [
            'gear' => $gear,
            'ratio' => $vehicle->gearbox->ratios[$gear - 1],
            'reduction' => round($vehicle->gearbox->reduction($gear), 4),
            'rpm' => round($performance->rpm($speed, $gear), 1),
            'speed_per_1000_rpm_mps' => round($vehicle->gearbox->metresPerSecondAt(1000.0, $gear), 4),
            'speed_at_idle_mps' => round($vehicle->gearbox->metresPerSecondAt($vehicle->engine->idleRpm, $gear), 3),
            ...CommonFields::headlineSpeed('top_speed', $performance->topMps($gear), $pack),
            'accel_available_mps2' => round($performance->acceleration($speed, $gear, $gradient), 3),
            'engine_braking_mps2' => round($performance->engineBrakingMps2($speed, $gear, $gradient), 3),
            'labours' => $performance->labours($speed, $gear),
            'over_revs' => $performance->overRevs($speed, $gear),
        ];
    }
}
