<?php

namespace App\Contract\Shapes;

use App\Contract\Shapes;
use App\Contract\ToolShapes;
use NobleTurn\Core\Assessment\Scheme;
use NobleTurn\Core\Assessment\Severity;
use NobleTurn\Core\Compute\Out;
use NobleTurn\Core\Compute\Tool\ReadyPresenter;
use NobleTurn\Core\Compute\Toolbox;
use NobleTurn\Core\Record\Company;
use NobleTurn\Core\Record\Conditions;
use NobleTurn\Core\Record\NeedKind;
use NobleTurn\Core\Record\Outcome;
use NobleTurn\Core\Skill\Level;
use NobleTurn\Core\Skill\Trust;

/** Learners, their records and what their marks say. */
final class Learners
{
    /** @return array<string, array<string, mixed>> */
    public static function shapes(): array
    {
        $pickUp = [
            'pick_up_latitude_deg' => Out::number('where that is', nullable: true), 'pick_up_longitude_deg' => Out::number('where that is', nullable: true),
        ];
        $facts = Out::object([
            'id' => Shapes::id(), 'name' => Out::text(''), 'phone' => Out::text('', nullable: true), 'email' => Out::text('', nullable: true),
            'pick_up' => Out::text('', nullable: true), ...$pickUp, 'transmission' => Out::choice(['manual', 'automatic']), 'level' => Shapes::ref('Level'),
            'wants_texts' => Out::flag('whether they are told of their lessons by text'),
            'is_minor' => Out::flag(''), 'guardian_name' => Out::text('', nullable: true), 'guardian_contact' => Out::text('', nullable: true),
            'reference_points' => Shapes::listOf('ReferencePoint'),
            'pack' => Shapes::refOrNull('Pack') + ['description' => 'rule pack, where it is not the school’s'], 'practice' => Shapes::ref('Practice'),
            'licence_seen_on' => Shapes::day(nullable: true), 'eyesight_checked_on' => Shapes::day(nullable: true),
            'guardian_consent_on' => Shapes::day(nullable: true),
        ]);
        $of = ['routine' => Shapes::ref('RoutineCode'), 'step' => Shapes::ref('Step')];
        $minutes = Shapes::byName(Out::number('minutes'));

        return [
            'ReferencePoint' => Out::object(
                [
                    'what' => Out::text('what the driver sees'), 'where' => Out::text('against what'),
                    'vehicle_id' => ['type' => ['string', 'null'], 'description' => 'in which car; null where it holds in any'],
                ],
                ['vehicle_id'],
            ),
            'LearnerFacts' => $facts,
            'LearnerLine' => Out::object([
                'id' => Shapes::id(), 'name' => Out::text(''), 'level' => Shapes::ref('Level'),
                'transmission' => Out::choice(['manual', 'automatic']), 'pick_up' => Out::text('', nullable: true), ...$pickUp,
                'lessons_done' => Out::integer(''),
            ]),
            'Tally' => Out::object(
                $of + [
                    'counts' => Out::object(array_map(static fn (): array => Out::integer('marks'), array_flip(array_column(Outcome::cases(), 'value')))),
                    'marked' => Out::integer(''), 'out_of_order' => Out::integer(''), 'taught' => Out::integer(''),
                ],
            ),
            'Hours' => Out::object([
                'total' => Out::number('minutes at the wheel'),
                'minutes' => Out::object(
                    array_map(static fn (): array => $minutes, Conditions::KINDS),
                ) + ['description' => 'by kind of conditions and what it was'],
            ]),
            'AccompaniedDrive' => Out::object([
                'id' => Shapes::id(), 'learner_id' => Shapes::id(), 'starts_at' => Shapes::moment(), 'minutes' => Out::integer(''),
                'conditions' => Shapes::ref('Conditions'), 'note' => Out::text('with whom, where to', nullable: true),
            ]),
            'Assessment' => Out::object([
                'id' => Shapes::id(), 'learner_id' => Shapes::id(), 'kind' => Out::choice(['mock-test', 'test']), 'taken_at' => Shapes::moment(),
                'scheme' => Out::choice(Scheme::codes()), 'result' => Out::choice(['pass', 'fail'], 'of a test as it was told'),
                'centre_id' => Out::text('where it was', nullable: true), 'centre' => Out::text('its name', nullable: true),
                'note' => Out::text('', nullable: true), 'lesson_id' => Out::text('in which it was driven', nullable: true),
                'faults' => Out::list(Out::object([
                    'step' => Shapes::ref('Step'), 'routine' => Shapes::refOrNull('RoutineCode'), 'fault' => Shapes::refOrNull('Fault'),
                    'effect' => Shapes::refOrNull('Effect'), 'severity' => Out::choice(Severity::class),
                    'at' => Shapes::moment('when, where that was kept', nullable: true), 'where' => Out::text('likewise', nullable: true),
                ]), 'as they were marked'),
                'by_scheme' => Out::object([
                    'result' => Out::choice(['pass', 'fail']), 'message' => Out::text('the rule that decided'),
                    'counts' => ['type' => 'object', 'additionalProperties' => ['type' => 'integer']],
                ]),
            ]),
            'LearnerReady' => Out::object(ReadyPresenter::schema() + [
                'scheme' => Out::choice(Scheme::codes()), 'test_at' => Shapes::moment(nullable: true), 'lesson_minutes' => Out::number('of a lesson'),
                'lesson_minutes_a_week' => Out::number('as the last weeks were'), 'practice_minutes_a_week' => Out::number('with somebody else'),
                'week_is_known' => Out::flag('whether the last weeks say so; else it is assumed'),
            ]),
            'HoursFile' => Out::object(['csv' => Out::text('a line for each drive (RFC 4180)')]),
            'LearnerHours' => Out::object([
                'learner' => Out::object(['id' => Shapes::id(), 'name' => Out::text('')]), 'pack' => Out::text('whose law asks'),
                'asks_of_minors' => Out::flag('whether that law asks more of learners who are not of age'), 'total' => Out::number('minutes at the wheel'),
                'with' => Out::list(Out::object(['with' => Out::choice(Company::class), 'minutes' => Out::number('')])),
                'parts' => Out::list(Out::object([
                    'kind' => Out::choice(array_keys(Conditions::KINDS)), 'condition' => Out::text('as it is noted, or not-noted'),
                    'instructor' => Out::number('minutes'), 'accompanied' => Out::number('minutes'),
                ]), 'each kind adds up to the whole'),
                'asked' => Out::list(Out::object([
                    'code' => Out::text(''), 'title' => Out::text(''), 'have' => Out::number('minutes, or lessons'), 'wanted' => Out::number('likewise'),
                    'light' => Out::text('counted in this light only', nullable: true), 'is_met' => Out::flag(''), 'message' => Out::text(''),
                    'source' => Out::text('status of the figure'),
                ]), 'by law'),
                'drives' => Out::list(Out::object([
                    'id' => Shapes::id('of the lesson, or of the drive'), 'with' => Out::choice(Company::class),
                    'instructor' => Out::text('null where there was none', nullable: true), 'starts_at' => Shapes::moment(), 'minutes' => Out::number(''),
                    'minutes_of' => Out::object(array_map(static fn (): array => $minutes, Conditions::KINDS)),
                    'by_sun' => Out::number('minutes whose light was not noted, and follows from the sun'),
                    'conditions' => Shapes::refOrNull('Conditions') + ['description' => 'of a drive that was accompanied, as it was told'],
                    'note' => Out::text('', nullable: true),
                ]), 'latest first'),
            ]),
            'LearnerRecord' => Shapes::with($facts, [
                'lessons' => Out::list(
                    Out::object([
                        'id' => Shapes::id(), 'minutes' => Out::integer(''), 'state' => Shapes::ref('LessonState'),
                        'instructor_id' => Shapes::id(), 'aim' => Out::text('', nullable: true), 'starts_at' => Shapes::moment(),
                        'rounds' => Out::integer('driven'),
                    ]),
                ),
                'promises' => Shapes::listOf('Promised'), 'rounds' => Out::integer('driven'), 'hours' => Shapes::ref('Hours'),
                'tallies' => Shapes::listOf('Tally'),
            ]),
            'RoutineNeed' => Out::object([
                'routine' => Shapes::ref('RoutineCode'), 'need' => Out::choice(NeedKind::class), 'step' => Shapes::refOrNull('Step'),
                'helped' => Out::integer(''), 'of' => Out::integer(''), 'last_at' => Shapes::moment(nullable: true),
            ]),
            'SkillLevel' => Out::choice(Level::class, 'an estimate in a word'),
            ...self::skill($of),
        ];
    }

