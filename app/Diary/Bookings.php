<?php

namespace App\Diary;

use App\Models\Lesson;
use App\Models\User;
use Closure;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/**
 * Whose time each lesson takes. The table refuses what overlaps, so that two devices that book the same hour cannot both succeed, whatever
 * either of them saw before.
 */
final class Bookings
{
    /** Who takes part in a lesson, and the column that names them. */
    private const WHO = ['instructor' => 'instructor_id', 'learner' => 'learner_id', 'car' => 'vehicle_id'];

    private const AT_ONCE = 500;

    /** Two who wait for each other are told to begin again by the database. */
    private const ATTEMPTS = 5;

    /**
     * Writes on a lesson and holds its time, both or neither. What does not touch the time is written even on a lesson that clashes since
     * before there was a diary. Where somebody who is needed is taken, it is a ValidationException that names them.
     *
     * @param  Closure(Lesson): mixed  $write
     */
    public static function with(Lesson $lesson, Closure $write): void
    {
        $isNew = ! $lesson->exists;
        DB::transaction(static function () use ($lesson, $write, $isNew): void {
            // Begun again where two waited for each other: what the first attempt wrote is gone.
            $lesson->exists = ! $isNew;
            $before = $isNew ? null : self::taken($lesson->refresh());
            $write($lesson);
            if (self::taken($lesson) !== $before) {
                self::hold($lesson, $before === null);
            }
        }, self::ATTEMPTS);
    }

    /** Within a transaction. */
    private static function hold(Lesson $lesson, bool $isFree): void
    {
        if (! $isFree) {
            DB::table('bookings')->where('lesson_id', $lesson->id)->delete();
        }
        if (self::taken($lesson) === null) {
            return;
        }
        try {
            DB::table('bookings')->insert(self::rows($lesson->getAttributes()));
        } catch (UniqueConstraintViolationException) {
            throw Clash::of($lesson);
        }
    }

    /** @return ?array{string, int, string, string, string} what a lesson takes: from when, for how many minutes, whose; null where it takes nothing */
    private static function taken(Lesson $lesson): ?array
    {
        return $lesson->state()->holds()
            ? [$lesson->starts_at->toIso8601ZuluString(), $lesson->lasts(), $lesson->instructor_id, $lesson->learner_id, $lesson->vehicle_id] : null;
    }

    /** Gives a lesson to a colleague, unless they are taken then. */
    public static function giveTo(Lesson $lesson, User $colleague): bool
    {
        try {
            self::with($lesson, static function (Lesson $lesson) use ($colleague): void {
                $lesson->instructor_id = $colleague->id;
                $lesson->save();
            });

            return true;
        } catch (ValidationException) {
            return false;
        }
    }

    /** Takes the times of all lessons that hold theirs and have none yet, oldest booking first; of two that clash the second gets none. */
    public static function fill(): void
    {
        DB::table('lessons')->whereNotIn('state', ['wished', 'cancelled'])
            ->whereNotExists(static fn ($booked) => $booked->from('bookings')->whereColumn('bookings.lesson_id', 'lessons.id'))
            ->orderBy('created_at')->orderBy('id')->get(['id', 'school_id', 'learner_id', 'instructor_id', 'vehicle_id', 'starts_at', 'minutes'])
            ->chunk(self::AT_ONCE)->each(static function ($lessons): void {
                $lessons = array_map(static fn (object $lesson): array => (array) $lesson, array_values($lessons->all()));
                if (! self::insert($lessons)) {
                    array_map(static fn (array $lesson): bool => self::insert([$lesson]), $lessons);
                }
            });
    }

    /** @param  list<array<string, mixed>>  $lessons all of them or none */
    private static function insert(array $lessons): bool
    {
        try {
            DB::table('bookings')->insert(array_merge(...array_map(self::rows(...), $lessons)));

            return true;
        } catch (UniqueConstraintViolationException) {
            return false;
        }
    }

    /**
     * @param  array<string, mixed>  $lesson  its columns
     * @return list<array<string, mixed>>
     */
    private static function rows(array $lesson): array
    {
        $starts = Carbon::parse($lesson['starts_at'], 'UTC');
        $ends = $starts->copy()->addMinutes((int) ($lesson['cut_to_minutes'] ?? $lesson['minutes']));

        return array_map(static fn (string $who, string $column): array => [
            'id' => (string) Str::uuid7(), 'school_id' => $lesson['school_id'], 'lesson_id' => $lesson['id'], 'who' => $who, 'who_id' => $lesson[$column],
            'starts_at' => $starts->format('Y-m-d H:i:s'), 'ends_at' => $ends->format('Y-m-d H:i:s'),
        ], array_keys(self::WHO), self::WHO);
    }
}
