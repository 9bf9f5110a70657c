<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute;

use NobleTurn\Core\Fault\BadInput;

/**
 * How much work an answer is, told before it is done. One step is what one unit of a vehicle costs when it is drawn along one
 * piece of a path: STEP_MS on the machine it was measured on; `bin/bench` shows the dearest answers beside it.
 */
final class Effort
{
    /** What a step takes, ms (measured). */
    public const STEP_MS = 0.01;

    /** What an answer costs that looks up and works out a few formulas, steps (measured). */
    public const QUICK = 200.0;

    /** The most that one request may ask for, steps: about two seconds' work (assumed). */
    public const MOST = 200_000.0;

    /**
     * @param  non-empty-list<float>  $answers  steps of each answer
     * @return float steps altogether
     *
     * @throws BadInput where that is more than one request may ask for
     */
    public static function of(array $answers): float
    {
        $all = array_sum($answers);
        if ($all <= self::MOST) {
            return $all;
        }
        if (count($answers) === 1) {
            throw BadInput::field(
                '(input)',
                sprintf('asks for %s times as much work as one request may: take a larger step, a shorter way or fewer vehicles.', self::times($all)),
            );
        }
        throw BadInput::field(
            'sweep.step', sprintf('asks for %s times as much work as one request may: take fewer answers, or simpler ones.', self::times($all)),
        );
    }

    private static function times(float $all): string
    {
        $times = $all / self::MOST;

        return $times < 10.0 ? number_format(ceil($times * 10.0) / 10.0, 1) : number_format(ceil($times));
    }
}
