<?php

namespace App\Diary;

use App\Models\Lesson;
use App\School\CurrentSchool;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;

/** Why a lesson cannot be at its time: who of those who are needed is taken, and until when. Of a lesson that is not to be read no more is said. */
final class Clash
{
    public static function of(Lesson $lesson): ValidationException
    {
        $said = self::said($lesson);

        // Where the other has gone meanwhile, the time is free by now.
        return ValidationException::withMessages(['starts_at' => $said === [] ? ['was just taken and is free again: try once more.'] : $said]);
    }

    /**
     * @param  Lesson  $lesson  as it would be; its own time does not count
     * @return list<string>
     */
    public static function said(Lesson $lesson): array
    {
        return self::ofEach([$lesson])[0];
    }

    /**
     * @param  list<Lesson>  $lessons
     * @return list<list<string>> for each of them
     */
    public static function ofEach(array $lessons): array
    {
        if ($lessons === []) {
            return [];
        }
        $taken = DB::table('bookings')->where('school_id', app(CurrentSchool::class)->id())->where(static function ($any) use ($lessons): void {
            foreach ($lessons as $lesson) {
                $any->orWhere(static fn ($one) => $one->whereIn('who_id', self::whom($lesson))->where('starts_at', '<', $lesson->ends())
                    ->where('ends_at', '>', $lesson->starts_at));
            }
            // As it stands now, also where somebody was quicker a moment ago.
        })->orderBy('starts_at')->sharedLock()->get();
        /** @var Collection<int, Lesson> $found */
        $found = Lesson::query()->with(['learner', 'vehicle', 'instructor'])->whereKey($taken->pluck('lesson_id')->unique())->sharedLock()->get();
        $others = $found->keyBy('id');

        return array_map(static function (Lesson $lesson) use ($taken, $others): array {
            $mine = $taken->filter(static fn (object $row): bool => $row->lesson_id !== $lesson->id && in_array($row->who_id, self::whom($lesson), true)
                && Carbon::parse($row->starts_at, 'UTC') < $lesson->ends() && Carbon::parse($row->ends_at, 'UTC') > $lesson->starts_at);
            $said = [];
            foreach ($mine->groupBy('lesson_id') as $id => $rows) {
                if (isset($others[$id])) {
                    $said[] = self::sentence($others[$id], $rows->pluck('who')->all());
                }
            }

            return $said;
        }, $lessons);
    }

    /** @return list<string> ids of instructor, learner and car */
    private static function whom(Lesson $lesson): array
    {
        return [$lesson->instructor_id, $lesson->learner_id, $lesson->vehicle_id];
    }

    /** @param  array<string>  $who  of the other lesson’s instructor, learner and car are needed */
    private static function sentence(Lesson $other, array $who): string
    {
        $isInstructor = in_array('instructor', $who, true);
        $isLearner = in_array('learner', $who, true);
        $names = array_values(array_filter([
            $isInstructor ? $other->instructor->name : null, $isLearner ? $other->learner->name : null,
            in_array('car', $who, true) ? $other->vehicle->name : null,
        ]));
        // “The blue hatch” in the middle of a sentence; a car called by its make stays as it is.
        $within = static fn (string $name, int $i): string => $i === 0 ? $name : (string) preg_replace('/^The /', 'the ', $name);
        $names = array_map($within, $names, array_keys($names));
        $zone = app(CurrentSchool::class)->school()->time_zone;
        $time = static fn (Carbon $at): string => $at->copy()->setTimezone($zone)->format('H:i');
        $lesson = match (true) {
            ! Gate::allows('view', $other) => 'a colleague’s lesson',
            $isLearner => "a lesson with {$other->instructor->name}",
            default => "a lesson with {$other->learner->name}",
        };

        return sprintf(
            '%s %s taken from %s to %s: %s.', self::and($names), count($names) > 1 ? 'are' : 'is', $time($other->starts_at), $time($other->ends()), $lesson,
        );
    }

    /** @param  list<string>  $names */
    private static function and(array $names): string
    {
        $last = array_pop($names);

        return $names === [] ? (string) $last : implode(', ', $names)." and {$last}";
    }
}
