<?php

declare(strict_types=1);

namespace NobleTurn\Core\Track;

/** What several measurings of one drive come to: the middle one, which one slow day does not move. */
final readonly class Measured
{
    private function __construct(public int $seconds, public int $metres, public int $times)
    {
    }

    /**
     * @param  non-empty-list<array{int, int}>  $drives  seconds and metres of each
     */
    public static function of(array $drives): self
    {
        return new self(self::middle(array_column($drives, 0)), self::middle(array_column($drives, 1)), count($drives));
    }

    /** @param  list<int>  $values */
    private static function middle(array $values): int
    {
        sort($values);
        $half = intdiv(count($values), 2);

        return count($values) % 2 === 1 ? $values[$half] : (int) round(($values[$half - 1] + $values[$half]) / 2.0);
    }
}
