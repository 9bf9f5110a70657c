<?php

namespace App\Contract\Shapes;

use App\Contract\Shapes;
use NobleTurn\Core\Compute\Out;
use NobleTurn\Core\Compute\Tool\NextLessonPresenter;
use NobleTurn\Core\Diary\LessonState;
use NobleTurn\Core\Next\WhyNot;
use NobleTurn\Core\Record\Conditions;
use NobleTurn\Core\Record\Counted;
use NobleTurn\Core\Record\Decision;
use NobleTurn\Core\Record\Outcome;
use NobleTurn\Core\Record\Taught;
use NobleTurn\Core\Routine\Faults;
use NobleTurn\Core\Trade\Effect;
use NobleTurn\Core\Trade\LearnerLevel;
use NobleTurn\Core\Trade\Stage;

/** Lessons: the day, one lesson as a page, its plan, rounds and marks. */
final class Lessons
{
    /** @return array<string, array<string, mixed>> */
    public static function shapes(): array
    {
        $line = self::line();
        $way = [
            'site' => Shapes::id(), 'name' => Out::text('as it is said'), 'from' => Out::text('an arm'), 'to' => Out::text('an arm'),
            'routine' => Shapes::ref('RoutineCode'),
        ];
        $item = Out::object([
            'id' => Shapes::id(), 'routine' => Shapes::ref('RoutineCode'), 'ordinal' => Out::integer('from 1'), 'minutes' => Out::integer(''),
            'place' => Shapes::ref('Place'),
        ]);
        $promised = ['promised' => Shapes::listOf('Promised') + ['description' => 'by the learner or to them, not yet kept']];

        return [
            'Outcome' => Out::choice(Outcome::class, 'how much help a step took'),
            'Taught' => Out::choice(Taught::class), 'Stage' => Out::choice(Stage::class), 'Decision' => Out::choice(Decision::class),
            'Counted' => Out::choice(Counted::class),
            'Fault' => Out::choice(Faults::codes(), 'kinds of fault, over all steps'),
            'Effect' => Out::choice(Effect::class, 'what a fault did to others'),
            'Level' => Out::choice(LearnerLevel::class),
            'Conditions' => Out::object(array_map(static fn (array $names): array => Out::choice($names), Conditions::KINDS), array_keys(Conditions::KINDS)),
            'LessonState' => Out::choice(LessonState::class, 'what has become of a lesson'),
            'LessonLine' => $line,
            'PlannedItem' => $item,
            'LessonItem' => Shapes::with(
                $item,
                ['plan' => Shapes::ref('Planned') + ['description' => 'what its tool is asked for this lesson'], 'drawings' => Shapes::listOf('Drawing')],
            ),
            'Aim' => Out::object(NextLessonPresenter::aim()),
            'ProposedLesson' => Out::object([
                'aims' => Shapes::listOf('Aim') + ['description' => 'one or two, the main one first'],
                'ways' => Out::list(Out::object($way + ['rounds' => Out::integer(''), 'minutes' => Out::integer('with the drive that leads there')]),
                    'in the order driven'),
                'driven_m' => Out::integer(''), 'spare_s' => Out::integer('left over'), 'talked_s' => Out::integer('before and after'),
                'exact' => Out::flag('no other choice of these ways is worth more'), 'value' => Out::number('what its rounds are expected to bring'),
                'is_placed' => Out::flag('where it begins is known, and there is time to drive from there'),
                'farther' => Out::integer('ways of the school that were not looked at: others of their kind are nearer'),
                'lacking' => Out::list(Out::object([
                    'condition' => Out::choice(['busy', 'night', 'wet']), 'possible' => Out::flag('in this lesson'), 'message' => Out::text(''),
                ])),
                'left_out' => Out::list(Out::object($way + ['reason' => Out::choice(WhyNot::class), 'message' => Out::text('')])),
            ]),
            'Promised' => Out::object([
                'id' => Shapes::id(), 'lesson_id' => Shapes::id(), 'kind' => Out::choice(['promise', 'homework']), 'text' => Out::text(''),
                'routine' => Shapes::refOrNull('RoutineCode'), 'step' => Shapes::refOrNull('Step'), 'kept_at' => Shapes::moment(nullable: true),
            ]),
            'Remedy' => Out::object([
                'id' => Shapes::id(), 'lesson_id' => Shapes::id(), 'routine' => Shapes::ref('RoutineCode'), 'step' => Shapes::ref('Step'),
                'fault' => Shapes::refOrNull('Fault'), 'what' => Out::choice(['remedy', 'drill']),
            ]),
            'RemedyEffect' => Out::object([
                'learners' => Out::integer('with marks before and after'),
                'change' => Out::number('of the share that was clean, less what other steps gained; null where it is not known yet', nullable: true),
                'low' => Out::number('lower end of its 80 % range', nullable: true), 'high' => Out::number('its upper end', nullable: true),
                'message' => Out::text(''),
            ]),
            'Helped' => Out::object(['remedy' => Shapes::ref('RemedyEffect'), 'drill' => Shapes::ref('RemedyEffect')]),
            'LessonAim' => Out::object(['routine' => Shapes::refOrNull('RoutineCode'), 'step' => Shapes::refOrNull('Step')]),
            'NextLesson' => Shapes::with($line, ['items' => Shapes::listOf('PlannedItem')] + $promised),
            'Today' => Out::object([
                'day' => Shapes::day(), 'lessons' => Shapes::listOf('LessonLine'),
                'busy' => Shapes::listOf('BusyTime'), 'between' => Shapes::listOf('Between'),
                'next' => Shapes::refOrNull('NextLesson'),
                'later' => Shapes::listOf('NextLesson'),
                'unfinished' => Shapes::listOf('LessonLine'),
                'untold' => Out::list(Out::object([
                    'lesson' => Shapes::id(), 'learner' => Out::text('name'), 'starts_at' => Shapes::moment(), 'moments' => Out::integer(''),
                ]), 'moments marked while moving that nobody has told yet'),
            ]),
            'Mark' => self::mark(),
            'Round' => self::round(),
            'DebriefFault' => Out::object([
                'routine' => Shapes::ref('RoutineCode'), 'step' => Shapes::ref('Step'), 'rounds' => Out::integer('in which it went wrong'),
                'of' => Out::integer('rounds in which it was marked'),
                'kind' => Shapes::refOrNull('Fault') + ['description' => 'seen most in those rounds'], 'kind_rounds' => Out::integer('in which it was seen'),
                'cause_step' => Shapes::refOrNull('Step'),
                'cause_seen' => Out::integer('rounds that show the cause'),
                'usual_mistake' => Out::text(''), 'likely_cause' => Out::text(''), 'remedy' => Out::text(''), 'drill' => Out::text(''),
                'source' => Out::text(''),
            ]),
            'Lesson' => Shapes::with($line, [
                'brief_minutes' => Out::integer('of its minutes, for talking before'), 'debrief_minutes' => Out::integer('and after'),
                'number' => Out::integer('of the learner’s lessons'), 'instructor' => Out::object(['id' => Shapes::id(), 'name' => Out::text('')]),
                'went_well' => Out::text('', nullable: true), 'worked_on' => Out::text('', nullable: true),
                'self_rating' => Shapes::byName(Shapes::ref('Outcome'), 'by step'),
                'items' => Shapes::listOf('LessonItem'), 'reference_points' => Shapes::listOf('ReferencePoint'), 'rounds' => Shapes::listOf('Round'),
                'works_on' => Shapes::refOrNull('LessonAim') + ['description' => 'the aim as data; null where it is only words'],
                'remedies' => Shapes::listOf('Remedy'),
                'promises' => Shapes::listOf('Promised'), 'promised_before' => Shapes::listOf('Promised'),
                'debrief' => Out::object([
                    'well' => Shapes::refOrNull('Step'), 'well_rounds' => Out::integer(''), 'held_back_rightly' => Out::integer(''),
                    'fault' => Shapes::refOrNull('DebriefFault'), 'of_the_aim' => Out::flag('the fault is of what the lesson works on'),
                    'aim_rounds' => Out::list(Shapes::id(), 'rounds that say something of it, in their order'), 'aim_clean' => Out::integer('of them'),
                ]),
                'rules' => Shapes::ref('Rules'),
            ]),
            'Taken' => Out::object([
                'rounds' => Out::list(Shapes::id()), 'marks' => Out::list(Shapes::id()),
                'stands' => Shapes::listOf('Mark') + ['description' => 'what others pressed later of the same'],
            ]),
        ];
    }

