<?php

namespace App\Diary;

use App\Models\BusyTime;
use App\Models\Lesson;
use App\Models\User;
use App\School\CurrentSchool;
use Closure;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/**
 * Whose time each lesson takes, and whatever else keeps people and cars. The table refuses what overlaps, so that two devices that book the
 * same hour cannot both succeed, whatever either of them saw before.
 */
final class Bookings
{
    private const AT_ONCE = 500;

    /** Two who wait for each other are told to begin again by the database. */
    private const ATTEMPTS = 5;

    /** So long one waits for one's turn, s. */
    private const PATIENCE = 5;

    /**
     * Writes on something that takes time and holds that time, both or neither. What does not touch the time is written even on a lesson that
     * clashes since before there was a diary. Where somebody who is needed is taken, it is a ValidationException that names them.
     *
     * @template Row of Model&TakesTime
     *
     * @param  Row  $row
     * @param  Closure(Row): mixed  $write
     */
    public static function with(Model&TakesTime $row, Closure $write): void
    {
        $isNew = ! $row->exists;
        self::inTurn(static function () use ($row, $write, $isNew): void {
            // Begun again where two waited for each other: what the first attempt wrote is gone.
            $row->exists = ! $isNew;
            $before = $isNew ? null : self::taken($row->refresh());
            $write($row);
            if (self::taken($row) !== $before) {
                self::hold($row, $before === null);
            }
        });
    }

    /**
     * Does what books, in a transaction and in turn with all else that books in this school: many who book at once would wait for each
     * other's gaps in the table, and be told to begin again, time after time. Who has waited too long goes on: the table still refuses
     * what overlaps.
     *
     * @param  Closure(): void  $work  done anew where it is to begin again
     */
    public static function inTurn(Closure $work): void
    {
        $turn = 'bookings '.app(CurrentSchool::class)->id();
        DB::scalar('SELECT GET_LOCK(?, ?)', [$turn, self::PATIENCE]);
        try {
            DB::transaction($work, self::ATTEMPTS);
        } finally {
            DB::scalar('SELECT RELEASE_LOCK(?)', [$turn]);
        }
    }

    /** Within a transaction. */
    private static function hold(Model&TakesTime $row, bool $isFree): void
    {
        if (! $isFree) {
            DB::table('bookings')->where($row->column(), $row->getKey())->delete();
        }
        if (self::taken($row) === null) {
            return;
        }
        try {
            DB::table('bookings')->insert(self::rows(
                [$row->column() => $row->getKey()], (string) $row->getAttribute('school_id'), $row->whose(), $row->starts(), $row->ends(),
            ));
        } catch (UniqueConstraintViolationException) {
            throw Clash::of($row);
        }
    }

    /** @return ?list<string> what something takes: from when to when, whose; null where it takes nothing */
    private static function taken(TakesTime $row): ?array
    {
        $whose = $row->whose();

        return $whose === [] ? null : [$row->starts()->toIso8601ZuluString(), $row->ends()->toIso8601ZuluString(), ...array_values($whose)];
    }

    /** Gives a lesson, or a test, to a colleague, unless they are taken then. */
    public static function giveTo(Lesson|BusyTime $row, User $colleague): bool
    {
        try {
            self::with($row, static function (Lesson|BusyTime $row) use ($colleague): void {
                $row->instructor_id = $colleague->id;
                $row->save();
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
            DB::table('bookings')->insert(array_merge(...array_map(self::rowsOfLesson(...), $lessons)));

            return true;
        } catch (UniqueConstraintViolationException) {
            return false;
        }
    }

    /**
     * @param  array<string, mixed>  $lesson  its columns
     * @return list<array<string, mixed>>
     */
    private static function rowsOfLesson(array $lesson): array
    {
        $starts = Carbon::parse($lesson['starts_at'], 'UTC');
        $whose = ['instructor' => $lesson['instructor_id'], 'learner' => $lesson['learner_id'], 'car' => $lesson['vehicle_id']];

        return self::rows(['lesson_id' => $lesson['id']], $lesson['school_id'], $whose, $starts, $starts->copy()->addMinutes((int) $lesson['minutes']));
    }

    /**
     * @param  array<string, string>  $of  the column that names what takes the time, and its id
     * @param  array<string, string>  $whose
     * @return list<array<string, mixed>>
     */
    private static function rows(array $of, string $school, array $whose, Carbon $starts, Carbon $ends): array
    {
        return array_map(static fn (string $who, string $id): array => [
            'id' => (string) Str::uuid7(), 'school_id' => $school, ...$of, 'who' => $who, 'who_id' => $id,
            'starts_at' => $starts->format('Y-m-d H:i:s'), 'ends_at' => $ends->format('Y-m-d H:i:s'),
        ], array_keys($whose), $whose);
    }
}
