<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Out;
use NobleTurn\Core\Motion\Phase;
use NobleTurn\Core\Place\Stretch;
use NobleTurn\Core\Plan\ApproachPlan;
use NobleTurn\Core\Plan\Conflict;
use NobleTurn\Core\Plan\GearChange;
use NobleTurn\Core\Plan\LateralPath;
use NobleTurn\Core\Plan\StepPlan;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Routine\Step;

/** An approach plan as the arrays of the tool's answer, beside the schema that describes them. */
final class ApproachPresenter
{
    /** @return array<string, mixed> */
    public static function body(ApproachPlan $plan): array
    {
        $approach = $plan->approach;
        $profile = $plan->chain->profile;

        return [
            'routine' => $approach->routine->value,
            'title' => Catalogue::routine($approach->routine, $approach->pack)->title,
            'turn_side' => $approach->routine->turnSide()->value,
            'fits' => $plan->fits,
            'speed_to_fit_mps' => $plan->fits ? null : round($profile->approachSpeed(), 3),
            ...CommonFields::headlineSpeed('approach_speed', $profile->approachSpeed(), $approach->pack),
            ...CommonFields::headlineSpeed('line_speed', $profile->lineSpeed(), $approach->pack),
            'say_at_m' => round($plan->sayAtMetres, 2),
            'ease_off_m' => round($plan->easeOffMetres, 2),
            'ease_off_s' => round($profile->secondsAt($plan->easeOffMetres), 2),
            'peak_decel_mps2' => round($profile->peakDeceleration(), 3),
            'signal_rule_m' => $plan->chain->ruleMetres === null ? null : round($plan->chain->ruleMetres, 2),
            'steps' => array_map(self::step(...), $plan->steps),
            'phases' => self::phases($plan),
            'gear_changes' => array_map(static fn (GearChange $change): array => [
                'from' => $change->from, 'to' => $change->to,
                'down_m' => round($plan->chain->metres($change->downS), 2), 'up_m' => round($plan->chain->metres($change->upS), 2),
            ], $plan->gears->changes ?? []),
            'gear_after_line' => $plan->gears?->finalGear(),
            'place' => self::place($plan),
            'profile' => $plan->profile(),
            'conflicts' => array_map(self::conflict(...), $plan->conflicts),
            'practice' => $approach->practice->choices(),
        ];
    }