    /** @return array<string, mixed> */
    private static function mark(): array
    {
        return Out::object([
            'id' => Shapes::id('made on the device'), 'round_id' => Shapes::id(),
            'kind' => Out::choice(['step', 'held-back-rightly', 'taught', 'moment', 'conditions', 'place', 'decision', 'count']),
            'step' => Shapes::refOrNull('Step'), 'outcome' => Shapes::refOrNull('Outcome'), 'taught' => Shapes::refOrNull('Taught'),
            'stage' => Shapes::refOrNull('Stage') + ['description' => 'of its step; null for the approach'],
            'decision' => Shapes::refOrNull('Decision'), 'what' => Shapes::refOrNull('Counted') + ['description' => 'the key counted or timed'],
            'number' => Out::integer('of looks or gaps; of a counted gap the seconds wanted; of a length its metres', nullable: true),
            'seconds' => Out::number('it took, s', nullable: true),
            'conditions' => Shapes::refOrNull('Conditions') + ['description' => 'of the round, where they were said after it began'],
            'out_of_order' => Out::flag(''), 'fault' => Shapes::refOrNull('Fault') + ['description' => 'of its step'],
            'effect' => Shapes::refOrNull('Effect') + ['description' => 'on others'],
            'place_id' => ['type' => ['string', 'null'], 'description' => 'of the round, said afterwards'],
            'note' => Out::text('', nullable: true), 'corrects_id' => ['type' => ['string', 'null']],
            'withdrawn' => Out::flag(''), 'user_id' => Shapes::id('whose press'),
            'device_at' => Shapes::moment('as the device’s clock said'),
            'pressed_at' => Shapes::moment('as far as the clocks tell: the order in which the log is read'),
            'server_at' => Shapes::moment('when it arrived'),
            'clock_ahead' => Out::flag('the device’s clock was more than a day ahead'),
        ]);
    }

