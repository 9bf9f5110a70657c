<?php

declare(strict_types=1);

namespace NobleTurn\Core\Next;

use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Draws of mean 0 and variance 1 for a number of samples, the same for the same seed, spread so that of each variable every equally likely slice is met by
 * one sample: what comes of them differs far less from seed to seed than of as many drawn each by itself. Published: M. D. McKay, R. J. Beckman and
 * W. J. Conover, "A comparison of three methods for selecting values of input variables in the analysis of output from a computer code",
 * Technometrics 21 (1979).
 */
final class Normals
{
    private const PARTS = 1_000_000_000;

    /** P. J. Acklam's rational approximation of the normal quantile, relative error below 1.2e-9 (from memory, held against the integral in tests). */
    private const MIDDLE = [-39.69683028665376, 220.9460984245205, -275.9285104469687, 138.3577518672690, -30.66479806614716, 2.506628277459239];

    private const UNDER_MIDDLE = [-54.47609879822406, 161.5858368580409, -155.6989798598866, 66.80131188771972, -13.28068155288572, 1.0];

    private const TAIL = [-0.007784894002430293, -0.3223964580411365, -2.400758277161838, -2.549732539343734, 4.374664141464968, 2.938163982698783];

    private const UNDER_TAIL = [0.007784695709041462, 0.3224671290700398, 2.445134137142996, 3.754408661907416, 1.0];

    /** Below it, and as far from 1, lie the tails. */
    private const IN_TAIL = 0.02425;

    private readonly Randomizer $chance;

    /** @var list<list<float>> of each variable so far, one for each sample */
    private array $drawn = [];

    public function __construct(int $seed, private readonly int $samples)
    {
        $this->chance = new Randomizer(new Mt19937($seed));
    }

    /**
     * One sample's draws, one after the other: each call is of the next variable.
     *
     * @return \Closure(): float
     */
    public function of(int $sample): \Closure
    {
        $variable = 0;

        return function () use ($sample, &$variable): float {
            $this->drawn[$variable] ??= $this->spread();

            return $this->drawn[$variable++][$sample];
        };
    }

    /**
     * What so much of a normal distribution of mean 0 and variance 1 is below.
     *
     * @param  float  $share  between 0 and 1, neither of them
     */
    public static function quantile(float $share): float
    {
        if ($share > 0.5) {
            return -self::quantile(1.0 - $share);
        }
        if ($share < self::IN_TAIL) {
            $at = sqrt(-2.0 * log($share));

            return self::polynomial(self::TAIL, $at) / self::polynomial(self::UNDER_TAIL, $at);
        }
        $at = $share - 0.5;

        return $at * self::polynomial(self::MIDDLE, $at ** 2) / self::polynomial(self::UNDER_MIDDLE, $at ** 2);
    }

    /** @return list<float> somewhere in each slice, by turns that hang on nothing else */
    private function spread(): array
    {
        $slices = $this->chance->shuffleArray(range(0, $this->samples - 1));

        return array_map(fn (int $slice): float => self::quantile(
            ($slice + ($this->chance->getInt(0, self::PARTS - 1) + 0.5) / self::PARTS) / $this->samples,
        ), $slices);
    }

    /** @param  list<float>  $coefficients  of the highest power first */
    private static function polynomial(array $coefficients, float $at): float
    {
        return array_reduce($coefficients, static fn (float $sum, float $one): float => $sum * $at + $one, 0.0);
    }
}
