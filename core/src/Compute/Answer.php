<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute;

use NobleTurn\Core\Plan\Warning;
use NobleTurn\Core\Rules\Assumption;

/** What a tool found, what it rests on, and what to be told beside it. */
final readonly class Answer
{
    /**
     * @param  array<string, mixed>  $body
     * @param  list<Assumption>  $assumptions
     * @param  list<Warning>  $warnings
     */
    public function __construct(
        public string $pack,
        public string $packVersion,
        public array $body,
        public array $assumptions,
        public array $warnings = [],
    ) {
    }
}
