<?php

namespace App\Diary;

use App\Models\BusyTime;
use App\Models\Lesson;
use App\Models\School;
use DateTimeZone;
use NobleTurn\Core\Diary\Between;

/** What it would mean to have a lesson at a time, before anything is written: who is taken, which drives, what light. */
final class Fit
{
    /** @return array<string, mixed> */
    public static function of(Lesson $lesson, School $school): array
    {
        $day = $lesson->starts_at->copy()->setTimezone($school->time_zone)->startOfDay();
        $others = Appointments::taking($lesson->instructor_id, $day->copy()->utc(), $day->copy()->addDay()->utc())
            ->filter(static fn (Lesson|BusyTime $one): bool => $one->id !== $lesson->id);
        $given = $others->sum(static fn (Lesson|BusyTime $one): int => $one instanceof Lesson && $one->starts_at >= $day ? $one->lasts() : 0);
        $mine = $lesson->id ?? 'new';
        $between = array_values(array_filter(
            Appointments::day([...$others, $lesson], $school)->between(),
            static fn (Between $one): bool => $one->after === $mine || $one->before === $mine,
        ));
        $names = $others->mapWithKeys(static fn (Lesson|BusyTime $one): array => [$one->id => Appointments::name($one)]);

        return [
            'clashes' => Clash::ofEach([$lesson])[0],
            'notes' => $lesson->loadMissing('instructor')->instructor->workingDay()->notes(
                $lesson->period(), new DateTimeZone($school->time_zone), $given,
            ),
            'before' => self::told($between, 'before', $mine, $names->all()), 'after' => self::told($between, 'after', $mine, $names->all()),
            ...Told::light(Told::sun($school), $lesson->period()),
        ];
    }

    /**
     * @param  list<Between>  $between
     * @param  'before'|'after'  $side  of the lesson, where it stands itself
     * @param  array<string, string>  $names
     * @return array<string, mixed>|null
     */
    private static function told(array $between, string $side, string $mine, array $names): ?array
    {
        foreach ($between as $one) {
            if ($one->{$side} === $mine) {
                return [...Told::between($one), 'name' => $names[$side === 'before' ? $one->after : $one->before]];
            }
        }

        return null;
    }
}
