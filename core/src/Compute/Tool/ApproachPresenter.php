<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Judgement\Braking;
use NobleTurn\Core\Motion\Phase;
use NobleTurn\Core\Place\Island;
use NobleTurn\Core\Place\Stretch;
use NobleTurn\Core\Plan\Approach;
use NobleTurn\Core\Plan\ApproachPlan;
use NobleTurn\Core\Plan\Conflict;
use NobleTurn\Core\Plan\GearChange;
use NobleTurn\Core\Plan\LateralPath;
use NobleTurn\Core\Plan\Stage;
use NobleTurn\Core\Plan\StepPlan;
use NobleTurn\Core\Routine\Arrival;
use NobleTurn\Core\Routine\Card;
use NobleTurn\Core\Routine\Demand;
use NobleTurn\Core\Rules\StepCount;
use NobleTurn\Core\Trade\Step;
use NobleTurn\Core\Vehicle\Handling;

/** An approach plan as the arrays of the tool's answer, described by `ApproachSchema`. */
final class ApproachPresenter
{
    /** @return array<string, mixed> */
    public static function body(ApproachPlan $plan): array
    {
        $approach = $plan->approach;
        $profile = $plan->chain->profile;
        $card = $plan->card;
        $steps = array_map(static fn (StepPlan $step): array => self::step($step, $step->step->value, $card), $plan->steps);
        if ($plan->gearStep !== null) {
            array_splice($steps, -1, 0, [self::step($plan->gearStep, 'gear', $card)]);
        }

        return [
            'length_unit' => $approach->pack->lengthUnit()->value,
            'axis' => 'distance',
            'routine' => $approach->routine->value,
            'title' => $card->title,
            'turn_side' => Demand::side($approach->routine, $approach->pack, $approach->wayOut)?->value,
            'fits' => $plan->fits,
            'speed_to_fit_mps' => $plan->fits ? null : round($profile->approachMps(), 3),
            ...CommonFields::headlineSpeed('approach_speed', $profile->approachMps(), $approach->pack),
            ...CommonFields::headlineSpeed('line_speed', $profile->lineMps(), $approach->pack),
            'say_at_m' => round($plan->sayAtMetres, 2),
            'ease_off_m' => round($plan->easeOffMetres, 2),
            'ease_off_s' => round($profile->secondsAt($plan->easeOffMetres), 2),
            'peak_decel_mps2' => round($profile->peakMps2(), 3),
            'braking' => Braking::feltAt($profile->peakMps2())->value,
            'signal_rule_m' => $plan->chain->ruleMetres === null ? null : round($plan->chain->ruleMetres, 2),
            'direction' => $card->direction,
            'point_of_no_return_m' => $plan->noReturnMetres === null ? null : round($plan->noReturnMetres, 2),
            'creep' => $plan->chain->creep === null ? null : [
                'from_m' => 0.0, 'to_m' => -round($plan->chain->creep->metres, 2), 'time_s' => round($plan->chain->creep->seconds, 2),
            ],
            'stages' => array_map(static fn (Stage $stage): array => [
                'name' => $stage->name, 'from_m' => round($stage->fromMetres, 2), 'to_m' => round($stage->toMetres, 2),
                'steps' => array_map(static fn (Step $step): string => $step->value, $stage->steps), 'message' => $stage->message,
            ], $plan->stages),
            'not_planned' => null,
            'sign' => $plan->sign === null ? null : [
                'at_m' => round($plan->sign->atMetres, 2), 'from_m' => round($plan->sign->fromMetres, 2), 'by_m' => round($plan->sign->byMetres, 2),
                'spare_s' => round($plan->sign->spareSeconds, 2), 'in_time' => $plan->sign->inTime(),
            ],
            'steps' => $steps,
            'groups' => self::groups($approach->practice->steps, array_column($steps, 'step')),
            'phases' => self::phases($plan),
            'gear_changes' => array_map(static fn (GearChange $change): array => [
                'from' => $change->from, 'to' => $change->to,
                'down_m' => round($plan->chain->metres($change->downSeconds), 2), 'up_m' => round($plan->chain->metres($change->upSeconds), 2),
            ], $plan->gears->changes ?? []),
            'gear_after_line' => $plan->gears?->finalGear(),
            'gives_way' => WhoWaitsPresenter::rows($approach),
            'place' => self::road($approach, LateralPath::usualMetres($approach), $plan->path->targetMetres),
            'profile' => $plan->profile(),
            'conflicts' => array_map(self::conflict(...), $plan->conflicts),
            'practice' => self::choices($card),
            'then' => null,
        ];
    }

    /** @return array<string, mixed> */
    private static function step(StepPlan $step, string $name, Card $card): array
    {
        return [
            'step' => $name,
            'earliest_m' => round($step->window->earliestMetres, 2),
            'best_m' => round($step->window->bestMetres, 2),
            'latest_m' => round($step->window->latestMetres, 2),
            'end_m' => round($step->window->endMetres, 2),
            'best_s' => round($step->bestSeconds, 2),
            'speed_mps' => round($step->speedMps, 3),
            'gear' => $step->gear,
            'do' => $step->instruction->do,
            'why' => $step->instruction->why,
            'usual_mistake' => $step->instruction->usualMistake,
            'watch' => $step->instruction->watch,
            'says' => $name === 'gear' ? [] : $card->says[$name] ?? [],
            'source' => $step->instruction->source()->words(),
        ];
    }

