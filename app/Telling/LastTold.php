<?php

namespace App\Telling;

use App\Models\Lesson;
use App\Models\Text;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use NobleTurn\Core\Diary\Known;
use NobleTurn\Core\Diary\LessonState;
use NobleTurn\Core\Diary\Period;

/** What a learner was last told of a lesson, as a row of `told` keeps it, and as a text keeps what was known before it. */
final class LastTold
{
    private const A_MINUTE = 60;

    public static function of(string $lesson): ?Known
    {
        $told = DB::table('told')->where('lesson_id', $lesson)->first();

        return $told === null ? null : self::known($told->starts_at, $told->minutes, $told->told_at, (bool) $told->is_reminded, $told->pick_up);
    }

    public static function known(?string $starts, int|string|null $minutes, string $at, bool $isReminded, ?string $pickUp): Known
    {
        $period = self::period($starts === null ? null : Carbon::parse($starts, 'UTC'), (int) $minutes);

        return new Known($period, Carbon::parse($at, 'UTC')->getTimestamp(), $isReminded, $pickUp);
    }

    /** When a lesson is; null where it is off. */
    public static function now(Lesson $lesson): ?Period
    {
        return $lesson->state() === LessonState::Booked ? self::period($lesson->starts_at, $lesson->minutes) : null;
    }

    /** What was known before a text was written. */
    public static function before(Text $text): ?Known
    {
        return $text->knew_at === null ? null : new Known(
            self::period($text->knew_starts_at, (int) $text->knew_minutes), $text->knew_at->getTimestamp(), $text->knew_reminded, $text->knew_pick_up,
        );
    }

    public static function keep(Lesson $lesson, ?Known $known): void
    {
        if ($known === null) {
            DB::table('told')->where('lesson_id', $lesson->id)->delete();

            return;
        }
        $row = self::row($known);
        DB::table('told')->upsert(
            ['lesson_id' => $lesson->id, 'school_id' => $lesson->school_id, 'starts_at' => $row['starts_at'], 'minutes' => $row['minutes'],
                'told_at' => $row['at'], 'is_reminded' => $known->isReminded, 'pick_up' => $known->where],
            ['lesson_id'], ['starts_at', 'minutes', 'told_at', 'is_reminded', 'pick_up'],
        );
    }

    /** @return array{knew_at: ?Carbon, knew_starts_at: ?Carbon, knew_minutes: ?int, knew_pick_up: ?string, knew_reminded: bool} as a text keeps it */
    public static function forText(?Known $known): array
    {
        $row = $known === null ? null : self::row($known);

        return [
            'knew_at' => $row['at'] ?? null, 'knew_starts_at' => $row['starts_at'] ?? null, 'knew_minutes' => $row['minutes'] ?? null,
            'knew_pick_up' => $known?->where, 'knew_reminded' => $known !== null && $known->isReminded,
        ];
    }

    /** @return array{at: Carbon, starts_at: ?Carbon, minutes: ?int} */
    private static function row(Known $known): array
    {
        return [
            'at' => Carbon::createFromTimestampUTC($known->at),
            'starts_at' => $known->period === null ? null : Carbon::createFromTimestampUTC($known->period->from),
            'minutes' => $known->period === null ? null : intdiv($known->period->seconds(), self::A_MINUTE),
        ];
    }

    private static function period(?Carbon $starts, int $minutes): ?Period
    {
        return $starts === null ? null : new Period($starts->getTimestamp(), $starts->getTimestamp() + self::A_MINUTE * $minutes);
    }
}
