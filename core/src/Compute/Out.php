<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute;

/** Short forms for the JSON Schema of an answer. */
final class Out
{
    /** @return array<string, mixed> */
    public static function number(string $about, bool $nullable = false): array
    {
        return ['type' => $nullable ? ['number', 'null'] : 'number', 'description' => $about];
    }

    /** @return array<string, mixed> */
    public static function integer(string $about, bool $nullable = false): array
    {
        return ['type' => $nullable ? ['integer', 'null'] : 'integer', 'description' => $about];
    }

    /** @return array<string, mixed> */
    public static function text(string $about, bool $nullable = false): array
    {
        return ['type' => $nullable ? ['string', 'null'] : 'string', 'description' => $about];
    }

    /** @return array<string, mixed> */
    public static function flag(string $about): array
    {
        return ['type' => 'boolean', 'description' => $about];
    }

    /**
     * @param  array<string, mixed>  $items
     * @return array<string, mixed>
     */
    public static function list(array $items, string $about = ''): array
    {
        return ['type' => 'array', 'items' => $items] + ($about === '' ? [] : ['description' => $about]);
    }

    /**
     * Every property is required unless named as optional.
     *
     * @param  array<string, array<string, mixed>>  $properties
     * @param  list<string>  $optional
     * @return array<string, mixed>
     */
    public static function object(array $properties, array $optional = []): array
    {
        return [
            'type' => 'object',
            'properties' => $properties,
            'required' => array_values(array_diff(array_keys($properties), $optional)),
            'additionalProperties' => false,
        ];
    }

    /**
     * One of a few words.
     *
     * @param  list<string>|class-string<\BackedEnum>  $values
     * @return array<string, mixed>
     */
    public static function choice(array|string $values, string $about = '', bool $nullable = false): array
    {
        $words = is_array($values) ? $values : array_map(static fn (\BackedEnum $case): string => (string) $case->value, $values::cases());

        return [
            'type' => $nullable ? ['string', 'null'] : 'string', 'enum' => $nullable ? [...$words, null] : $words,
        ] + ($about === '' ? [] : ['description' => $about]);
    }

    /**
     * What is null where there is none.
     *
     * @param  array<string, mixed>  $object
     * @return array<string, mixed>
     */
    public static function maybe(array $object, string $about = ''): array
    {
        return ['type' => ['object', 'null']] + $object + ($about === '' ? [] : ['description' => $about]);
    }
}
