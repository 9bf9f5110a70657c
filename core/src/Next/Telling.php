<?php

declare(strict_types=1);

namespace NobleTurn\Core\Next;

/** Numbers as somebody says them. */
final class Telling
{
    private const DAYS_A_MONTH = 30.4;

    /** How often, of a chance: to the tenth, for nobody knows it nearer. */
    public static function times(float $chance): string
    {
        $tenths = (int) round(10.0 * $chance);

        return match (true) {
            $tenths <= 0 => 'hardly ever',
            $tenths === 1 => 'about once in 10',
            $tenths === 5 => 'about half the time',
            $tenths >= 10 => 'nearly every time',
            default => "about {$tenths} times in 10",
        };
    }

    /** How long: days while they can be counted, then months, then years. */
    public static function long(int $days): string
    {
        return match (true) {
            $days === 1 => 'a day',
            $days < 100 => "{$days} days",
            $days < 730 => round($days / self::DAYS_A_MONTH).' months',
            default => intdiv($days, 365).' years',
        };
    }
}
