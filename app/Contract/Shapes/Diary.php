<?php

namespace App\Contract\Shapes;

use App\Contract\Shapes;
use NobleTurn\Core\Compute\Out;
use NobleTurn\Core\Diary\Light;
use NobleTurn\Core\Diary\TextKind;

/** The diary: days with their lessons and the drives between, what a time would mean, and which times are free. */
final class Diary
{
    /** @return array<string, array<string, mixed>> */
    public static function shapes(): array
    {
        $light = ['light_at_start' => Shapes::refOrNull('Light'), 'light_at_end' => Shapes::refOrNull('Light')];
        $person = Out::object(['id' => Shapes::id(), 'name' => Out::text('')]);
        $between = Out::object([
            'after' => Out::text('id of the lesson, or of what else keeps one, before'), 'before' => Out::text('and of the one after'),
            'free_minutes' => Out::integer('from the end of the one to the beginning of the other; below zero where they overlap'),
            'travel_minutes' => Out::integer('estimated, rounded up; null where one of the addresses is not on the map', nullable: true),
            'leave_at' => Shapes::moment('the last moment to leave so as to be there in time', nullable: true),
            'short_minutes' => Out::integer('by which the next begins too early; 0 where there is time enough'),
        ]);
        $calendar = [
            'on' => Out::flag('there is an address'),
            'calendar_names' => Out::choice(['all', 'adults', 'nobody'], 'whose names stand in the calendar'),
        ];
        $kinds = array_flip(array_column(TextKind::cases(), 'value'));
        $imported = ['title' => Out::text('', nullable: true), 'starts_at' => Shapes::moment(), 'ends_at' => Shapes::moment()];
        $neighbour = Shapes::with($between, ['name' => Out::text('whose lesson it is, or what keeps one')]);

        return [
            'Light' => Out::choice(Light::class, 'by the sun, where the school lies; null where nobody has said where'),
            'Between' => $between,
            'BusyTime' => Out::object([
                'id' => Shapes::id(), 'kind' => Out::choice(['busy', 'test', 'away'], 'somebody is busy, a learner has their test, a car is away'),
                'starts_at' => Shapes::moment(), 'ends_at' => Shapes::moment(),
                'title' => Out::text('a word for it; null to whom it is not to be said', nullable: true),
                'instructor' => self::orNull($person), 'learner' => self::orNull($person), 'vehicle' => self::orNull($person),
                'centre' => self::orNull($person), 'may_change' => ['type' => 'boolean'],
            ]),
            'DiaryLesson' => Shapes::with(Lessons::line(), [
                'drop_off' => Out::text('where it ends, where that is not where it began', nullable: true),
                'own_places' => ['description' => 'where it begins and ends, where that is not as usual'] + Out::object(array_merge(...array_map(
                    static fn (string $which): array => [
                        $which => Out::text('', nullable: true), "{$which}_latitude_deg" => Out::number('', nullable: true),
                        "{$which}_longitude_deg" => Out::number('', nullable: true),
                    ], ['pick_up', 'drop_off'],
                ))),
                'ended' => ['oneOf' => [Out::object([
                    'by' => ['oneOf' => [Out::choice(['learner', 'instructor', 'other']), ['type' => 'null']]], 'at' => Shapes::moment(nullable: true),
                    'why' => Out::text('', nullable: true),
                    'charged' => ['type' => ['boolean', 'null'], 'description' => 'only noted: no money is reckoned here'],
                ]), ['type' => 'null']], 'description' => 'of one that was cancelled'],
                'moved_from_id' => ['type' => ['string', 'null'], 'description' => 'the cancelled lesson in whose place it stands'],
            ] + $light),
            'Week' => Out::object([
                'from' => Shapes::day(), 'person' => $person, 'people' => Out::list($person, 'whose diaries may be looked at, by name'),
                'days' => Out::list(Out::object([
                    'day' => Shapes::day(),
                    'sun' => self::orNull(Out::object(array_fill_keys(
                        ['first_light', 'sunrise', 'sunset', 'last_light'],
                        Shapes::moment('null where the sun does not come so low or so high', nullable: true),
                    ))),
                    'lessons' => Shapes::listOf('DiaryLesson'),
                    'busy' => Shapes::listOf('BusyTime'), 'between' => Shapes::listOf('Between'),
                    'taught_minutes' => Out::integer('from beginning to end of lessons, without what was cancelled or only wished'),
                    'travel_minutes' => Out::integer('between them, as far as it is known'),
                ])),
                'clashes' => Out::list(Out::object([
                    'lesson' => Shapes::ref('LessonLine'), 'instructor' => Out::text(''), 'why' => Out::list(Out::text('')),
                ]), 'lessons to come that lie on top of another since before the diary refused that'),
            ]),
            'Fit' => Out::object([
                'clashes' => Out::list(Out::text('who is taken, and until when')),
                'notes' => Out::list(Out::text('what lies outside the hours that are worked, or goes past the most')),
                'before' => self::orNull($neighbour), 'after' => self::orNull($neighbour),
            ] + $light),
            'SeriesTime' => Out::object([
                'starts_at' => Shapes::moment(), 'day' => Shapes::day(), 'clashes' => Out::list(Out::text('who is taken, and until when')),
            ] + $light),
            'SeriesBooked' => Out::object([
                'booked' => Shapes::listOf('LessonLine'),
                'left_out' => Out::list(
                    Out::object(['starts_at' => Shapes::moment(), 'why' => Out::text('')]), 'what was taken by the time it was to be booked',
                ),
            ]),
            'CalendarState' => Out::object($calendar),
            'CalendarAddress' => Out::object([...$calendar, 'address' => Out::text('said this once: only a hash of it is kept')]),
            'CalendarFile' => Out::object(['ics' => Out::text('iCalendar (RFC 5545)')]),
            'BusyImported' => Out::object([
                'held' => Out::list(Out::object($imported), 'or would be'),
                'left_out' => Out::list(Out::object([...$imported, 'why' => Out::text('')]), 'what something else takes already'),
            ]),
            'WaitingLearner' => Out::object([
                'learner' => $person, 'minutes' => Out::integer('how long a lesson they would like'), 'note' => Out::text('', nullable: true),
                'wishes' => Out::list(Out::object([
                    'days' => Out::list(Out::integer('1 for Monday to 7 for Sunday')), 'from' => Out::text('17:00, by the clock of the school'),
                    'until' => Out::text('19:30; 23:59 is the end of the day'),
                ]), 'when they can; at any time where there is none'),
                'since' => Shapes::moment(),
            ]),
            'WorkingHours' => Out::object([
                'works_from' => Out::text('08:00, by the clock of the school'), 'works_until' => Out::text('later the same day'),
                'most_minutes' => Out::integer('of lessons on a day; null where there is no limit', nullable: true),
            ]),
            'LessonText' => Out::object([
                'id' => Shapes::id(), 'lesson_id' => Shapes::id(), 'kind' => Out::choice(TextKind::class), 'body' => Out::text('', nullable: true),
                'phone' => Out::text('as it was known then', nullable: true),
                'unsent' => Out::choice(['no-texts', 'no-number', 'quiet'], 'why it is not to be sent: ring them; null where it is', nullable: true),
                'learner' => $person, 'starts_at' => Shapes::moment('of the lesson, as it is now'), 'made_at' => Shapes::moment(),
                'passed_on_at' => Shapes::moment(nullable: true),
            ]),
            'TextSettings' => Out::object([
                'on' => Out::flag(''), 'quiet_from' => Out::text('21:00, by the clock of the school'), 'quiet_until' => Out::text(''),
                'reminds_at' => Out::text('on the day before'),
                'words' => Out::object(array_map(static fn (): array => Out::text('null: nobody is told of it', nullable: true), $kinds)),
                'usual' => Out::object(array_map(static fn (): array => Out::text('until the school has its own'), $kinds)),
                'places' => Out::object(array_map(static fn (): array => Out::list(Out::text('')), $kinds)) + ['description' => 'what may stand in braces'],
                'outbox' => Shapes::listOf('LessonText') + ['description' => 'latest first'],
            ]),
            'Offered' => Out::object([
                'learner' => $person, 'vehicle' => $person, 'phone' => Out::text('', nullable: true), 'minutes' => Out::integer(''),
                'starts_at' => Shapes::moment('the hour that came free, where it fits; else the first that does'),
                'earliest_at' => Shapes::moment('the first beginning that fits'), 'latest_at' => Shapes::moment('and the last'),
                'reasons' => Out::list(Out::text('what speaks for it, or against it')), 'note' => Out::text('from the waiting list', nullable: true),
                'text' => Out::text('what they are asked, as it may be sent'),
            ]),
            'LateDay' => Out::object([
                'fills_outbox' => Out::flag('whether what is agreed to is told by texts in the outbox'),
                'on' => Out::text('whose lesson is on, or what else; null where nothing is', nullable: true),
                'rest' => Out::list(Out::object([
                    'id' => Shapes::id(), 'name' => Out::text('whose lesson, or what keeps one'), 'is_lesson' => Out::flag('what is none does not wait'),
                    'is_as_planned' => Out::flag('nobody needs to hear of it'), 'starts_at' => Shapes::moment('as planned'), 'ends_at' => Shapes::moment(),
                    'minutes' => Out::integer('of a lesson, as booked', nullable: true),
                    'now_starts_at' => Shapes::moment('null where it cannot be kept', nullable: true), 'now_ends_at' => Shapes::moment(nullable: true),
                    'cut_minutes' => Out::integer('off its end'),
                    'leaves_out' => Out::list(Out::text('place'), 'of its plan, what the minutes do not reach for any more'),
                    'clashes' => Out::list(Out::text('who is taken then by somebody else, and until when')),
                    'phone' => Out::text('', nullable: true), 'may_text' => Out::flag('who wants no texts is rung'),
                    'is_told' => Out::flag('whether a text in the outbox tells them once it is agreed to'),
                    'text' => Out::text('what the learner is told, as it may be sent', nullable: true),
                ]), 'what is still to come today, in its order'),
            ]),
            'FreeTime' => Out::object([
                'starts_at' => Shapes::moment('the first beginning'), 'latest_at' => Shapes::moment('and the last'),
                'after' => Out::text('whose lesson is before it that day, or what keeps one', nullable: true),
                'before' => Out::text('and after it', nullable: true),
                'travel_before_minutes' => Out::integer('', nullable: true), 'travel_after_minutes' => Out::integer('', nullable: true),
            ] + $light),
        ];
    }

    /**
     * @param  array<string, mixed>  $shape
     * @return array<string, mixed>
     */
    private static function orNull(array $shape): array
    {
        return ['oneOf' => [$shape, ['type' => 'null']]];
    }
}