    /** @return array<string, mixed> */
    private static function round(): array
    {
        return Out::object([
            'id' => Shapes::id('made on the device'), 'lesson_id' => Shapes::id(),
            'place_id' => ['type' => ['string', 'null'], 'description' => 'where it began; null where it needs no place, or nobody has said one yet'],
            'elsewhere' => Out::text('a word of where', nullable: true),
            'moment_id' => ['type' => ['string', 'null'], 'description' => 'the moment it was told of'],
            'assessment_id' => ['type' => ['string', 'null'], 'description' => 'the mock test it was driven in'],
            'side' => Shapes::refOrNull('Side') + ['description' => 'of the way driven, where it is not the routine’s own'],
            'routine' => Shapes::ref('RoutineCode'), 'place' => Out::text('its name, or the word of where; as it stands'),
            'conditions' => Shapes::ref('Conditions'),
            'device_at' => Shapes::moment('as the device’s clock said'), 'began_at' => Shapes::moment('as far as the clocks tell'),
            'clock_ahead' => Out::flag(''), 'marks' => Shapes::listOf('Mark'),
            'ordinal' => Out::integer('as they were driven; null for one that was emptied by undoing', nullable: true),
        ]);
    }

    /** @return array<string, mixed> */
    public static function line(): array
    {
        return Out::object([
            'id' => Shapes::id(), 'minutes' => Out::integer(''), 'aim' => Out::text('', nullable: true),
            'state' => Shapes::ref('LessonState'), 'instructor_id' => Shapes::id(), 'starts_at' => Shapes::moment(),
            'lasts_minutes' => Out::integer('as booked, unless it was cut short'),
            'pick_up' => Out::text('where it begins: its own, or where the learner is usually met', nullable: true),
            'learner' => Out::object([
                'id' => Shapes::id(), 'name' => Out::text(''), 'pick_up' => Out::text('', nullable: true), 'level' => Shapes::ref('Level'),
            ]),
            'vehicle' => Shapes::ref('Vehicle'),
        ]);
    }
}
