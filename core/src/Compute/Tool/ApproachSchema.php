<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Out;
use NobleTurn\Core\Judgement\Braking;
use NobleTurn\Core\Motion\Phase;
use NobleTurn\Core\Plan\Between;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/** What the answer of the approach tool holds. */
final class ApproachSchema
{
    /** In the unit of the pack only. */
    private const HEADLINES = ['approach_speed_mph', 'approach_speed_kmh', 'line_speed_mph', 'line_speed_kmh'];

    public const SIDES = ['left', 'right'];

    /** @return array<string, mixed> one that nothing follows */
    public static function alone(): array
    {
        return Out::object(self::plan() + ['then' => ['type' => 'null']], self::HEADLINES);
    }

    /** @return array<string, array<string, mixed>> */
    public static function of(): array
    {
        $then = Out::object([
            'verdict' => Out::choice(Between::class),
            'message' => Out::text('sentence for the user'),
            'room_m' => Out::number('from the end of the one before to this line'),
            'reached_mps' => Out::number('speed between them'),
            'earliest_m' => Out::number('where this routine may begin, metres to its own line'),
            'say_together' => Out::flag('its direction has to be said before the one before it'),
            'direction' => Out::text('how it is said'),
            'plan' => Out::maybe(self::alone(), 'its plan, on its own axis'),
        ]);

        return self::plan() + ['then' => [
            'anyOf' => [$then, ['type' => 'array', 'items' => $then], ['type' => 'null']],
            'description' => 'the hazard after this one, where one was given; a list where a list was',
        ]];
    }

    /** @return array<string, array<string, mixed>> */
    private static function plan(): array
    {
        $metres = static fn (string $about): array => Out::number("{$about}, metres to the line");
        $column = static fn (
            string $about, string $type = 'number', bool $nullable = false,
        ): array => Out::list(['type' => $nullable ? [$type, 'null'] : $type], $about);

        return [
            'length_unit' => Out::choice(['m', 'ft'], 'in which short distances are spoken there; the fields stay in metres'),
            'axis' => ['const' => 'distance'],
            'routine' => Out::choice(RoutineCode::class, 'the routine planned'),
            'title' => Out::text('its name'),
            'turn_side' => Out::choice(self::SIDES, 'the side turned or moved to; null where none is', nullable: true),
            'fits' => Out::flag('whether every rule holds at the speed asked for'),
            'speed_to_fit_mps' => Out::number('where it does not fit: the speed the plan is for', nullable: true),
            ...CommonFields::headlineSpeedSchema('approach_speed', 'speed the plan starts with'),
            ...CommonFields::headlineSpeedSchema('line_speed', 'speed at the line'),
            'say_at_m' => $metres('by where the direction must have been given'),
            'ease_off_m' => $metres('where the accelerator is released'),
            'ease_off_s' => Out::number('the same in seconds to go'),
            'peak_decel_mps2' => Out::number('hardest slowing of the plan'),
            'braking' => Out::choice(Braking::class, 'how that feels'),
            'signal_rule_m' => Out::number('where the practice’s rule of thumb puts the signal', nullable: true),
            'direction' => Out::text('how the instructor asks for it'),
            'point_of_no_return_m' => Out::number(
                'under lights: nearer than this one goes on even if they change; null where that is no question', nullable: true,
            ),
            'creep' => Out::maybe(Out::object([
                'from_m' => $metres('the line'), 'to_m' => $metres('where the view opens, negative beyond it'), 'time_s' => Out::number('it takes'),
            ]), 'past the line to where the view opens'),
            'stages' => self::stages(),
            'not_planned' => ['type' => 'null'],
            'sign' => Out::maybe(Out::object([
                'at_m' => $metres('the sign'), 'from_m' => $metres('where it can first be read'), 'by_m' => $metres('by where reading it must begin'),
                'spare_s' => Out::number('between the two; negative where the sign comes too late'),
                'in_time' => Out::flag('whether it can be read before the mirrors are due'),
            ]), 'where a sign says the way instead'),
            'steps' => Out::list(Out::object([
                'step' => Out::choice(self::steps()),
                'earliest_m' => $metres('before it would mislead'), 'best_m' => $metres('the point named at the kerb'),
                'latest_m' => $metres('after it another rule breaks'), 'end_m' => $metres('where it is done'),
                'best_s' => Out::number('seconds to go'), 'speed_mps' => Out::number('speed there'),
                'gear' => Out::integer('gear there; null without a clutch', nullable: true),
                ...self::words(),
            ])),
            'groups' => self::groups(),
            'phases' => Out::list(
                Out::object([
                    'phase' => Out::choice(Phase::class, 'what the foot does'), 'from_m' => $metres('start'), 'to_m' => $metres('end'),
                    'decel_mps2' => Out::number('slowing'), 'brake' => Out::flag('whether the brake is needed for it'),
                ]),
            ),
            'gear_changes' => Out::list(
                Out::object(['from' => Out::integer('gear'), 'to' => Out::integer('gear'), 'down_m' => $metres('clutch down'), 'up_m' => $metres('clutch up')]),
            ),
            'gear_after_line' => Out::integer('gear to go on in', nullable: true),
            'gives_way' => WhoWaitsPresenter::schema(),
            'place' => ApproachPlaceSchema::schema(),
            'profile' => Out::object([
                'distance_m' => $column('metres to the line'), 'time_s' => $column('seconds to go'), 'speed_mps' => $column('speed'),
                'decel_mps2' => $column('deceleration until the next row'),
                'gear' => $column('gear', 'integer', true), 'clutch' => $column('up, slipping or down', 'string', true),
                'lateral_m' => $column('car’s middle, metres from the nearside kerb'),
            ]),
            'conflicts' => self::conflicts(),
            'practice' => self::practice(),
        ];
    }

