<?php

namespace App\Diary;

use App\Models\BusyTime;
use App\Models\Lesson;
use App\Models\School;
use DateTimeZone;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use NobleTurn\Core\Diary\Appointment;
use NobleTurn\Core\Diary\Day;
use NobleTurn\Core\Diary\LessonState;
use NobleTurn\Core\Diary\Travel;
use NobleTurn\Core\Site\Position;

/** Lessons, and what else takes time, as the core's diary reads them. */
final class Appointments
{
    public static function of(Lesson|BusyTime $one): Appointment
    {
        [$starts, $ends] = $one instanceof Lesson ? self::places($one) : self::placesOf($one);

        return new Appointment($one->id ?? 'new', $one->period(), $starts, $ends);
    }

    /** @param  iterable<Lesson|BusyTime>  $all one instructor’s, with learner and centre */
    public static function day(iterable $all, School $school): Day
    {
        $appointments = [];
        foreach ($all as $one) {
            $appointments[] = self::of($one);
        }

        return Day::of($appointments, self::travel($school));
    }

    public static function travel(School $school): Travel
    {
        return new Travel(new DateTimeZone($school->time_zone));
    }

    /** @return Collection<int, Lesson|BusyTime> that take time of somebody’s between two moments, with learner and centre, in their order */
    public static function taking(string $instructor, Carbon $from, Carbon $until): Collection
    {
        $lessons = Lesson::query()->with('learner')->where('instructor_id', $instructor)->tap(self::holding(...))
            // No lesson is longer than eight hours.
            ->where('starts_at', '>=', $from->copy()->subHours(8))->where('starts_at', '<', $until)
            ->whereRaw('starts_at + INTERVAL COALESCE(cut_to_minutes, minutes) MINUTE > ?', [$from])->oldest('starts_at')->get();
        $busy = self::busy($instructor, $from, $until);

        return $busy->isEmpty() ? $lessons->toBase()
            : collect([...$lessons, ...$busy])->sortBy(static fn (TakesTime $one): int => $one->period()->from)->values();
    }

    /** @return Collection<int, BusyTime> of somebody’s between two moments, in their order */
    public static function busy(string $instructor, Carbon $from, Carbon $until): Collection
    {
        return BusyTime::query()->with(['learner', 'vehicle', 'centre', 'instructor'])->where('instructor_id', $instructor)
            ->where('starts_at', '<', $until)->where('ends_at', '>', $from)->oldest('starts_at')->get()->toBase();
    }

    /** What stands beside a time where something else is named: whose lesson it is, or what keeps one. */
    public static function name(Lesson|BusyTime $one): string
    {
        return $one instanceof Lesson ? $one->learner->name : BusyWords::why($one);
    }

    /** @param  Builder<Lesson>  $lessons */
    public static function holding(Builder $lessons): void
    {
        $lessons->whereIn('state', array_column(array_filter(LessonState::cases(), static fn (LessonState $state): bool => $state->holds()), 'value'));
    }

    /** @return array{?Position, ?Position} where it begins and where it ends: its own address, or the learner’s */
    public static function places(Lesson $lesson): array
    {
        $learner = $lesson->learner;
        $usual = self::position($learner->pick_up_latitude_deg, $learner->pick_up_longitude_deg);
        // Another address that is not on the map is nowhere the learner’s usual one is.
        $starts = $lesson->pick_up === null ? $usual : self::position($lesson->pick_up_latitude_deg, $lesson->pick_up_longitude_deg);
        $ends = $lesson->drop_off === null ? $starts : self::position($lesson->drop_off_latitude_deg, $lesson->drop_off_longitude_deg);

        return [$starts, $ends];
    }

    /** @return array{?Position, ?Position} a test begins and ends at its centre; where one is busy, nobody has said */
    private static function placesOf(BusyTime $busy): array
    {
        $centre = $busy->kind === 'test' && $busy->centre !== null ? self::position($busy->centre->latitude_deg, $busy->centre->longitude_deg) : null;

        return [$centre, $centre];
    }

    private static function position(?float $latitude, ?float $longitude): ?Position
    {
        return $latitude === null || $longitude === null ? null : Position::ofDegrees($latitude, $longitude);
    }
}
