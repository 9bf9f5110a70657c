<?php

declare(strict_types=1);

namespace NobleTurn\Core\Circuit;

/** How much longer a drive takes by the hour of the day (assumed; a measured leg stands): up, level and down again, from Monday to Friday. */
final class BusyHours
{
    /** So many times as long in the middle of a busy hour. */
    public const MOST = 1.3;

    /** Begins to fill, is full, begins to empty, is empty again; hours of the local day. */
    private const PEAKS = [[7.0, 8.0, 9.0, 10.0], [15.0, 16.5, 18.0, 19.0]];

    private const SATURDAY = 6;

    /** @param  \DateTimeImmutable  $at  by the clock on the wall there */
    public static function factor(\DateTimeImmutable $at): float
    {
        if ((int) $at->format('N') >= self::SATURDAY) {
            return 1.0;
        }
        $hour = (int) $at->format('G') + (int) $at->format('i') / 60.0 + (int) $at->format('s') / 3600.0;
        $full = 0.0;
        foreach (self::PEAKS as [$fills, $isFull, $empties, $isEmpty]) {
            $full = max($full, min(($hour - $fills) / ($isFull - $fills), 1.0, ($isEmpty - $hour) / ($isEmpty - $empties)));
        }

        return 1.0 + (self::MOST - 1.0) * max(0.0, $full);
    }

    /** The mean over a lesson. */
    public static function over(\DateTimeImmutable $from, float $seconds): float
    {
        $steps = max(1, (int) ceil($seconds / 60.0));
        $sum = 0.0;
        for ($i = 0; $i < $steps; $i++) {
            $sum += self::factor($from->modify(sprintf('+%d seconds', (int) round(($i + 0.5) * $seconds / $steps))));
        }

        return $sum / $steps;
    }
}
