<?php

namespace App\Diary;

use App\Models\Lesson;
use App\Models\School;
use DateTimeImmutable;
use DateTimeZone;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use NobleTurn\Core\Diary\Appointment;
use NobleTurn\Core\Diary\Day;
use NobleTurn\Core\Diary\Period;

/** Where a lesson still fits, in the days to come: instructor, learner and car are free, and there is time for the drives before and after. */
final class FreeTimes
{
    /** Lessons begin on such minutes (common practice, no source). */
    private const STEP_MINUTES = 5;

    /** More than anybody reads. */
    private const MOST = 200;

    /** @return list<array<string, mixed>> in the order of time */
    public static function of(Lesson $lesson, School $school, Carbon $from, int $days): array
    {
        $sun = Told::sun($school);
        $first = Carbon::parse($from->toDateString(), $school->time_zone);
        $end = $first->copy()->addDays($days);
        $others = Appointments::taking($lesson->instructor_id, $first->copy()->utc(), $end->copy()->utc())->keyBy('id')->except([$lesson->id]);
        $appointments = array_values($others->map(Appointments::of(...))->all());
        $name = static fn (?string $id): ?string => $id === null ? null : Appointments::name($others[$id]);
        $taken = self::taken($lesson, new Period($first->getTimestamp(), $end->getTimestamp()));
        $wanted = Appointments::of($lesson);
        $worked = $lesson->loadMissing('instructor')->instructor->workingDay();
        $travel = Appointments::travel($school);
        $now = now()->getTimestamp();
        $free = [];
        for ($day = $first; $day < $end && count($free) < self::MOST; $day = $next) {
            $next = $day->copy()->addDay();
            $hours = $worked->on($day->toDateTimeImmutable());
            $since = max($hours->from, $now);
            $all = new Period($day->getTimestamp(), $next->getTimestamp());
            $today = self::within($appointments, $all);
            $given = array_sum(array_map(static fn (Appointment $one): int => $others[$one->id] instanceof Lesson && $one->period->from >= $all->from
                ? intdiv($one->period->seconds(), 60) : 0, $today));
            if ($since >= $hours->until || ! $worked->hasRoom($given, $lesson->lasts())) {
                continue;
            }
            $gaps = Day::of($today, $travel)->gaps(
                new Period($since, $hours->until), $wanted->period->seconds(), $wanted->starts, $wanted->ends,
                array_values(array_filter($taken, $all->overlaps(...))),
            );
            foreach ($gaps as $gap) {
                $at = $gap->first(self::STEP_MINUTES);
                if ($at !== null) {
                    $free[] = [
                        'starts_at' => Told::moment($at), 'latest_at' => Told::moment(intdiv($gap->latest, 60) * 60),
                        'after' => $name($gap->after), 'before' => $name($gap->before),
                        'travel_before_minutes' => Told::minutes($gap->there), 'travel_after_minutes' => Told::minutes($gap->on),
                        ...Told::light($sun, new Period($at, $at + $wanted->period->seconds())),
                    ];
                }
            }
        }

        return array_slice($free, 0, self::MOST);
    }

    /**
     * @param  list<Appointment>  $appointments  in the order of their beginning; those that are over before it are taken off
     * @return list<Appointment> that take time of it
     */
    private static function within(array &$appointments, Period $day): array
    {
        $appointments = array_values(array_filter($appointments, static fn (Appointment $one): bool => $one->period->until > $day->from));
        $within = [];
        foreach ($appointments as $one) {
            if ($one->period->from >= $day->until) {
                break;
            }
            $within[] = $one;
        }

        return $within;
    }

    /** @return list<Period> when the learner or the car is with somebody else */
    private static function taken(Lesson $lesson, Period $within): array
    {
        $at = static fn (int $moment): string => gmdate('Y-m-d H:i:s', $moment);
        $rows = static fn (): Builder => DB::table('bookings')->whereIn('who_id', [$lesson->learner_id, $lesson->vehicle_id])
            ->when($lesson->id !== null, static fn (Builder $rows): Builder => $rows->where(
                static fn (Builder $other): Builder => $other->whereNull('lesson_id')->orWhere('lesson_id', '!=', $lesson->id),
            ))->select(['starts_at', 'ends_at']);
        // They are kept by their ends, and nobody is in two places: of what ends after it, only the very next can have begun within.
        $taken = $rows()->where('ends_at', '>', $at($within->from))->where('ends_at', '<=', $at($within->until))->get();
        foreach ([$lesson->learner_id, $lesson->vehicle_id] as $who) {
            $taken = $taken->concat($rows()->where('who_id', $who)->where('ends_at', '>', $at($within->until))->orderBy('ends_at')->limit(1)->get());
        }
        $epoch = static fn (string $at): int => (new DateTimeImmutable($at, new DateTimeZone('UTC')))->getTimestamp();

        return array_values($taken->map(static fn (object $row): Period => new Period($epoch($row->starts_at), $epoch($row->ends_at)))
            ->filter($within->overlaps(...))->all());
    }
}
