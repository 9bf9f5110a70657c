<?php

declare(strict_types=1);

namespace NobleTurn\Core\Place;

use NobleTurn\Core\Quantity\Duration;

/** Who is behind us, as far as it changes the approach. */
final readonly class Follower
{
    /** Nearer than this counts as close, seconds (assumed: the two-second rule seen from the other car). */
    public const CLOSE_BELOW_S = 2.0;

    private function __construct(public bool $isClose)
    {
    }

    public static function none(): self
    {
        return new self(false);
    }

    public static function close(): self
    {
        return new self(true);
    }

    public static function atGap(Duration $gap): self
    {
        return new self($gap->inSeconds() < self::CLOSE_BELOW_S);
    }
}
