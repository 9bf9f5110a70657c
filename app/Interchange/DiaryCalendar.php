<?php

namespace App\Interchange;

use App\Diary\BusyWords;
use App\Models\BusyTime;
use App\Models\Lesson;
use App\Models\User;
use Illuminate\Support\Carbon;
use Sabre\VObject\Component\VCalendar;

/**
 * Lessons and what else takes time as iCalendar (RFC 5545), for the calendar that somebody has anyway. Moments are in UTC, so that no
 * calendar has to know our time zones. Who comes is said only as far as their instructor wants it said there.
 */
final class DiaryCalendar
{
    /** So often a calendar may ask again. */
    private const REFRESH = 'PT1H';

    /**
     * @param  iterable<Lesson>  $lessons  with learner
     * @param  iterable<BusyTime>  $busy  with learner and centre
     */
    public static function of(User $person, iterable $lessons, iterable $busy = []): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Noble Turn//Diary//EN', 'X-WR-CALNAME' => "Lessons of {$person->name}"]);
        $calendar->add('REFRESH-INTERVAL', self::REFRESH, ['VALUE' => 'DURATION']);
        foreach ($lessons as $lesson) {
            $isNamed = self::isNamed($person, $lesson->learner->is_minor);
            $calendar->add('VEVENT', array_filter([
                'UID' => "lesson-{$lesson->id}@noble-turn", 'DTSTAMP' => self::utc($lesson->getAttribute('updated_at')),
                'DTSTART' => self::utc($lesson->starts()), 'DTEND' => self::utc($lesson->ends()),
                'SUMMARY' => $isNamed ? "Lesson: {$lesson->learner->name}" : 'Lesson', 'STATUS' => $lesson->state === 'wished' ? 'TENTATIVE' : 'CONFIRMED',
                'TRANSP' => $lesson->state === 'wished' ? 'TRANSPARENT' : 'OPAQUE',
                // Where somebody lives says who they are.
                'LOCATION' => $isNamed ? $lesson->pick_up ?? $lesson->learner->pick_up : null,
            ], static fn (mixed $value): bool => $value !== null));
        }
        foreach ($busy as $one) {
            $isNamed = $one->learner === null || self::isNamed($person, $one->learner->is_minor);
            $calendar->add('VEVENT', array_filter([
                'UID' => "busy-{$one->id}@noble-turn", 'DTSTAMP' => self::utc($one->getAttribute('updated_at')),
                'DTSTART' => self::utc($one->starts()), 'DTEND' => self::utc($one->ends()), 'STATUS' => 'CONFIRMED', 'TRANSP' => 'OPAQUE',
                'SUMMARY' => ucfirst($one->kind === 'test' && ! $isNamed ? 'test' : BusyWords::why($one, $person)), 'LOCATION' => $one->centre?->name,
            ], static fn (mixed $value): bool => $value !== null));
        }

        return $calendar->serialize();
    }

    private static function isNamed(User $person, bool $isMinor): bool
    {
        return match ($person->calendar_names) {
            'all' => true,
            'nobody' => false,
            default => ! $isMinor,
        };
    }

    private static function utc(mixed $moment): \DateTimeImmutable
    {
        return Carbon::parse($moment)->utc()->toDateTimeImmutable();
    }
}
