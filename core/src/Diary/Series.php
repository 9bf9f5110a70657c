<?php

declare(strict_types=1);

namespace NobleTurn\Core\Diary;

use DateTimeImmutable;
use InvalidArgumentException;

/**
 * The same hour every week, or every few: by the clock on the wall, which stays when the clocks change. In the hour that is skipped in
 * spring it is what the clock would have shown; of the hour that comes twice in autumn it is the first.
 */
final readonly class Series
{
    /** Two years of weeks: nobody books farther ahead. */
    public const MOST = 104;

    /**
     * @param  DateTimeImmutable  $first  in the zone of the place
     * @param  int  $weeks  from one to the next, from 1
     * @param  int  $times  from 1 to MOST, those that are left out among them
     * @param  list<string>  $without  days on which there is none, `2027-03-28` by the clock of the place
     *
     * @throws InvalidArgumentException where a number is out of its range
     */
    public function __construct(private DateTimeImmutable $first, private int $weeks, private int $times, private array $without = [])
    {
        $weeks >= 1 ?: throw new InvalidArgumentException('A series comes every week, or every few.');
        $times >= 1 && $times <= self::MOST ?: throw new InvalidArgumentException('A series comes from once to '.self::MOST.' times.');
    }

    /** @return list<DateTimeImmutable> in their order */
    public function moments(): array
    {
        $moments = [];
        for ($n = 0; $n < $this->times; $n++) {
            $day = $this->first->setDate(
                (int) $this->first->format('Y'), (int) $this->first->format('n'), (int) $this->first->format('j') + 7 * $this->weeks * $n,
            );
            // Set anew on each day: a clock that was moved on one of them does not stay moved.
            $at = $day->setTime((int) $this->first->format('G'), (int) $this->first->format('i'));
            if (! in_array($at->format('Y-m-d'), $this->without, true)) {
                $moments[] = $at;
            }
        }

        return $moments;
    }
}
