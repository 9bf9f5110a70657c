<?php

declare(strict_types=1);

namespace NobleTurn\Core\Quantity;

/** Time as it is written into a book: "8 h 5 min", "50 h", "35 min". */
final class HoursAndMinutes
{
    private const AN_HOUR = 60;

    /** @param  int  $minutes  from 0 */
    public static function words(int $minutes): string
    {
        [$hours, $rest] = [intdiv($minutes, self::AN_HOUR), $minutes % self::AN_HOUR];

        return implode(' ', [...($hours > 0 ? ["{$hours} h"] : []), ...($rest > 0 || $hours === 0 ? ["{$rest} min"] : [])]);
    }
}
