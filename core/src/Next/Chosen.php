<?php

declare(strict_types=1);

namespace NobleTurn\Core\Next;

/** Ways in the order driven, and how often each. */
final readonly class Chosen
{
    private const SAME = 1e-9;

    /**
     * @param  array<int, int>  $rounds  by way, in the order driven
     * @param  float  $driven  between the ways, from the start and to the end, s
     * @param  float  $worth  the driving taken off
     */
    public function __construct(public array $rounds, public float $driven, public float $worth)
    {
    }

    public function isBetterThan(self $other): bool
    {
        return $this->worth > $other->worth + self::SAME;
    }
}
