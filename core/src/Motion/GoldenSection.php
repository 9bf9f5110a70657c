<?php

declare(strict_types=1);

namespace NobleTurn\Core\Motion;

/** Where a function with one top is highest (Kiefer 1953, from memory). */
final class GoldenSection
{
    /**
     * @param  callable(float): float  $height
     * @param  int  $tries  each leaves 0.618 of what was left; two more are needed to begin
     */
    public static function highest(callable $height, float $low, float $high, int $tries): float
    {
        $golden = (sqrt(5.0) - 1.0) / 2.0;
        [$a, $b] = [$high - $golden * ($high - $low), $low + $golden * ($high - $low)];
        [$ha, $hb] = [$height($a), $height($b)];
        for ($i = 0; $i < $tries; $i++) {
            if ($ha >= $hb) {
                [$high, $b, $hb] = [$b, $a, $ha];
                $a = $high - $golden * ($high - $low);
                $ha = $height($a);
            } else {
                [$low, $a, $ha] = [$a, $b, $hb];
                $b = $low + $golden * ($high - $low);
                $hb = $height($b);
            }
        }

        return $ha >= $hb ? $a : $b;
    }
}
