<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Plan\Approach;
use NobleTurn\Core\Plan\StandingPlan;
use NobleTurn\Core\Routine\Card;
use NobleTurn\Core\Trade\Step;

/** Moving off in the shape of an approach plan whose every place is 0 and whose axis is time. */
final class StandingPresenter
{
    /** @return array<string, mixed> */
    public static function body(Approach $approach, StandingPlan $plan, Card $card): array
    {
        $clutch = $approach->vehicle->hasClutch();
        $from = $plan->at['mirrors'] + 1.0;
        $times = [$from, ...array_values($plan->at), 0.0];
        $steps = array_map(static function (string $step, float $seconds) use ($card, $clutch): array {
            $instruction = $card->step(Step::from($step));

            return [
                'step' => $step, 'earliest_m' => 0.0, 'best_m' => 0.0, 'latest_m' => 0.0, 'end_m' => 0.0,
                'best_s' => round($seconds, 2), 'speed_mps' => 0.0, 'gear' => $clutch ? 1 : null,
                'do' => $instruction->do, 'why' => $instruction->why, 'usual_mistake' => $instruction->usualMistake, 'watch' => $instruction->watch,
                'says' => $card->says[$step] ?? [], 'source' => $instruction->source()->words(),
            ];
        }, array_keys($plan->at), array_values($plan->at));

        return [
            'length_unit' => $approach->pack->lengthUnit()->value,
            'axis' => 'time',
            'routine' => $approach->routine->value,
            'title' => $card->title,
            'turn_side' => $card->side?->value,
            'fits' => true,
            'speed_to_fit_mps' => null,
            ...CommonFields::headlineSpeed('approach_speed', 0.0, $approach->pack),
            ...CommonFields::headlineSpeed('line_speed', 0.0, $approach->pack),
            'say_at_m' => 0.0, 'ease_off_m' => 0.0, 'ease_off_s' => 0.0, 'peak_decel_mps2' => 0.0, 'signal_rule_m' => null,
            'direction' => $card->direction, 'sign' => null,
            'steps' => $steps,
            'groups' => ApproachPresenter::groups($approach->practice->steps, array_keys($plan->at)),
            'phases' => [], 'gear_changes' => [], 'gear_after_line' => $clutch ? 1 : null,
            'place' => ApproachPresenter::road($approach, $approach->roadWidth->inMetres() / 4.0, $approach->vehicle->width->inMetres() / 2.0 + 0.3),
            'profile' => [
                'distance_m' => array_fill(0, count($times), 0.0), 'time_s' => array_map(static fn (float $seconds): float => round($seconds, 2), $times),
                'speed_mps' => array_fill(0, count($times), 0.0), 'decel_mps2' => array_fill(0, count($times), 0.0),
                'gear' => array_fill(0, count($times), $clutch ? 1 : null), 'clutch' => array_fill(0, count($times), $clutch ? 'slipping' : null),
                'lateral_m' => array_fill(0, count($times), round($approach->vehicle->width->inMetres() / 2.0 + 0.3, 3)),
            ],
            'conflicts' => [],
            'practice' => ApproachPresenter::choices($card),
            'then' => null,
        ];
    }
}
