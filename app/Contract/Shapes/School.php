<?php

namespace App\Contract\Shapes;

use App\Contract\Shapes;
use NobleTurn\Core\Compute\Out;
use NobleTurn\Core\Next\Verdict;
use NobleTurn\Core\Skill\StandstillReason;
use NobleTurn\Core\Trade\Step;

/** The school as its marks show it, its people, and what it keeps of them. */
final class School
{
    /** @return array<string, array<string, mixed>> */
    public static function shapes(): array
    {
        $state = [
            'stale' => Out::integer('records left to do'),
            'progress' => Out::maybe(Out::object(['done' => Out::integer(''), 'of' => Out::integer('')])),
            'failed' => Out::integer('jobs that failed a short while ago'),
        ];
        $named = ['id' => Shapes::id(), 'name' => Out::text('')];
        $archived = Out::list(Out::object($named + ['at' => Shapes::moment(), 'by' => Out::text('', nullable: true)]), 'the last archived first');

        return [
            ...self::taught(),
            'RecordsState' => Out::object($state),
            'SchoolLearners' => Out::object(['learners' => Shapes::listOf('SchoolLearner')] + $state),
            'Reading' => Out::object(['colleagues_read' => Out::flag('whether instructors read each other’s lessons')]),
            'SchoolPosition' => Out::object([
                'latitude_deg' => Out::number('null where it is not known', nullable: true), 'longitude_deg' => Out::number('likewise', nullable: true),
            ]),
            'Person' => Out::object(
                $named + [
                    'email' => Out::text(''), 'role' => Shapes::ref('Role'), 'state' => Out::choice(['invited', 'joined', 'suspended']),
                    'lessons_ahead' => Out::integer(''), 'last_seen_at' => Shapes::moment(nullable: true),
                ],
            ),
            'People' => Out::object([
                'people' => Shapes::listOf('Person'), 'mail' => Out::flag('whether letters go by mail; otherwise they wait in the outbox'),
            ]),
            'Letter' => Out::object([
                'id' => Shapes::id(), 'kind' => Out::choice(['invitation', 'password']), 'subject' => Out::text(''),
                'to' => Out::object($named + ['email' => Out::text('')]), 'created_at' => Shapes::moment(), 'ends_at' => Shapes::moment(),
                'opens' => Out::flag('its link still lets somebody in'), 'by_mail' => Out::flag(''), 'body' => Out::text('', nullable: true),
            ]),
            'Letters' => Out::object(['mail' => Out::flag(''), 'letters' => Shapes::listOf('Letter')]),
            'LessonsAhead' => Out::object([
                'learners' => Out::list(Out::object($named + ['lessons' => Out::integer(''), 'next_at' => Shapes::moment()])),
                'clashes' => Out::list(Out::object(['starts_at' => Shapes::moment(), 'learner' => Out::text(''), 'with' => Out::text('')])),
            ]),
            'Moved' => Out::object([
                'moved' => Out::integer('lessons handed over'), 'stayed' => Out::integer('that stay, because the colleague is taken then'),
            ]),
            'Change' => Out::object([
                'id' => Shapes::id(), 'at' => Shapes::moment(), 'by' => Out::text('who'),
                'what' => Out::choice(['added', 'changed', 'archived', 'restored', 'suspended', 'let-in', 'letter', 'handed-over', 'handed-out', 'erased']),
                'kind' => Out::choice(['learner', 'place', 'site', 'car', 'person', 'school', 'circuit', 'centre']),
                'subject_id' => Shapes::id(), 'name' => Out::text(''),
                'details' => [
                    'type' => 'object',
                    'properties' => ['fields' => Out::list(Out::text('')), 'lessons' => Out::integer(''), 'to' => Out::text(''), 'kind' => Out::text('')],
                    'additionalProperties' => false,
                ],
            ]),
            'Changes' => Out::object(['more' => Out::flag(''), 'changes' => Shapes::listOf('Change')]),
            'Archive' => Out::object(['learners' => $archived, 'places' => $archived, 'sites' => $archived, 'vehicles' => $archived, 'circuits' => $archived,
                'centres' => $archived]),
            'Keeping' => Out::object([
                'keep_months' => Out::integer('', nullable: true), 'keep_minors_months' => Out::integer('', nullable: true),
                'coming' => Out::list(
                    Out::object(
                        $named + [
                            'is_minor' => Out::flag(''), 'last_at' => Shapes::moment(), 'erased_on' => Shapes::day(),
                            'keep_until' => Shapes::day(nullable: true),
                        ],
                    ),
                ),
            ]),
            'LearnerData' => self::learnerData(),
        ];
    }

