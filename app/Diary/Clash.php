<?php

namespace App\Diary;

use App\Models\Lesson;
use App\School\CurrentSchool;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Why a lesson cannot be at a time: who of those who are needed is taken, and until when. */
final class Clash
{
    public static function of(Lesson $lesson): ValidationException
    {
        $said = self::said($lesson, $lesson->starts_at, $lesson->minutes);

        // Where the other has gone meanwhile, the time is free by now.
        return ValidationException::withMessages(['starts_at' => $said === [] ? ['was just taken and is free again: try once more.'] : $said]);
    }

    /**
     * @param  Lesson  $lesson  whose instructor, learner and car are asked about; its own time does not count
     * @return list<string>
     */
    public static function said(Lesson $lesson, Carbon $starts, int $minutes): array
    {
        $zone = app(CurrentSchool::class)->school()->time_zone;
        $taken = DB::table('bookings')->where('school_id', $lesson->school_id ?? app(CurrentSchool::class)->id())
            ->when($lesson->id !== null, static fn ($other) => $other->where('lesson_id', '!=', $lesson->id))
            ->whereIn('who_id', [$lesson->instructor_id, $lesson->learner_id, $lesson->vehicle_id])
            ->where('starts_at', '<', $starts->copy()->addMinutes($minutes))->where('ends_at', '>', $starts)
            ->orderBy('starts_at')->sharedLock()->get();
        $others = Lesson::query()->with(['learner', 'vehicle', 'instructor'])->whereKey($taken->pluck('lesson_id')->unique())->sharedLock()->get()->keyBy('id');
        $said = [];
        foreach ($taken->groupBy('lesson_id') as $id => $rows) {
            $other = $others[$id] ?? null;
            if ($other === null) {
                continue;
            }
            $who = $rows->pluck('who')->all();
            $names = array_filter([
                in_array('instructor', $who, true) ? $other->instructor->name : null,
                in_array('learner', $who, true) ? $other->learner->name : null,
                in_array('car', $who, true) ? lcfirst($other->vehicle->name) : null,
            ]);
            $time = static fn (string $at): string => Carbon::parse($at, 'UTC')->setTimezone($zone)->format('H:i');
            $with = in_array('learner', $who, true) ? "with {$other->instructor->name}" : "with {$other->learner->name}";
            $said[] = sprintf(
                '%s %s taken from %s to %s: a lesson %s.', ucfirst(self::and($names)), count($names) > 1 ? 'are' : 'is', $time($rows[0]->starts_at),
                $time($rows[0]->ends_at), $with,
            );
        }

        return $said;
    }

    /** @param  array<string>  $names */
    private static function and(array $names): string
    {
        $names = array_values($names);
        $last = array_pop($names);

        return $names === [] ? (string) $last : implode(', ', $names)." and {$last}";
    }
}
