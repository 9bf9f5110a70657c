<?php

namespace App\Telling;

use App\Models\Lesson;
use App\Models\School;
use Illuminate\Support\Carbon;
use NobleTurn\Core\Diary\TextKind;

/** The words of texts, with `{places}` in them for what differs from lesson to lesson. */
final class TextWords
{
    private const PLACE = '/\{([^{}]*)\}/u';

    /** What may stand in which words. */
    private const EVERYWHERE = ['learner', 'instructor', 'school', 'day', 'time', 'until', 'minutes', 'place'];

    private const WAS = 'was';

    /** The usual words of a kind, until a school has its own. */
    public static function usual(TextKind $kind): string
    {
        return match ($kind) {
            TextKind::Booked => '{learner}, your lesson is booked: {day} at {time}, {minutes} minutes, from {place}. {instructor}, {school}',
            TextKind::Moved => '{learner}, your lesson of {was} is now on {day} at {time}, {minutes} minutes, from {place}. {instructor}, {school}',
            TextKind::Cancelled => '{learner}, your lesson on {day} at {time} is off. I will ring you to find another time. {instructor}, {school}',
            TextKind::DayBefore => '{learner}, your lesson is tomorrow, {day}, at {time}, from {place}. If you cannot come, ring me today. {instructor}',
            TextKind::Late => '{learner}, I am running late: our lesson today is {time} to {until} instead of {was}. I am sorry. {instructor}',
        };
    }

    /** @return list<string> what may stand between braces */
    public static function places(TextKind $kind): array
    {
        return [...self::EVERYWHERE, ...($kind === TextKind::Moved || $kind === TextKind::Late ? [self::WAS] : [])];
    }

    /** @return list<string> what stands between braces in some words and means nothing there */
    public static function unknown(TextKind $kind, string $words): array
    {
        preg_match_all(self::PLACE, $words, $found);

        return array_values(array_diff(array_unique($found[1]), self::places($kind)));
    }

    /** @param  ?Carbon  $was  when the learner thinks that it is, where that is another time */
    public static function filled(string $words, Lesson $lesson, School $school, ?Carbon $was): string
    {
        $lesson->loadMissing(['learner', 'instructor']);
        $on = static fn (Carbon $at, string $how): string => $at->copy()->setTimezone($school->time_zone)->format($how);
        $isToday = $was !== null && $on($was, 'Y-m-d') === $on(Carbon::now(), 'Y-m-d');
        $is = [
            'learner' => explode(' ', $lesson->learner->name)[0], 'instructor' => $lesson->instructor->name, 'school' => $school->name,
            'day' => $on($lesson->starts_at, 'l j F'), 'time' => $on($lesson->starts_at, 'H:i'), 'until' => $on($lesson->ends(), 'H:i'),
            'minutes' => (string) $lesson->lasts(), 'place' => $lesson->pick_up ?? $lesson->learner->pick_up ?? 'where we meet',
            self::WAS => $was === null ? '' : $on($was, $isToday ? 'H:i' : 'l j F, H:i'),
        ];

        return (string) preg_replace_callback(self::PLACE, static fn (array $found): string => $is[$found[1]] ?? $found[0], $words);
    }
}
