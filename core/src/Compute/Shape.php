<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute;

use NobleTurn\Core\Compute\Field\Field;

/** The fields of a JSON object. Unknown fields and two units for one quantity are refused by name. */
final readonly class Shape
{
    /** @var list<Field> */
    public array $fields;

    /** @var array<string, Field> each name a value can be given under, with its field */
    private array $byProperty;

    /** @var array<string, Field> those that must be given, by key */
    private array $required;

    public function __construct(Field ...$fields)
    {
        $this->fields = array_values($fields);
        $byProperty = $required = [];
        foreach ($this->fields as $field) {
            if ($field->isRequired()) {
                $required[$field->key()] = $field;
            }
            foreach ($field->properties() as $property) {
                $byProperty[$property] = $field;
            }
        }
        $this->byProperty = $byProperty;
        $this->required = $required;
    }

    public function read(mixed $raw, string $path, Findings $findings): ?Values
    {
        if (! is_array($raw) || ($raw !== [] && array_is_list($raw))) {
            $findings->add($path === '' ? '(input)' : $path, 'must be an object.');

            return null;
        }
        $before = $path === '' ? '' : "{$path}.";
        $values = [];
        $given = [];
        foreach ($raw as $property => $value) {
            $property = (string) $property;
            $field = $this->byProperty[$property] ?? null;
            $key = $field?->key();
            if ($field === null || $key === null) {
                $findings->add($before.self::sayable($property), 'is not a field of this tool.');
            } elseif (isset($given[$key])) {
                $findings->add($before.$property, 'must not be given beside '.$given[$key].': one unit for one quantity.');
            } else {
                $given[$key] = $property;
                $values[$key] = $field->read($value, $property, $before.$property, $findings);
            }
        }
        foreach (array_diff_key($this->required, $given) as $field) {
            $properties = $field->properties();
            $findings->add($before.$properties[0], 'is missing'.(count($properties) > 1 ? ' (or '.implode(', ', array_slice($properties, 1)).')' : '').'.');
        }

        return new Values($values, $raw);
    }

    /**
     * Those of its fields that give these properties, each of them left out where one likes.
     *
     * @param  list<string>  $properties
     * @return list<Field>
     */
    public function fieldsOf(array $properties): array
    {
        $found = array_filter($this->fields, static fn (Field $field): bool => array_intersect($field->properties(), $properties) !== []);

        return array_map(static fn (Field $field): Field => $field->optional(), array_values($found));
    }

    /** Whether this property, or the same quantity in another unit, must be given. */
    public function needs(string $property): bool
    {
        foreach ($this->fields as $field) {
            if (in_array($property, $field->properties(), true)) {
                return $field->isRequired();
            }
        }

        return false;
    }

    /** @return list<string> the properties that hold one number and can be swept */
    public function numericProperties(): array
    {
        $names = [];
        foreach ($this->fields as $field) {
            foreach ($field->properties() as $property) {
                if (($field->schema($property)['type'] ?? null) === 'number') {
                    $names[] = $property;
                }
            }
        }

        return $names;
    }

    /**
     * The other names under which a property's quantity can be given.
     *
     * @return list<string>
     */
    public function namesBeside(string $property): array
    {
        return array_values(array_diff(($this->byProperty[$property] ?? null)?->properties() ?? [], [$property]));
    }

    /** @return array<string, mixed> */
    public function schema(): array
    {
        $conditions = [...$this->oneUnit(), ...$this->requirements()];

        return array_filter(['type' => 'object', 'properties' => $this->properties(), 'allOf' => $conditions]) + ['additionalProperties' => false];
    }

    /** @return array<string, array<string, mixed>> */
    public function properties(): array
    {
        $properties = [];
        foreach ($this->fields as $field) {
            foreach ($field->properties() as $name) {
                $properties[$name] = $field->schema($name);
            }
        }

        return $properties;
    }

    /** @return list<array<string, mixed>> conditions that no quantity comes in two units */
    public function oneUnit(): array
    {
        $conditions = [];
        foreach ($this->fields as $field) {
            $names = $field->properties();
            foreach ($names as $i => $one) {
                foreach (array_slice($names, $i + 1) as $other) {
                    $conditions[] = ['not' => ['required' => [$one, $other]]];
                }
            }
        }

        return $conditions;
    }

    /** @return list<array<string, mixed>> conditions that nothing needed is missing */
    public function requirements(): array
    {
        $needed = array_values(array_filter($this->fields, static fn (Field $field): bool => $field->isRequired()));

        return array_map(static fn (Field $field): array => ['anyOf' => array_map(
            static fn (string $name): array => ['required' => [$name]],
            $field->properties(),
        )], $needed);
    }

    /** What cannot be read cannot be a name in an answer either: some readers of JSON refuse it. */
    private static function sayable(string $property): string
    {
        return (string) preg_replace('/[[:cntrl:]]/', '?', $property);
    }
}
