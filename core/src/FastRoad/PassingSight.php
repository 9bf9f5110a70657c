<?php

declare(strict_types=1);

namespace NobleTurn\Core\FastRoad;

use NobleTurn\Core\Quantity\Distance;
use NobleTurn\Core\Quantity\Speed;

/** Passing sight distance of road design: AASHTO Green Book, 2011 and later, from memory, by design speed. */
final class PassingSight
{
    public const DOCUMENT = 'AASHTO Green Book 2011, passing sight distance';

    public const WHY = 'Road design lets the driver give up until abreast and the passed vehicle be {mph:12} slower than the design speed; here the whole '
        .'pass from behind to back in has to fit into what is seen.';

    /** Feet by mph. */
    private const TABLE = [20 => 400, 30 => 500, 40 => 600, 50 => 800, 60 => 1000, 70 => 1200];

    /** Between the table's rows in a straight line, at its ends the end. */
    public static function metres(float $speed): float
    {
        $tens = max(2.0, min(7.0, $speed / Speed::METRES_PER_SECOND_IN_A_MILE_PER_HOUR / 10.0));
        [$below, $above] = [self::TABLE[(int) floor($tens) * 10], self::TABLE[(int) ceil($tens) * 10]];

        return ($below + ($tens - floor($tens)) * ($above - $below)) * Distance::METRES_IN_A_FOOT;
    }
}
