<?php

namespace App\Contract;

use Illuminate\Validation\Rules\Enum;
use Illuminate\Validation\Rules\In;
use NobleTurn\Core\Compute\Out;
use ReflectionProperty;
use Stringable;

/** The JSON Schema of what passes a set of rules, as far as a schema can say it: dates, uniqueness and passwords are checked beyond it. */
final class RulesSchema
{
    /**
     * @param  array<string, list<mixed>>  $rules  by field, nested ones with dots
     * @param  array<string, array<string, mixed>>  $inside  schemas of fields that the core checks
     * @return array<string, mixed>
     */
    public static function of(array $rules, array $inside = []): array
    {
        return self::object(self::tree($rules), $inside);
    }

    /**
     * @param  array<string, list<mixed>>  $rules
     * @return list<array<string, mixed>> parameters of an address
     */
    public static function parameters(array $rules): array
    {
        $parameters = [];
        foreach ($rules as $name => $of) {
            $parameters[] = ['name' => $name, 'in' => 'query', 'required' => self::isNeeded($of), 'schema' => self::value($of, [])];
        }

        return $parameters;
    }

    /**
     * @param  array<string, list<mixed>>  $rules
     * @return array<string, mixed> by field: its rules under '', fields within it by their names
     */
    private static function tree(array $rules): array
    {
        $tree = [];
        foreach ($rules as $field => $of) {
            $at = &$tree;
            foreach (explode('.', $field) as $part) {
                $at[$part] ??= ['' => []];
                $at = &$at[$part];
            }
            $at[''] = $of;
            unset($at);
        }

        return $tree;
    }

    /**
     * @param  array<string, mixed>  $fields
     * @param  array<string, array<string, mixed>>  $inside
     * @return array<string, mixed>
     */
    private static function object(array $fields, array $inside): array
    {
        $properties = $optional = [];
        foreach ($fields as $name => $field) {
            $properties[$name] = $inside[$name] ?? self::value($field[''], array_diff_key($field, ['' => 0]));
            if (! self::isNeeded($field[''])) {
                $optional[] = $name;
            }
        }

        return Out::object($properties, $optional);
    }

    /**
     * @param  list<mixed>  $rules
     * @param  array<string, mixed>  $fields  what is within
     * @return array<string, mixed>
     */
    private static function value(array $rules, array $fields): array
    {
        $schema = self::bare($rules, $fields);

        return in_array('nullable', $rules, true) ? self::orNull($schema) : $schema;
    }

    /**
     * @param  list<mixed>  $rules
     * @param  array<string, mixed>  $fields
     * @return array<string, mixed>
     */
    private static function bare(array $rules, array $fields): array
    {
        $words = self::words($rules);
        $names = self::argument($rules, 'array');

        return match (true) {
            $words !== null => Out::choice($words),
            isset($fields['*']) && $names === null => Out::list(
                self::value($fields['*'][''], array_diff_key($fields['*'], ['' => 0])),
            ) + self::bounds($rules, 'maxItems'),
            $names !== null && isset($fields['*']) => [
                'type' => 'object', 'properties' => array_fill_keys(explode(',', $names), self::value($fields['*'][''], [])),
                'additionalProperties' => false,
            ],
            $names !== null => [
                'type' => 'object', 'additionalProperties' => false,
            ] + ($fields === [] ? ['properties' => array_fill_keys(explode(',', $names), (object) [])] : self::object($fields, [])),
            $fields !== [] => self::object($fields, []),
            in_array('array', $rules, true) => ['type' => ['object', 'array']],
            in_array('boolean', $rules, true) => ['type' => 'boolean'],
            in_array('integer', $rules, true) => ['type' => 'integer'] + self::between($rules),
            in_array('numeric', $rules, true) => ['type' => 'number'] + self::between($rules),
            default => ['type' => 'string'] + self::text($rules),
        };
    }

    /**
     * @param  list<mixed>  $rules
     * @return array<string, mixed>
     */
    private static function text(array $rules): array
    {
        $format = match (true) {
            in_array('uuid', $rules, true) => ['format' => 'uuid'],
            in_array('email', $rules, true) => ['format' => 'email'],
            default => [],
        };

        return $format + self::bounds($rules, 'maxLength');
    }

    /**
     * @param  list<mixed>  $rules
     * @return array<string, int>
     */
    private static function bounds(array $rules, string $as): array
    {
        $most = self::argument($rules, 'max');

        return $most === null ? [] : [$as => (int) $most];
    }

    /**
     * @param  list<mixed>  $rules
     * @return array<string, float>
     */
    private static function between(array $rules): array
    {
        $said = self::argument($rules, 'between');
        if ($said === null) {
            return [];
        }
        [$least, $most] = explode(',', $said);

        return ['minimum' => (float) $least, 'maximum' => (float) $most];
    }

    /**
     * @param  list<mixed>  $rules
     * @return ?list<string> the only ones that pass
     */
    private static function words(array $rules): ?array
    {
        foreach ($rules as $rule) {
            if ($rule instanceof Enum) {
                /** @var class-string<\BackedEnum> $enum */
                $enum = (new ReflectionProperty($rule, 'type'))->getValue($rule);
                $except = (array) (new ReflectionProperty($rule, 'except'))->getValue($rule);

                return array_values(
                    array_map(
                        static fn (\BackedEnum $case): string => (string) $case->value,
                        array_filter($enum::cases(), static fn (\BackedEnum $case): bool => ! in_array($case, $except, true)),
                    ),
                );
            }
            $said = $rule instanceof In || $rule instanceof Stringable ? (string) $rule : $rule;
            if (is_string($said) && str_starts_with($said, 'in:')) {
                return array_map(static fn (?string $word): string => (string) $word, str_getcsv(substr($said, 3), escape: ''));
            }
        }

        return null;
    }

    /** @param  list<mixed>  $rules */
    private static function argument(array $rules, string $name): ?string
    {
        foreach ($rules as $rule) {
            if (is_string($rule) && str_starts_with($rule, "{$name}:")) {
                return substr($rule, strlen($name) + 1);
            }
        }

        return null;
    }

    /** @param  list<mixed>  $rules */
    private static function isNeeded(array $rules): bool
    {
        return in_array('required', $rules, true) || in_array('present', $rules, true) || self::argument($rules, 'required_with') !== null;
    }

    /**
     * @param  array<string, mixed>  $schema
     * @return array<string, mixed>
     */
    private static function orNull(array $schema): array
    {
        return ['type' => [...(array) $schema['type'], 'null']] + (isset($schema['enum']) ? ['enum' => [...$schema['enum'], null]] : []) + $schema;
    }
}
