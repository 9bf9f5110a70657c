<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute;

use NobleTurn\Core\Fault\BadInput;

/** Collects what is wrong with an input, field by field, so that a user hears everything at once. */
final class Findings
{
    /** @var array<string, list<string>> */
    private array $errors = [];

    public function add(string $path, string $sentence): void
    {
        $this->errors[$path][] = $sentence;
    }

    /** @throws BadInput */
    public function throwIfAny(): void
    {
        if ($this->errors !== []) {
            throw BadInput::of($this->errors);
        }
    }
}
