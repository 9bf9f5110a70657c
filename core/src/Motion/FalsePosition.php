<?php

declare(strict_types=1);

namespace NobleTurn\Core\Motion;

/** The last value that still leaves enough, where what is left changes steadily: the rule of false position, in the Illinois form. */
final class FalsePosition
{
    private const ROUNDS = 30;

    /**
     * @param  callable(float): float  $left  what is left over; falls from the good end to the bad one without a jump
     * @param  float  $good  leaves enough: something or just nothing
     * @param  float  $bad  leaves too little
     * @param  float  $within  how exactly, in the unit of the value
     * @return float at which something, or just nothing, is left
     */
    public static function last(callable $left, float $good, float $bad, float $within): float
    {
        [$atGood, $atBad] = [$left($good), $left($bad)];
        $last = 0;
        for ($i = 0; $i < self::ROUNDS && abs($good - $bad) > $within && $atGood > 0.0; $i++) {
            $next = $good + ($bad - $good) * $atGood / ($atGood - $atBad);
            $now = $left($next);
            if ($now >= 0.0) {
                // The end that stays too often counts half, or it would never move.
                $atBad /= $last === 1 ? 2.0 : 1.0;
                [$good, $atGood, $last] = [$next, $now, 1];
                if ($now < $within) {
                    break;
                }
            } else {
                $atGood /= $last === -1 ? 2.0 : 1.0;
                [$bad, $atBad, $last] = [$next, $now, -1];
            }
        }

        return $good;
    }
}
