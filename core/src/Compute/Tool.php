<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute;

use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Fault\InvalidQuantity;

/** A calculator of the core as seen from outside: JSON fields in, a JSON answer out. */
interface Tool
{
    public function name(): string;

    public function about(): string;

    public function input(): Shape;

    /** @return array<string, array<string, mixed>> JSON Schema of each property the tool itself answers */
    public function output(): array;

    /** How much work the answer will be, steps (see Effort): told from the fields alone, before they are known to agree. */
    public function effort(Values $input): float;

    /**
     * @throws BadInput where fields contradict each other
     * @throws InvalidQuantity where together they mean something absurd
     */
    public function answer(Values $input): Answer;
}
