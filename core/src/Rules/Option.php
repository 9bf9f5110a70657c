<?php

declare(strict_types=1);

namespace NobleTurn\Core\Rules;

/** One school's answer to a question good instructors answer differently. */
final readonly class Option
{
    public function __construct(
        public string $value,
        public string $words,
        public string $reason,
        /** What it adds to the card of the step it touches; empty where it moves the plan instead. */
        public string $says = '',
    ) {
    }
}
