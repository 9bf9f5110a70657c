<?php

namespace App\Diary;

use App\Models\BusyTime;
use App\Models\Lesson;
use App\School\CurrentSchool;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;

/** Why something cannot be at its time: who of those who are needed is taken, and until when. Of what is not to be read no more is said. */
final class Clash
{
    public static function of(Model&TakesTime $row): ValidationException
    {
        $said = self::ofEach([$row])[0];

        // Where the other has gone meanwhile, the time is free by now.
        return ValidationException::withMessages(['starts_at' => $said === [] ? ['was just taken and is free again: try once more.'] : $said]);
    }

    /**
     * @param  list<Model&TakesTime>  $rows  as they would be; the time that each holds itself does not count
     * @param  list<string>  $moving  ids of what will not be where it is now either
     * @return list<list<string>> what is said of each of them
     */
    public static function ofEach(array $rows, array $moving = []): array
    {
        if ($rows === []) {
            return [];
        }
        $taken = DB::table('bookings')->where('school_id', app(CurrentSchool::class)->id())->where(static function ($any) use ($rows): void {
            foreach ($rows as $row) {
                $any->orWhere(static fn ($one) => $one->whereIn('who_id', self::whom($row))->where('starts_at', '<', $row->ends())
                    ->where('ends_at', '>', $row->starts()));
            }
            // As it stands now, also where somebody was quicker a moment ago.
        })->orderBy('starts_at')->sharedLock()->get();
        $lessons = Lesson::query()->with(['learner', 'vehicle', 'instructor'])->whereKey($taken->pluck('lesson_id')->filter()->unique())->sharedLock()->get();
        $busy = BusyTime::query()->with(['learner', 'vehicle', 'instructor'])->whereKey($taken->pluck('busy_time_id')->filter()->unique())->sharedLock()->get();
        /** @var array<string, Lesson|BusyTime> $others */
        $others = [...$lessons->keyBy('id')->all(), ...$busy->keyBy('id')->all()];

        $taken = $taken->reject(static fn (object $one): bool => in_array($one->lesson_id ?? $one->busy_time_id, $moving, true));

        return array_map(static function (Model&TakesTime $row) use ($taken, $others): array {
            // What is new has no id; neither has a row the id of what it is not of.
            $mine = $taken->filter(static fn (object $one): bool => ($row->getKey() === null || $one->{$row->column()} !== $row->getKey())
                && in_array($one->who_id, self::whom($row), true)
                && Carbon::parse($one->starts_at, 'UTC') < $row->ends() && Carbon::parse($one->ends_at, 'UTC') > $row->starts());
            $said = [];
            foreach ($mine->groupBy(static fn (object $one): string => $one->lesson_id ?? $one->busy_time_id) as $id => $held) {
                if (isset($others[$id])) {
                    $said[] = self::sentence($others[$id], $held->pluck('who')->all(), $row->starts());
                }
            }

            return $said;
        }, $rows);
    }

    /** @return list<string> ids of all who would be needed, also where it holds nobody’s time */
    private static function whom(Model&TakesTime $row): array
    {
        return array_values(array_filter([$row->getAttribute('instructor_id'), $row->getAttribute('learner_id'), $row->getAttribute('vehicle_id')]));
    }

    /** @param  array<string>  $who  of the other’s instructor, learner and car are needed */
    private static function sentence(Lesson|BusyTime $other, array $who, Carbon $at): string
    {
        $names = array_values(array_filter([
            in_array('instructor', $who, true) ? $other->instructor?->name : null, in_array('learner', $who, true) ? $other->learner?->name : null,
            in_array('car', $who, true) ? $other->vehicle?->name : null,
        ]));
        // “The blue hatch” in the middle of a sentence; a car called by its make stays as it is.
        $within = static fn (string $name, int $i): string => $i === 0 ? $name : (string) preg_replace('/^The /', 'the ', $name);
        $names = array_map($within, $names, array_keys($names));
        $zone = app(CurrentSchool::class)->school()->time_zone;
        $day = $at->copy()->setTimezone($zone)->toDateString();
        // What is not of that day says of which it is.
        $time = static fn (Carbon $moment): string => $moment->setTimezone($zone)->format($moment->toDateString() === $day ? 'H:i' : 'j F, H:i');

        return sprintf('%s %s taken from %s to %s: %s.', self::and($names), count($names) > 1 ? 'are' : 'is', $time($other->starts()), $time($other->ends()),
            $other instanceof Lesson ? self::lesson($other, in_array('learner', $who, true)) : BusyWords::why($other));
    }

    private static function lesson(Lesson $other, bool $isLearner): string
    {
        return match (true) {
            ! Gate::allows('view', $other) => 'a colleague’s lesson',
            $isLearner => "a lesson with {$other->instructor->name}",
            default => "a lesson with {$other->learner->name}",
        };
    }

    /** @param  list<string>  $names */
    private static function and(array $names): string
    {
        $last = array_pop($names);

        return $names === [] ? (string) $last : implode(', ', $names)." and {$last}";
    }
}
