<?php

namespace App\Diary;

use App\Models\Lesson;
use App\Models\School;
use DateTimeZone;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Carbon;
use NobleTurn\Core\Diary\Appointment;
use NobleTurn\Core\Diary\Day;
use NobleTurn\Core\Diary\LessonState;
use NobleTurn\Core\Diary\Period;
use NobleTurn\Core\Diary\Travel;
use NobleTurn\Core\Site\Position;

/** Lessons as the core's diary reads them. */
final class Appointments
{
    public static function of(Lesson $lesson): Appointment
    {
        $from = $lesson->starts_at->getTimestamp();
        [$starts, $ends] = self::places($lesson);

        return new Appointment($lesson->id ?? 'new', new Period($from, $from + 60 * $lesson->lasts()), $starts, $ends);
    }

    /** @param  iterable<Lesson>  $lessons one instructor’s, with learner */
    public static function day(iterable $lessons, School $school): Day
    {
        $appointments = [];
        foreach ($lessons as $lesson) {
            $appointments[] = self::of($lesson);
        }

        return Day::of($appointments, self::travel($school));
    }

    public static function travel(School $school): Travel
    {
        return new Travel(new DateTimeZone($school->time_zone));
    }

    /** @return Collection<int, Lesson> that take time of somebody’s between two moments, with learner and car, in their order */
    public static function taking(string $instructor, Carbon $from, Carbon $until): Collection
    {
        return Lesson::query()->with(['learner', 'vehicle'])->where('instructor_id', $instructor)->tap(self::holding(...))
            // No lesson is longer than eight hours.
            ->whereBetween('starts_at', [$from->copy()->subHours(8), $until])->oldest('starts_at')->get()
            ->filter(static fn (Lesson $lesson): bool => $lesson->ends() > $from && $lesson->starts_at < $until)->values();
    }

    /** @param  Builder<Lesson>  $lessons */
    public static function holding(Builder $lessons): void
    {
        $lessons->whereIn('state', array_column(array_filter(LessonState::cases(), static fn (LessonState $state): bool => $state->holds()), 'value'));
    }

    /** @return array{?Position, ?Position} where it begins and where it ends: its own address, or the learner’s */
    private static function places(Lesson $lesson): array
    {
        $learner = $lesson->learner;
        $usual = self::position($learner->pick_up_latitude_deg, $learner->pick_up_longitude_deg);
        // Another address that is not on the map is nowhere the learner’s usual one is.
        $starts = $lesson->pick_up === null ? $usual : self::position($lesson->pick_up_latitude_deg, $lesson->pick_up_longitude_deg);
        $ends = $lesson->drop_off === null ? $starts : self::position($lesson->drop_off_latitude_deg, $lesson->drop_off_longitude_deg);

        return [$starts, $ends];
    }

    private static function position(?float $latitude, ?float $longitude): ?Position
    {
        return $latitude === null || $longitude === null ? null : Position::ofDegrees($latitude, $longitude);
    }
}
