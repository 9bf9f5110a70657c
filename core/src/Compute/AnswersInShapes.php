<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute;

/** A tool whose answers are of several shapes, told apart by a field that is constant in each. */
interface AnswersInShapes extends Tool
{
    /** @return non-empty-array<string, array<string, array<string, mixed>>> schemas of the fields of each shape, by its name; `output()` is the first */
    public function shapes(): array;
}
