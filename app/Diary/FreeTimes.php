<?php

namespace App\Diary;

use App\Models\BusyTime;
use App\Models\Lesson;
use App\Models\School;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use NobleTurn\Core\Diary\Period;

/** Where a lesson still fits, in the days to come: instructor, learner and car are free, and there is time for the drives before and after. */
final class FreeTimes
{
    /** Lessons begin on such minutes (common practice, no source). */
    private const STEP_MINUTES = 5;

    /** More than anybody reads. */
    private const MOST = 40;

    /** @return list<array<string, mixed>> in the order of time */
    public static function of(Lesson $lesson, School $school, Carbon $from, int $days): array
    {
        $sun = Told::sun($school);
        $first = Carbon::parse($from->toDateString(), $school->time_zone);
        $end = $first->copy()->addDays($days);
        $others = Appointments::taking($lesson->instructor_id, $first->copy()->utc(), $end->copy()->utc())
            ->filter(static fn (Lesson|BusyTime $one): bool => $one->id !== $lesson->id);
        $names = $others->mapWithKeys(static fn (Lesson|BusyTime $one): array => [$one->id => Appointments::name($one)]);
        $taken = self::taken($lesson, $first, $end);
        $wanted = Appointments::of($lesson);
        $worked = $lesson->loadMissing('instructor')->instructor->workingDay();
        $free = [];
        for ($day = $first; $day < $end && count($free) < self::MOST; $day = $day->copy()->addDay()) {
            $next = $day->copy()->addDay();
            $hours = $worked->on($day->toDateTimeImmutable());
            $today = $others->filter(static fn (Lesson|BusyTime $one): bool => $one->ends() > $day && $one->starts_at < $next);
            $given = $today->sum(static fn (Lesson|BusyTime $one): int => $one instanceof Lesson && $one->starts_at >= $day ? $one->lasts() : 0);
            if (max($hours->from, now()->getTimestamp()) >= $hours->until || ! $worked->hasRoom($given, $lesson->lasts())) {
                continue;
            }
            $gaps = Appointments::day($today, $school)->gaps(
                new Period(max($hours->from, now()->getTimestamp()), $hours->until), $wanted->period->seconds(), $wanted->starts, $wanted->ends, $taken,
            );
            foreach ($gaps as $gap) {
                $at = $gap->first(self::STEP_MINUTES);
                if ($at !== null) {
                    $there = (clone $lesson)->fill(['starts_at' => Carbon::createFromTimestampUTC($at)]);
                    $free[] = [
                        'starts_at' => Told::moment($at), 'latest_at' => Told::moment(intdiv($gap->latest, 60) * 60),
                        'after' => $names[$gap->after ?? ''] ?? null, 'before' => $names[$gap->before ?? ''] ?? null,
                        'travel_before_minutes' => Told::minutes($gap->there), 'travel_after_minutes' => Told::minutes($gap->on),
                        ...Told::light($sun, $there),
                    ];
                }
            }
        }

        return array_slice($free, 0, self::MOST);
    }

    /** @return list<Period> when the learner or the car is with somebody else */
    private static function taken(Lesson $lesson, Carbon $from, Carbon $until): array
    {
        $rows = DB::table('bookings')->whereIn('who_id', [$lesson->learner_id, $lesson->vehicle_id])
            ->when($lesson->id !== null, static fn ($rows) => $rows->where(
                static fn ($other) => $other->whereNull('lesson_id')->orWhere('lesson_id', '!=', $lesson->id),
            ))
            ->where('starts_at', '<', $until->copy()->utc())->where('ends_at', '>', $from->copy()->utc())->get(['starts_at', 'ends_at']);
        $epoch = static fn (string $at): int => Carbon::parse($at, 'UTC')->getTimestamp();

        return array_values($rows->map(static fn (object $row): Period => new Period($epoch($row->starts_at), $epoch($row->ends_at)))->all());
    }
}
