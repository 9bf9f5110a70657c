<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Field;

use NobleTurn\Core\Compute\Findings;

/** A value that may be given as one of several quantities, a gap as time or as distance: exactly one of all their names. */
final class EitherField extends BaseField
{
    /** @var non-empty-list<Field> */
    private readonly array $fields;

    public function __construct(string $key, Field $first, Field ...$others)
    {
        parent::__construct($key, '');
        $this->fields = [$first, ...array_values($others)];
    }

    public function properties(): array
    {
        return array_merge(...array_map(static fn (Field $field): array => $field->properties(), $this->fields));
    }

    public function schema(string $property): array
    {
        return $this->owner($property)->schema($property);
    }

    public function read(mixed $raw, string $property, string $path, Findings $findings): mixed
    {
        return $this->owner($property)->read($raw, $property, $path, $findings);
    }

    private function owner(string $property): Field
    {
        foreach ($this->fields as $field) {
            if (in_array($property, $field->properties(), true)) {
                return $field;
            }
        }
        throw new \LogicException("No field {$property}.");
    }
}
