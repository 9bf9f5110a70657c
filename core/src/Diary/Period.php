<?php

declare(strict_types=1);

namespace NobleTurn\Core\Diary;

use InvalidArgumentException;

/** Some time, moments of the epoch in seconds: what begins when another ends does not overlap it. */
final readonly class Period
{
    /** @throws InvalidArgumentException where it does not end after it begins */
    public function __construct(public int $from, public int $until)
    {
        $until > $from ?: throw new InvalidArgumentException('A period ends after it begins.');
    }

    public function overlaps(self $other): bool
    {
        return $this->from < $other->until && $other->from < $this->until;
    }

    public function seconds(): int
    {
        return $this->until - $this->from;
    }
}
