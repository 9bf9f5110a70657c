<?php

declare(strict_types=1);

namespace NobleTurn\Core\Next;

/** Of the marks of a step, how much would be a fault in which somebody else has to act, or the instructor: what fails a test under every scheme. */
final class Serious
{
    /** What was left out would be one so often (assumed). */
    public const LEFT_OUT = 0.32;

    /** By rank, worst first: who had to be held back always, and hardly ever who took a word (assumed). */
    private const SHARE = [1.0, self::LEFT_OUT, 0.02, 0.02, 0.0];

    /**
     * @param  non-empty-list<float>  $outcomes  chances for ranks 0 to 4
     * @return float expected faults of a mark, 0 to 1
     */
    public static function of(array $outcomes): float
    {
        return array_sum(array_map(static fn (float $chance, float $share): float => $chance * $share, $outcomes, self::SHARE));
    }
}