    /** @return array<string, array<string, mixed>> */
    private static function taught(): array
    {
        $named = ['id' => Shapes::id(), 'name' => Out::text('')];
        $chance = static fn (): array => Out::number('0 to 1', nullable: true);
        $shareOrNull = Shapes::refOrNull('Share');

        return [
            'Share' => Out::object([
                'count' => Out::integer(''), 'of' => Out::integer(''), 'low' => Out::number('what the share may be'), 'high' => Out::number(''),
            ]),
            'SchoolLearner' => Out::object([
                'id' => Shapes::id(), 'name' => Out::text(''), 'level' => Shapes::ref('Level'), 'lessons_done' => Out::integer(''),
                'last_lesson_at' => Shapes::moment(nullable: true), 'next_lesson_at' => Shapes::moment(nullable: true),
                'test_at' => Shapes::moment(nullable: true), 'outlook' => Shapes::refOrNull('Outlook'),
                'skill' => Out::maybe(Out::object([
                    'day' => Shapes::day(), 'average' => $chance(), 'steps' => Shapes::byName(Shapes::ref('Believed'), 'by step'),
                    'marks' => Out::integer(''), 'holds_back' => Shapes::refOrNull('HeldBackBy'), 'never_done' => Out::integer(''),
                    'not_for_long' => Out::integer(''),
                ])),
            ]),
            'Outlook' => Out::object([
                'verdict' => Out::choice(Verdict::class), 'chance' => $chance(), 'missing' => Out::integer('how many things'),
                'lessons' => Out::maybe(Out::object(['low' => Out::integer(''), 'middle' => Out::integer(''), 'high' => Out::integer('')])),
                'most_lessons' => Out::integer('no further ahead is looked'), 'in_time' => ['type' => ['boolean', 'null']],
                'lessons_by_test' => Out::integer('', nullable: true),
                'standstill' => Out::maybe(Out::object([
                    'gain' => Out::number('in the chance of unaided'), 'lessons' => Out::integer('over which'),
                    'steps' => Out::integer('held against each other'),
                    'marks' => Out::integer(''), 'reason' => Out::choice(StandstillReason::class), 'message' => Out::text('a sentence'),
                ]), 'null where they gain, or where too little is known'),
            ]),
            'SchoolForetelling' => Out::object([
                'learners' => Out::integer('of whom something was foretold'), 'school' => Shapes::refOrNull('Calibration'),
                'doubted' => Out::list(Out::object([
                    'learner' => Out::object($named), 'lessons' => Out::integer('the latest'), 'marks' => Out::integer(''),
                    'message' => Out::text('a sentence'),
                ]), 'by name'),
                'instructors' => Out::list(Out::object([
                    'user' => Out::object($named), 'learners' => Out::integer('shared with colleagues'),
                    'stricter' => Out::number('logits; below 0 more lenient'), 'low' => Out::number('lower end of the 80 % range'),
                    'high' => Out::number('its upper end'),
                    'message' => Out::text('a sentence'),
                ]), 'by name, no ranking'),
            ]),
            'SchoolTests' => Out::object([
                'held' => Out::object([
                    'tests' => Out::integer('of which something was marked before'), 'enough' => Out::flag('to say anything'),
                    'expected' => Out::number('passes that the marks let expect', nullable: true), 'passed' => $shareOrNull,
                    'message' => Out::text('a sentence'),
                    'bins' => Out::list(Out::object([
                        'from' => Out::number('the chance that was said, at the least'), 'until' => Out::number('and under'),
                        'said' => Out::number('their mean'), 'passed' => Shapes::ref('Share'),
                    ]), 'the least likely first'),
                ]),
                'centres' => Out::list(Out::object([
                    'id' => Shapes::id(), 'name' => Out::text(''), 'tests' => Out::integer('real ones'), 'passed' => $shareOrNull,
                    'known' => Out::integer('failed, by what is known'), 'least' => Out::integer('so many of those it takes to say anything'),
                    'steps' => Out::list(Out::object([
                        'step' => Shapes::ref('Step'), 'routine' => Shapes::refOrNull('RoutineCode'), 'share' => Shapes::ref('Share'),
                    ]), 'whose faults decided, the most often first'),
                ]), 'by name'),
            ]),
            'GivenRemedy' => Out::object([
                'step' => Shapes::ref('Step'), 'fault' => Shapes::refOrNull('Fault'), 'what' => Out::choice(['remedy', 'drill']),
                'times' => Out::integer('given'), 'given_to' => Out::integer('learners'), 'effect' => Shapes::ref('RemedyEffect'),
            ]),
            'Teaching' => Out::object([
                'routines' => Out::list(
                    Out::object([
                        'routine' => Shapes::ref('RoutineCode'), 'learners' => Out::integer(''), 'only_shown' => Out::integer(''),
                        'never' => Out::integer(''), 'enough' => Out::flag(''), 'average' => $chance(), 'low' => $chance(), 'high' => $chance(),
                        'weakest' => Out::choice(Step::class, nullable: true),
                    ]),
                ),
                'failures' => Out::list(
                    Out::object([
                        'routine' => Shapes::ref('RoutineCode'), 'step' => Shapes::ref('Step'), 'helped' => Shapes::ref('Share'),
                        'learners' => Out::integer(''), 'enough' => Out::flag(''), 'cause' => Shapes::refOrNull('Step'),
                        'cause_shows' => Out::flag(''), 'with' => $shareOrNull, 'without' => $shareOrNull,
                    ]),
                ),
                'places' => Out::list(
                    Out::object([
                        'place' => Shapes::id(), 'name' => Out::text(''), 'routine' => Shapes::ref('RoutineCode'), 'failed' => Shapes::ref('Share'),
                        'learners' => Out::integer(''), 'enough' => Out::flag(''), 'fails_more' => Out::flag(''), 'elsewhere' => Shapes::ref('Share'),
                        'step' => Shapes::refOrNull('Step'), 'step_rounds' => Out::integer(''),
                    ]),
                ),
            ]),
        ];
    }

    /** @return array<string, mixed> as it is described for whoever it is handed out to */
    private static function learnerData(): array
    {
        /** @var array<string, mixed> $schema */
        $schema = json_decode((string) file_get_contents(base_path('docs/schemas/learner-data.json')), true, flags: JSON_THROW_ON_ERROR);

        return array_diff_key($schema, ['$schema' => 0, 'title' => 0]);
    }
}
