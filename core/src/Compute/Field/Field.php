<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Field;

use NobleTurn\Core\Compute\Findings;

/** One thing an input can say. The same declaration reads it, refuses it, and describes it as JSON Schema. */
interface Field
{
    /** The name without a unit, by which the tool asks for the value. */
    public function key(): string;

    /** @return non-empty-list<string> the JSON properties it may come in */
    public function properties(): array;

    public function isRequired(): bool;

    /** The same, and it may be left out. */
    public function optional(): static;

    /** @return array<string, mixed> JSON Schema of one of its properties */
    public function schema(string $property): array;

    /** The value of one of its properties, or null after a finding was added under $path. */
    public function read(mixed $raw, string $property, string $path, Findings $findings): mixed;
}
