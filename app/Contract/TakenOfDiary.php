<?php

namespace App\Contract;

use NobleTurn\Core\Diary\TextKind;

/** What addresses of the diary take: days, times that are asked about, what is held, who waits, a day that runs late, one's own calendar. */
final class TakenOfDiary
{
    /** @return array<string, list<mixed>> of an address: some days of somebody’s diary */
    public static function week(): array
    {
        return [
            'from' => ['sometimes', 'nullable', 'date_format:Y-m-d', 'after:2000-01-01', 'before:2100-01-01'],
            'days' => ['sometimes', 'nullable', 'integer', 'between:1,14'], 'person' => ['sometimes', 'nullable', 'uuid'],
        ];
    }

    /** @return array<string, list<mixed>> of an address: a lesson that is there, or one that is to be */
    public static function fit(): array
    {
        return ['starts_at' => ['required', ...TakenOfLessons::TIME], ...self::asked()];
    }

    /** @return array<string, list<mixed>> of an address: a lesson again, every so many weeks so many times more; which is there, or is to be */
    public static function repeated(): array
    {
        return [...self::asked(), 'starts_at' => ['required_without:lesson', ...TakenOfLessons::TIME], ...self::again()];
    }

    /** @return array<string, list<mixed>> */
    public static function series(): array
    {
        return [
            ...self::again(), 'without' => ['sometimes', 'array', 'max:104'],
            'without.*' => ['date_format:Y-m-d', 'after:2000-01-01', 'before:2100-01-01'],
        ];
    }

    /** @return array<string, list<mixed>> of an address: by how much a day runs late */
    public static function late(): array
    {
        return ['minutes' => ['required', 'integer', 'between:5,180']];
    }

    /** @return array<string, list<mixed>> and what of it was agreed to */
    public static function lateAgreed(): array
    {
        return [
            ...self::late(), 'lessons' => ['present', 'array', 'max:30'], 'lessons.*' => ['array:id,starts_at'],
            'lessons.*.id' => ['required', 'uuid', 'distinct'],
            // When it was said to begin: null where it was said that it cannot be kept.
            'lessons.*.starts_at' => ['present', 'nullable', ...TakenOfLessons::TIME],
        ];
    }

    /** @return array<string, list<mixed>> when somebody on the waiting list can */
    public static function waiting(): array
    {
        return [
            'minutes' => ['required', 'numeric', 'integer', 'between:15,480'], 'note' => ['sometimes', 'nullable', 'string', 'max:300'],
            'wishes' => ['sometimes', 'array', 'max:14'], 'wishes.*' => ['array:days,from,until'], 'wishes.*.days' => ['required', 'array', 'max:7'],
            'wishes.*.days.*' => ['numeric', 'integer', 'between:1,7', 'distinct:strict'], 'wishes.*.from' => ['required', 'date_format:H:i'],
            'wishes.*.until' => ['required', 'date_format:H:i'],
        ];
    }

    /** @return array<string, list<mixed>> when one works, and how many minutes of lessons one gives on a day at most */
    public static function workingHours(): array
    {
        return [
            'works_from' => ['required', 'date_format:H:i'], 'works_until' => ['required', 'date_format:H:i'],
            'most_minutes' => ['sometimes', 'nullable', 'numeric', 'integer', 'between:30,1440'],
        ];
    }

    /** @return array<string, list<mixed>> whether a text was passed on */
    public static function passedOn(): array
    {
        return ['passed_on' => ['required', 'boolean']];
    }

    /** @return array<string, list<mixed>> what the school tells its learners, and when: of a kind without words nobody is told */
    public static function texts(): array
    {
        $kinds = array_column(TextKind::cases(), 'value');
        $times = array_fill_keys(['quiet_from', 'quiet_until', 'reminds_at'], ['required', 'date_format:H:i']);

        return [
            'on' => ['required', 'boolean'], ...$times, 'words' => ['required', 'array:'.implode(',', $kinds)],
            ...array_fill_keys(array_map(static fn (string $kind): string => "words.{$kind}", $kinds), ['present', 'nullable', 'string', 'max:480']),
        ];
    }

    /** @return array<string, list<mixed>> whose names one’s own calendar may show */
    public static function calendar(): array
    {
        return ['calendar_names' => ['required', 'in:all,adults,nobody']];
    }

    /** @return array<string, list<mixed>> a calendar file with busy times */
    public static function calendarFile(): array
    {
        return ['ics' => ['required', 'string', 'max:1000000'], 'keep' => ['required', 'boolean']];
    }

    /** @return array<string, list<mixed>> time that no lesson takes: whose it is follows from its kind */
    public static function busyTime(): array
    {
        return [
            'kind' => ['required', 'in:busy,test,away'],
            'starts_at' => ['required', ...TakenOfLessons::TIME],
            'ends_at' => ['required', ...TakenOfLessons::TIME],
            'title' => ['sometimes', 'nullable', 'string', 'max:120'],
            // Whose diary: the own where nothing is said.
            'instructor_id' => ['prohibited_if:kind,away', 'nullable', 'uuid'],
            'learner_id' => ['required_if:kind,test', 'prohibited_unless:kind,test', 'uuid'],
            'vehicle_id' => ['required_unless:kind,busy', 'prohibited_if:kind,busy', 'uuid'],
            'centre_id' => ['prohibited_unless:kind,test', 'nullable', 'uuid'],
        ];
    }

    /** @return array<string, list<mixed>> */
    private static function again(): array
    {
        return ['weeks' => ['required', 'integer', 'between:1,8'], 'times' => ['required', 'integer', 'between:1,52']];
    }

    /** @return array<string, list<mixed>> of an address: up to eight weeks ahead */
    public static function free(): array
    {
        return [...self::week(), 'days' => ['sometimes', 'nullable', 'integer', 'between:1,56'], ...self::asked()];
    }

    /** @return array<string, list<mixed>> */
    private static function asked(): array
    {
        return [
            'lesson' => ['sometimes', 'nullable', 'uuid'], 'learner_id' => ['required_without:lesson', 'uuid'],
            'vehicle_id' => ['required_without:lesson', 'uuid'], 'minutes' => ['required_without:lesson', 'integer', 'between:15,480'],
            'instructor_id' => ['sometimes', 'nullable', 'uuid'],
        ];
    }
}
