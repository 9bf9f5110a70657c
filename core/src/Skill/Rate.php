<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

/**
 * How often something is done, from a count over a time: a rate a minute with the range in which it lies four times out of five, if each is
 * done independently of the last at a steady rate. The range is exact (Garwood, Biometrika 28, 1936: each end is the rate at which a count
 * as far out as this one has a chance of one in ten).
 */
final readonly class Rate
{
    /** Chance beyond each end. */
    private const TAIL = 0.1;

    private function __construct(public int $number, public float $seconds, public float $estimate, public float $low, public float $high)
    {
    }

    /**
     * @param  int  $number  0 or more
     * @param  float  $seconds  over which it was counted, more than 0
     *
     * @throws \InvalidArgumentException
     */
    public static function of(int $number, float $seconds): self
    {
        if ($number < 0 || $seconds <= 0.0) {
            throw new \InvalidArgumentException('A rate needs a count and the seconds it took.');
        }
        $aMinute = 60 / $seconds;

        return new self(
            $number, $seconds, $number * $aMinute,
            $number === 0 ? 0.0 : $aMinute * self::mean($number - 1, 1 - self::TAIL), $aMinute * self::mean($number, self::TAIL),
        );
    }

    /** Whether this one is surely lower: the ranges have nothing in common. */
    public function isBelow(self $other): bool
    {
        return $this->high < $other->low;
    }

    /** The mean at which the chance of no more than so many is as given; by halving. */
    private static function mean(int $atMost, float $chance): float
    {
        $low = 0.0;
        $high = $atMost + 10 * sqrt($atMost + 1.0) + 10;
        for ($i = 0; $i < 60; $i++) {
            $middle = ($low + $high) / 2;
            if (self::chanceOfAtMost($atMost, $middle) > $chance) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }

        return ($low + $high) / 2;
    }

    private static function chanceOfAtMost(int $number, float $mean): float
    {
        $term = -$mean;
        $sum = exp($term);
        for ($i = 1; $i <= $number; $i++) {
            $term += log($mean) - log($i);
            $sum += exp($term);
        }

        return $sum;
    }
}