    /**
     * How the practice counts the steps: each alone, or the last three as one manoeuvre.
     *
     * @param  list<string>  $steps
     * @return list<array{name: string, steps: list<string>}>
     */
    public static function groups(StepCount $count, array $steps): array
    {
        if ($count !== StepCount::Three) {
            return array_map(static fn (string $step): array => ['name' => $step, 'steps' => [$step]], $steps);
        }
        $first = array_values(array_intersect($steps, ['mirrors', 'signal']));

        return [
            ...array_map(static fn (string $step): array => ['name' => $step, 'steps' => [$step]], $first),
            ['name' => 'manoeuvre', 'steps' => array_values(array_diff($steps, $first))],
        ];
    }

    /** @return list<array{question: string, text: string, value: string, words: string, reason: string}> */
    public static function choices(Card $card): array
    {
        return array_map(
            static fn (array $choice): array => [
                'question' => $choice['question'], 'text' => $choice['text'], 'value' => $choice['value'], 'words' => $choice['words'],
                'reason' => $choice['reason'],
            ],
            $card->choices,
        );
    }

    /** @return list<array{phase: string, from_m: float, to_m: float, decel_mps2: float, brake: bool}> */
    private static function phases(ApproachPlan $plan): array
    {
        $metres = $plan->chain->profile->lengthInMetres();
        $rows = [];
        foreach ($plan->chain->profile->segments as $segment) {
            $rows[] = [
                'phase' => $segment->phase->value,
                'from_m' => round($metres, 2),
                'to_m' => round(max(0.0, $metres - $segment->metres), 2),
                'decel_mps2' => round($segment->decelerationMps2, 3),
                'brake' => ! in_array(
                    $segment->phase, [Phase::EasingOff, Phase::Holding, Phase::Crawl, Phase::Steady], true,
                ) && $plan->chain->slowing->needsBrake($segment->decelerationMps2),
            ];
            $metres -= $segment->metres;
        }

        return $rows;
    }

    /** @return array<string, mixed> the road for drawing; lateral places from the nearside kerb */
    public static function road(Approach $approach, float $usual, float $target): array
    {
        $stretch = static fn (Stretch $stretch): array => [
            'side' => $stretch->flank->side($approach->pack)->value, 'from_m' => $stretch->farMetres, 'to_m' => $stretch->nearMetres,
        ];

        return [
            'keeps' => $approach->pack->keeps()->value,
            'road_width_m' => $approach->roadWidth->inMetres(),
            'one_way' => $approach->oneWay,
            'control' => $approach->control->value,
            'light' => $approach->light->value,
            'exit' => $approach->wayOut->value,
            'island' => Island::of($approach->routine)?->value,
            'turns_off' => $approach->demand->arrival === Arrival::Turning,
            'view_from_m' => $approach->junction->viewBeyondMetres > 0.0 ? -$approach->junction->viewBeyondMetres : $approach->viewFromMetres,
            'room_m' => $approach->room?->inMetres(),
            'openings' => array_map($stretch, $approach->openings),
            'parked' => array_map($stretch, $approach->parked),
            'car_length_m' => $approach->vehicle->length->inMetres(),
            'car_width_m' => $approach->vehicle->width->inMetres(),
            'path_before_m' => $approach->junction->pathBeforeMetres,
            'cycle_box_m' => $approach->junction->cycleBoxMetres,
            'bend' => $approach->ahead->curve === null ? null : [
                'radius_m' => $approach->ahead->curve->radiusMetres, 'from_m' => $approach->ahead->curve->farMetres,
                'to_m' => $approach->ahead->curve->nearMetres, 'offset_m' => $approach->ahead->curve->offsetMetres,
                'seen_m' => is_infinite($approach->ahead->curve->seenMetres()) ? null : round($approach->ahead->curve->seenMetres(), 1),
            ],
            'crest' => self::crest($approach),
            'dip' => self::dip($approach),
            'lateral_usual_m' => round($usual, 3),
            'lateral_target_m' => round($target, 3),
        ];
    }

    /** @return ?array<string, float> */
    private static function crest(Approach $approach): ?array
    {
        $crest = $approach->ahead->crest;

        return $crest === null ? null : [
            'from_m' => $crest->farMetres, 'to_m' => $crest->nearMetres, 'gradient_change' => $crest->gradientChange,
            'seen_m' => round($crest->seenMetres(Handling::of($approach->vehicle)->eyeMetres), 1),
        ];
    }

    /** @return ?array<string, ?float> */
    private static function dip(Approach $approach): ?array
    {
        $dip = $approach->ahead->dip;
        $eye = Handling::of($approach->vehicle)->eyeMetres;
        $from = $dip?->leastFromMetres($eye);

        return $dip === null ? null : [
            'from_m' => $dip->farMetres, 'to_m' => $dip->nearMetres, 'depth_m' => $dip->depthMetres,
            'seen_m' => $from === null ? null : round($dip->seenMetres($eye), 1), 'least_from_m' => $from === null ? null : round($from, 1),
        ];
    }

    /** @return array<string, mixed> */
    private static function conflict(Conflict $conflict): array
    {
        $round = static fn (?float $value): ?float => $value === null ? null : round($value, 2);

        return [
            'code' => $conflict->code,
            'rule' => $conflict->rule,
            'rule_m' => $round($conflict->ruleMetres),
            'needed_m' => $round($conflict->neededMetres),
            'shift_m' => $round($conflict->shiftMetres()),
            'done' => $conflict->done,
            'message' => $conflict->message,
            'data' => $conflict->data === [] ? new \stdClass : $conflict->data,
        ];
    }
}
