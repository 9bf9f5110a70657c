<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Plan\Approach;
use NobleTurn\Core\Plan\StandingPlan;
use NobleTurn\Core\Routine\Card;
use NobleTurn\Core\Trade\Step;

/** Moving off: a plan in time, for the car stands until its end. */
final class StandingPresenter
{
    /** Where a parked car stands (assumed), side to kerb. */
    private const FROM_THE_KERB_M = 0.3;

    /** @return array<string, mixed> */
    public static function body(Approach $approach, StandingPlan $plan, Card $card): array
    {
        $clutch = $approach->vehicle->hasClutch();
        $times = [$plan->at['mirrors'] + 1.0, ...array_values($plan->at), 0.0];
        $lateral = $approach->vehicle->width->inMetres() / 2.0 + self::FROM_THE_KERB_M;

        return [
            'axis' => 'time',
            'routine' => $approach->routine->value,
            'title' => $card->title,
            'turn_side' => $card->side?->value,
            'direction' => $card->direction,
            'fits' => true,
            'steps' => array_map(
                static fn (string $step, float $seconds): array => self::step($card, Step::from($step), $seconds, $clutch),
                array_keys($plan->at), array_values($plan->at),
            ),
            'groups' => ApproachPresenter::groups($approach->practice->steps, array_keys($plan->at)),
            'gear_after_line' => $clutch ? 1 : null,
            'gives_way' => WhoWaitsPresenter::rows($approach),
            'place' => ApproachPresenter::road($approach, $approach->roadWidth->inMetres() / 4.0, $lateral),
            'profile' => [
                'time_s' => array_map(static fn (float $seconds): float => round($seconds, 2), $times),
                'gear' => array_fill(0, count($times), $clutch ? 1 : null), 'clutch' => array_fill(0, count($times), $clutch ? 'slipping' : null),
                'lateral_m' => array_fill(0, count($times), round($lateral, 3)),
            ],
            'conflicts' => [],
            'practice' => ApproachPresenter::choices($card),
        ];
    }

    /** @return array<string, mixed> */
    private static function step(Card $card, Step $step, float $seconds, bool $clutch): array
    {
        $instruction = $card->step($step);

        return [
            'step' => $step->value, 'best_s' => round($seconds, 2), 'gear' => $clutch ? 1 : null,
            'do' => $instruction->do, 'why' => $instruction->why, 'usual_mistake' => $instruction->usualMistake, 'watch' => $instruction->watch,
            'says' => $card->says[$step->value] ?? [], 'source' => $instruction->source()->words(),
        ];
    }
}
