<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute;

use NobleTurn\Core\Fault\BadInput;

/** A calculator of the core as seen from outside: JSON fields in, a JSON answer out. */
interface Tool
{
    public function name(): string;

    public function about(): string;

    public function input(): Shape;

    /** @return array<string, array<string, mixed>> JSON Schema of each property the tool itself answers */
    public function output(): array;

    /** @throws BadInput where fields contradict each other */
    public function answer(Values $input): Answer;
}
