<?php

declare(strict_types=1);

namespace NobleTurn\Core\Diary;

use DateTimeImmutable;
use DateTimeZone;
use InvalidArgumentException;
use NobleTurn\Core\Quantity\HoursAndMinutes;

/** The hours that somebody works, and how much of them they give lessons at most. Nothing is forbidden by it: it is said before a lesson is put outside. */
final readonly class WorkingDay
{
    private const A_MINUTE = 60;

    private const TIME = '/^([01]\d|2[0-3]):[0-5]\d$/';

    /**
     * @param  string  $from  `08:00` by the clock of the place
     * @param  string  $until  later the same day
     * @param  ?int  $most  minutes of lessons on a day; null where there is no limit
     *
     * @throws InvalidArgumentException where one is no time of day, the day does not end after it begins, or no lesson is left of it
     */
    public function __construct(public string $from, public string $until, public ?int $most = null)
    {
        foreach ([$from, $until] as $time) {
            preg_match(self::TIME, $time) === 1 ?: throw new InvalidArgumentException("{$time} is no time of day.");
        }
        $until > $from ?: throw new InvalidArgumentException('The day ends after it begins.');
        $most === null || $most > 0 ?: throw new InvalidArgumentException('At most is more than none.');
    }

    /** From when to when on a day; `$day` is any moment of it in the zone of the place. */
    public function on(DateTimeImmutable $day): Period
    {
        return new Period(self::at($day, $this->from), self::at($day, $this->until));
    }

    /** Whether a lesson more is within what is given at most; minutes. */
    public function hasRoom(int $given, int $more): bool
    {
        return $this->most === null || $given + $more <= $this->most;
    }

    /**
     * What is to be said of a lesson that would be then.
     *
     * @param  int  $given  minutes of the other lessons of that day
     * @return list<string> sentences; none where all is well
     */
    public function notes(Period $lesson, DateTimeZone $zone, int $given): array
    {
        $local = static fn (int $moment): DateTimeImmutable => (new DateTimeImmutable("@{$moment}"))->setTimezone($zone);
        $worked = $this->on($local($lesson->from));
        $minutes = intdiv($lesson->seconds(), self::A_MINUTE);
        $notes = [];
        if ($lesson->from < $worked->from) {
            $notes[] = "It begins before {$this->from}, when the day does.";
        }
        if ($lesson->until > $worked->until) {
            $notes[] = "It ends at {$local($lesson->until)->format('H:i')}: the day is over at {$this->until}.";
        }
        if (! $this->hasRoom($given, $minutes)) {
            $notes[] = HoursAndMinutes::words($given + $minutes).' of lessons that day, where '.HoursAndMinutes::words((int) $this->most).' is the most.';
        }

        return $notes;
    }

    private static function at(DateTimeImmutable $day, string $time): int
    {
        [$hours, $minutes] = array_map('intval', explode(':', $time));

        return $day->setTime($hours, $minutes)->getTimestamp();
    }
}
