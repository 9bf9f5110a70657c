<?php

namespace App\Diary;

use App\Models\Lesson;
use App\Models\School;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use NobleTurn\Core\Diary\Gap;
use NobleTurn\Core\Diary\Period;

/** Where a lesson still fits, in the days to come: instructor, learner and car are free, and there is time for the drives before and after. */
final class FreeTimes
{
    /** The hours of a day in which lessons are offered, by the clock on the wall (assumed). */
    private const WORKED = [8, 20];

    /** Lessons begin on such minutes (common practice, no source). */
    private const STEP_MINUTES = 5;

    /** More than anybody reads. */
    private const MOST = 40;

    /** @return list<array<string, mixed>> in the order of time */
    public static function of(Lesson $lesson, School $school, Carbon $from, int $days): array
    {
        $sun = WeekPage::sun($school);
        $first = Carbon::parse($from->toDateString(), $school->time_zone);
        $end = $first->copy()->addDays($days);
        $others = Appointments::taking($lesson->instructor_id, $first->copy()->utc(), $end->copy()->utc())
            ->filter(static fn (Lesson $one): bool => $one->id !== $lesson->id);
        $taken = self::taken($lesson, $first, $end);
        $wanted = Appointments::of($lesson);
        $free = [];
        for ($day = $first; $day < $end && count($free) < self::MOST; $day = $day->copy()->addDay()) {
            $next = $day->copy()->addDay();
            [$opens, $closes] = array_map(static fn (int $hour): int => $day->copy()->setTime($hour, 0)->getTimestamp(), self::WORKED);
            if (max($opens, now()->getTimestamp()) >= $closes) {
                continue;
            }
            $today = $others->filter(static fn (Lesson $one): bool => $one->ends() > $day && $one->starts_at < $next);
            $gaps = Appointments::day($today, $school)->gaps(
                new Period(max($opens, now()->getTimestamp()), $closes), $wanted->period->seconds(), $wanted->starts, $wanted->ends, $taken,
            );
            foreach ($gaps as $gap) {
                $at = $gap->first(self::STEP_MINUTES);
                if ($at !== null) {
                    $free[] = self::told($gap, $at, $lesson, $school, $sun, $today->all());
                }
            }
        }

        return array_slice($free, 0, self::MOST);
    }

    /**
     * @param  array<Lesson>  $today
     * @return array<string, mixed>
     */
    private static function told(Gap $gap, int $at, Lesson $lesson, School $school, ?\NobleTurn\Core\Diary\Sun $sun, array $today): array
    {
        $there = (clone $lesson)->fill(['starts_at' => Carbon::createFromTimestampUTC($at)]);
        $names = [];
        foreach ($today as $one) {
            $names[$one->id] = $one->learner->name;
        }
        $drives = [];
        foreach (Appointments::day([...$today, $there], $school)->between() as $one) {
            $mine = $there->id ?? 'new';
            $drives += $one->before === $mine ? ['before' => $one->travel] : ($one->after === $mine ? ['after' => $one->travel] : []);
        }
        $minutes = static fn (?int $seconds): ?int => $seconds === null ? null : (int) ceil($seconds / 60);

        return [
            'starts_at' => $there->starts_at->toIso8601ZuluString(),
            'latest_at' => Carbon::createFromTimestampUTC(intdiv($gap->latest, 60) * 60)->toIso8601ZuluString(),
            'after' => $names[$gap->after ?? ''] ?? null, 'before' => $names[$gap->before ?? ''] ?? null,
            'travel_before_minutes' => $minutes($drives['before'] ?? null), 'travel_after_minutes' => $minutes($drives['after'] ?? null),
            ...WeekPage::light($sun, $there),
        ];
    }

    /** @return list<Period> when the learner or the car is with somebody else */
    private static function taken(Lesson $lesson, Carbon $from, Carbon $until): array
    {
        $rows = DB::table('bookings')->whereIn('who_id', [$lesson->learner_id, $lesson->vehicle_id])
            ->when($lesson->id !== null, static fn ($other) => $other->where('lesson_id', '!=', $lesson->id))
            ->where('starts_at', '<', $until->copy()->utc())->where('ends_at', '>', $from->copy()->utc())->get(['starts_at', 'ends_at']);
        $epoch = static fn (string $at): int => Carbon::parse($at, 'UTC')->getTimestamp();

        return array_values($rows->map(static fn (object $row): Period => new Period($epoch($row->starts_at), $epoch($row->ends_at)))->all());
    }
}