    /**
     * A plan in time: the car stands until its end, so each step has a moment and no place.
     *
     * @return array<string, array<string, mixed>>
     */
    public static function inTime(): array
    {
        $column = static fn (string $about, string $type, bool $nullable): array => Out::list(['type' => $nullable ? [$type, 'null'] : $type], $about);

        return [
            'axis' => ['const' => 'time'],
            'routine' => Out::choice(RoutineCode::class, 'the routine planned'),
            'title' => Out::text('its name'),
            'turn_side' => Out::choice(self::SIDES, 'the side moved to; null where none is', nullable: true),
            'direction' => Out::text('how the instructor asks for it'),
            'fits' => Out::flag('a standing car has all the time it needs'),
            'steps' => Out::list(Out::object([
                'step' => Out::choice(self::steps()), 'best_s' => Out::number('seconds until the wheels turn'),
                'gear' => Out::integer('selected; null without a clutch', nullable: true), ...self::words(),
            ])),
            'groups' => self::groups(),
            'gear_after_line' => Out::integer('gear to go on in', nullable: true),
            'gives_way' => WhoWaitsPresenter::schema(),
            'place' => ApproachPlaceSchema::schema(),
            'profile' => Out::object([
                'time_s' => $column('seconds to go', 'number', false), 'gear' => $column('gear', 'integer', true),
                'clutch' => $column('up, slipping or down', 'string', true), 'lateral_m' => $column('car’s middle, metres from the '
                    .'nearside kerb', 'number', false),
            ]),
            'conflicts' => self::conflicts(),
            'practice' => self::practice(),
        ];
    }

    /**
     * No plan at all: nothing slower would help.
     *
     * @return array<string, array<string, mixed>>
     */
    public static function notPlanned(): array
    {
        $nothing = static fn (string $about): array => ['type' => 'array', 'maxItems' => 0, 'items' => ['type' => 'number'], 'description' => $about];

        return [
            'length_unit' => Out::choice(['m', 'ft'], 'in which short distances are spoken there; the fields stay in metres'),
            'axis' => ['const' => 'none'],
            'routine' => Out::choice(RoutineCode::class, 'the routine asked for'),
            'title' => Out::text('its name'),
            'turn_side' => Out::choice(self::SIDES, 'the side turned or moved to; null where none is', nullable: true),
            'direction' => Out::text('how the instructor asks for it'),
            'fits' => ['const' => false],
            'speed_to_fit_mps' => ['type' => 'null', 'description' => 'no speed would do'],
            'not_planned' => Out::object(['reason' => Out::choice(['vehicle', 'too-narrow']), 'message' => Out::text('sentence for the user')]),
            'steps' => $nothing('none'),
            'groups' => $nothing('none'),
            'stages' => $nothing('none'),
            'gives_way' => WhoWaitsPresenter::schema(),
            'place' => ApproachPlaceSchema::schema(),
            'profile' => Out::object(array_fill_keys(
                ['distance_m', 'time_s', 'speed_mps', 'decel_mps2', 'gear', 'clutch', 'lateral_m'], $nothing('empty'),
            )),
            'conflicts' => self::conflicts(),
            'practice' => self::practice(),
            'then' => ['type' => 'null'],
        ];
    }

    /** @return array<string, mixed> */
    private static function stages(): array
    {
        return Out::list(Out::object([
            'name' => Out::choice(['first', 'second']), 'from_m' => Out::number('beginning, metres to the line'),
            'to_m' => Out::number('end; backwards it is farther from the line'), 'steps' => Out::list(Out::choice(Step::class)),
            'message' => Out::text('how it is said'),
        ]), 'the two parts of an exercise driven in two; empty for one');
    }

    /** @return non-empty-list<string> */
    private static function steps(): array
    {
        return [...array_map(static fn (Step $step): string => $step->value, Step::cases()), 'gear'];
    }

    /** @return array<string, array<string, mixed>> of a step */
    private static function words(): array
    {
        return [
            'do' => Out::text('what'), 'why' => Out::text('reason'), 'usual_mistake' => Out::text('what goes wrong'),
            'watch' => Out::text('what the instructor watches'), 'says' => Out::list(['type' => 'string'], 'what the practice adds'),
            'source' => Out::text('status of the instruction'),
        ];
    }

    /** @return array<string, mixed> */
    private static function groups(): array
    {
        return Out::list(
            Out::object(['name' => Out::text('as the practice counts'), 'steps' => Out::list(Out::choice(self::steps()))]),
            'the steps as the practice counts them',
        );
    }

    /** @return array<string, mixed> */
    private static function practice(): array
    {
        return Out::list(
            Out::object([
                'question' => Out::text('what practices differ in'), 'text' => Out::text('the question in words'),
                'value' => Out::text('the choice used'), 'words' => Out::text('the choice in words'), 'reason' => Out::text('why one would'),
            ]),
        );
    }

    /** @return array<string, mixed> */
    private static function conflicts(): array
    {
        return Out::list(Out::object([
            'code' => Out::text('stable name'), 'rule' => Out::text('the rule that gave way'),
            'rule_m' => Out::number('its place', nullable: true), 'needed_m' => Out::number('the place taken', nullable: true),
            'shift_m' => Out::number('how far it was moved, + earlier', nullable: true), 'done' => Out::text('what the plan did'),
            'message' => Out::text('sentence for the user'), 'data' => ['type' => 'object'],
        ]));
    }
}
