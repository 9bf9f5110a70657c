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
}