    /** @return array<string, array<string, mixed>> */
    public static function schema(): array
    {
        $metres = static fn (string $about): array => Out::number("{$about}, metres to the line");
        $stretch = Out::list(Out::object(['side' => ['enum' => ['left', 'right']], 'from_m' => $metres('far end'), 'to_m' => $metres('near end')]));
        $column = static fn (string $about, string $type = 'number', bool $nullable = false): array => Out::list(['type' => $nullable ? [$type, 'null'] : $type], $about);

        return [
            'routine' => Out::text('the routine planned'),
            'title' => Out::text('its name'),
            'turn_side' => ['enum' => ['left', 'right']],
            'fits' => Out::flag('whether every rule holds at the speed asked for'),
            'speed_to_fit_mps' => Out::number('where it does not fit: the speed the plan is for', nullable: true),
            ...CommonFields::headlineSpeedSchema('approach_speed', 'speed the plan starts with'),
            ...CommonFields::headlineSpeedSchema('line_speed', 'speed at the line'),
            'say_at_m' => $metres('by where the direction must have been given'),
            'ease_off_m' => $metres('where the gas is released'),
            'ease_off_s' => Out::number('the same in seconds to go'),
            'peak_decel_mps2' => Out::number('hardest slowing of the plan'),
            'signal_rule_m' => Out::number('where the practice’s rule of thumb puts the signal', nullable: true),
            'steps' => Out::list(Out::object([
                'step' => ['enum' => array_map(static fn (Step $step): string => $step->value, Step::cases())],
                'earliest_m' => $metres('before it would mislead'), 'best_m' => $metres('the point named at the kerb'),
                'latest_m' => $metres('after it another rule breaks'), 'end_m' => $metres('where it is done'),
                'best_s' => Out::number('seconds to go'), 'speed_mps' => Out::number('speed there'),
                'gear' => Out::integer('gear there; null without a clutch', nullable: true),
                'do' => Out::text('what'), 'why' => Out::text('reason'), 'usual_mistake' => Out::text('what goes wrong'), 'source' => Out::text('status of the instruction'),
            ])),
            'phases' => Out::list(Out::object(['phase' => Out::text('what the foot does'), 'from_m' => $metres('start'), 'to_m' => $metres('end'), 'decel_mps2' => Out::number('slowing'), 'brake' => Out::flag('whether the brake is needed for it')])),
            'gear_changes' => Out::list(Out::object(['from' => Out::integer('gear'), 'to' => Out::integer('gear'), 'down_m' => $metres('clutch down'), 'up_m' => $metres('clutch up')])),
            'gear_after_line' => Out::integer('gear to go on in', nullable: true),
            'place' => Out::object([
                'keeps' => ['enum' => ['left', 'right']], 'road_width_m' => Out::number('kerb to kerb'), 'one_way' => Out::flag('one-way'), 'control' => Out::text('what governs the line'),
                'view_from_m' => $metres('where the view opens'), 'room_m' => Out::number('room before the line', nullable: true),
                'openings' => $stretch, 'parked' => $stretch, 'car_length_m' => Out::number('of the vehicle'), 'car_width_m' => Out::number('of the vehicle'),
                'lateral_usual_m' => Out::number('middle of our lane, from the nearside kerb'), 'lateral_target_m' => Out::number('place for the turn'),
            ]),
            'profile' => Out::object([
                'distance_m' => $column('metres to the line'), 'time_s' => $column('seconds to go'), 'speed_mps' => $column('speed'), 'decel_mps2' => $column('deceleration until the next row'),
                'gear' => $column('gear', 'integer', true), 'clutch' => $column('up, slipping or down', 'string', true), 'lateral_m' => $column('car’s middle, metres from the nearside kerb'),
            ]),
            'conflicts' => Out::list(Out::object([
                'code' => Out::text('stable name'), 'rule' => Out::text('the rule that gave way'), 'rule_m' => Out::number('its place', nullable: true), 'needed_m' => Out::number('the place taken', nullable: true),
                'shift_m' => Out::number('how far it was moved, + earlier', nullable: true), 'done' => Out::text('what the plan did'), 'message' => Out::text('sentence for the user'), 'data' => ['type' => 'object'],
            ])),
            'practice' => Out::list(Out::object(['question' => Out::text('what practices differ in'), 'value' => Out::text('the choice used'), 'reason' => Out::text('why one would')])),
        ];
    }

    /** @return array<string, mixed> */
    private static function step(StepPlan $step): array
    {
        return [
            'step' => $step->step->value,
            'earliest_m' => round($step->window->earliestMetres, 2),
            'best_m' => round($step->window->bestMetres, 2),
            'latest_m' => round($step->window->latestMetres, 2),
            'end_m' => round($step->window->endMetres, 2),
            'best_s' => round($step->bestSeconds, 2),
            'speed_mps' => round($step->speed, 3),
            'gear' => $step->gear,
            'do' => $step->instruction->do,
            'why' => $step->instruction->why,
            'usual_mistake' => $step->instruction->usualMistake,
            'source' => $step->instruction->source()->words(),
        ];
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
                'decel_mps2' => round($segment->deceleration, 3),
                'brake' => ! in_array($segment->phase, [Phase::EasingOff, Phase::Holding, Phase::Crawl, Phase::Steady], true) && $plan->chain->slowing->needsBrake($segment->deceleration),
            ];
            $metres -= $segment->metres;
        }

        return $rows;
    }

    /** @return array<string, mixed> */
    private static function place(ApproachPlan $plan): array
    {
        $approach = $plan->approach;
        $stretch = static fn (Stretch $stretch): array => ['side' => $stretch->flank->side($approach->pack)->value, 'from_m' => $stretch->farMetres, 'to_m' => $stretch->nearMetres];

        return [
            'keeps' => $approach->pack->keeps()->value,
            'road_width_m' => $approach->roadWidth->inMetres(),
            'one_way' => $approach->oneWay,
            'control' => $approach->control->value,
            'view_from_m' => $approach->viewFromMetres,
            'room_m' => $approach->room?->inMetres(),
            'openings' => array_map($stretch, $approach->openings),
            'parked' => array_map($stretch, $approach->parked),
            'car_length_m' => $approach->vehicle->length->inMetres(),
            'car_width_m' => $approach->vehicle->width->inMetres(),
            'lateral_usual_m' => round(LateralPath::usual($approach), 3),
            'lateral_target_m' => round($plan->path->target, 3),
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