    /**
     * What the marks say: as the tool answers, with what it is asked of the log.
     *
     * @param  array<string, array<string, mixed>>  $of
     * @return array<string, array<string, mixed>>
     */
    private static function skill(array $of): array
    {
        $tool = Toolbox::tool('skill')->output();
        $believed = [
            'estimate' => Out::number('chance of “unaided”, 0 to 1'), 'low' => Out::number('lower end of its 80 % range'),
            'high' => Out::number('its upper end'),
        ];
        $cell = ToolShapes::shared($tool['cells'])['items'];
        $marked = ['marks' => Out::integer(''), 'unaided' => Out::integer('')];

        return [
            'Believed' => Out::object($believed),
            'SkillCell' => $cell,
            'HeldBackBy' => ToolShapes::shared($tool['holds_back'])['items'],
            'OwnRating' => ToolShapes::shared($tool['own_ratings'])['items'],
            'Skill' => Out::object(
                [
                    'cells' => Shapes::listOf('SkillCell'), 'holds_back' => Shapes::listOf('HeldBackBy'),
                    'own_ratings' => Shapes::listOf('OwnRating'),
                ] + ToolShapes::shared(array_diff_key($tool, ['predicted' => 0])),
            ),
            'Overruling' => Out::object(
                ['id' => Shapes::id()] + $of + [
                    'level' => Shapes::ref('SkillLevel'), 'reason' => Out::text(''), 'user_id' => Shapes::id(), 'by' => Out::text('who said it'),
                    'at' => Shapes::moment(), 'withdrawn_at' => Shapes::moment(nullable: true),
                ],
            ),
            'MarkBehind' => Out::object([
                'id' => Shapes::id(), 'lesson' => Shapes::id(), 'place' => Out::text('its name'), 'at' => Shapes::moment(),
                'step' => Shapes::ref('Step'), 'outcome' => Shapes::ref('Outcome'),
                'held_back' => Out::flag('a right decision to hold back: a clean look'), 'out_of_order' => Out::flag(''),
                'note' => Out::text('', nullable: true),
                'taught' => Shapes::refOrNull('Taught'), 'conditions' => Shapes::ref('Conditions'),
                'was' => Shapes::refOrNull('Outcome') + ['description' => 'what was said before, where somebody had read it'],
                'clock_ahead' => Out::flag(''),
            ]),
            'CountedRate' => Out::object([
                'number' => Out::integer('of looks'), 'seconds' => Out::number('over which they were counted'),
                'a_minute' => Out::number('rate'), 'low' => Out::number('lower end of its 80 % range'), 'high' => Out::number('its upper end'),
            ]),
            'GapThreshold' => Out::object([
                'estimate_s' => Out::number('from which length on this learner goes'), 'low_s' => Out::number('lower end of its 80 % range'),
                'high_s' => Out::number('its upper end'), 'gaps' => Out::integer('that it rests on'),
            ]),
            'HabitKept' => Out::object([
                'step' => Shapes::ref('Step'), 'clean' => Out::integer('stretches in which it was unaided and in order'),
                'of' => Out::integer('stretches in which it was marked'), 'faults' => Shapes::byName(Out::integer('stretches'), 'by kind of fault, most first'),
            ]),
            'Calibration' => Out::object([
                'lessons' => Out::integer(''), 'marks' => Out::integer(''), 'trust' => Out::choice(Trust::class), 'message' => Out::text('a sentence'),
                'loss' => Out::number('-ln of the chance given to what came, a mark'), 'expected' => Out::number('what it said that would be'),
                'counting' => Out::number('the same of a count of the latest marks'),
                'bins' => Out::list(Out::object([
                    'from' => Out::number('chance of unaided that was foretold'), 'until' => Out::number(''), 'marks' => Out::integer(''),
                    'foretold' => Out::number('on average'), 'unaided' => Out::integer('so many came'),
                ]), 'those in which something was foretold, lowest first'),
            ]),
            'Foretelling' => Out::object(['latest' => Shapes::refOrNull('Calibration')]),
            'Habits' => Out::object([
                'lessons' => Out::list(Out::object([
                    'lesson' => Shapes::id(), 'at' => Shapes::moment(),
                    'rear_looks' => Shapes::refOrNull('CountedRate'),
                    'ahead_s' => Out::list(['type' => 'number'], 'counted gaps to the car ahead'),
                    'short' => Out::integer('how many of them were under what was wanted'),
                    'kept' => Shapes::listOf('HabitKept'),
                ]), 'those in which something was counted, or marked between hazards, oldest first'),
                'change' => Out::object([
                    'more' => ['type' => ['boolean', 'null'], 'description' => 'rear looks, the older half against the newer; null where it could be chance'],
                    'message' => Out::text(''),
                ]),
                'junctions' => Out::list(Out::object([
                    'routine' => Shapes::ref('RoutineCode'), 'let_go' => Out::integer('gaps'),
                    'would_have_done' => Out::integer('of them long enough'), 'taken' => Out::integer('gaps'),
                    'too_short' => Out::integer('of them not long enough'),
                    'needed_s' => Out::number('least gap that is enough at the limit of the town, on the flat, from rest', nullable: true),
                    'threshold' => Shapes::refOrNull('GapThreshold'),
                    'message' => Out::text('sentence to the instructor'),
                ])),
            ]),
            'CellEvidence' => Out::object([
                'history' => Out::list(
                    Out::object(['lesson' => Shapes::id(), 'at' => Shapes::moment(), 'unaided' => Out::integer(''), 'of' => Out::integer('')] + $believed),
                    'lesson by lesson',
                ),
                'marks' => Shapes::listOf('MarkBehind'), 'overrulings' => Shapes::listOf('Overruling'),
            ]),
            'Changed' => Out::object(
                $of + $marked + ['before' => Shapes::refOrNull('Believed'), 'after' => Shapes::ref('Believed'), 'by' => Out::number('chance gained')],
            ),
        ];
    }
}
