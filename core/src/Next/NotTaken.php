<?php

declare(strict_types=1);

namespace NobleTurn\Core\Next;

/** A way that is not in a lesson, and why. */
final readonly class NotTaken
{
    public function __construct(public string $way, public WhyNot $reason, public string $message)
    {
    }
}
