<?php

declare(strict_types=1);

namespace NobleTurn\Core\Diary;

use DateTimeImmutable;
use DateTimeZone;
use InvalidArgumentException;

/** When somebody can, by the clock on the wall: on some days of the week, between two times. */
final readonly class Wish
{
    private const A_DAY = 24 * 60;

    /**
     * @param  list<int>  $days  1 for Monday to 7 for Sunday
     * @param  int  $from  minutes from midnight
     * @param  int  $until  likewise, after that
     *
     * @throws InvalidArgumentException where that is no time of a day
     */
    public function __construct(private array $days, private int $from, private int $until)
    {
        if ($days === [] || array_diff($days, range(1, 7)) !== [] || $from < 0 || $from >= $until || $until > self::A_DAY) {
            throw new InvalidArgumentException('A wish names days from 1 to 7 and a time between two times of a day.');
        }
    }

    /** @return ?Period what of a period is on that day and within those times; null where nothing is */
    public function within(Period $period, DateTimeZone $zone): ?Period
    {
        $day = (new DateTimeImmutable("@{$period->from}"))->setTimezone($zone);
        if (! in_array((int) $day->format('N'), $this->days, true)) {
            return null;
        }
        $at = static fn (int $minute): int => $day->setTime(intdiv($minute, 60), $minute % 60)->getTimestamp();
        [$from, $until] = [max($period->from, $at($this->from)), min($period->until, $at($this->until))];

        return $until > $from ? new Period($from, $until) : null;
    }
}
