<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Field;

/** What fields of a single property share. */
abstract class BaseField implements Field
{
    private bool $required = false;

    public function __construct(protected readonly string $key, protected readonly string $about)
    {
    }

    public function required(): static
    {
        $field = clone $this;
        $field->required = true;

        return $field;
    }

    public function optional(): static
    {
        $field = clone $this;
        $field->required = false;

        return $field;
    }

    public function key(): string
    {
        return $this->key;
    }

    public function properties(): array
    {
        return [$this->key];
    }

    public function isRequired(): bool
    {
        return $this->required;
    }
}
