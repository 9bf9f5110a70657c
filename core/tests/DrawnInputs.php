<?php

declare(strict_types=1);

namespace NobleTurn\Core\Tests;

use NobleTurn\Core\Compute\Schemas;
use NobleTurn\Core\Compute\Toolbox;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Questions to any tool, drawn from its own JSON Schema by a seeded generator: mostly within the bounds, often at their very ends,
 * now and then outside them. A failing one is named by its seed.
 */
final class DrawnInputs
{
    /** Of the fields that may be left out, so many are given. */
    private const GIVEN = 0.25;

    /** So many of the values are taken from the ends of their range. */
    private const AT_THE_END = 0.15;

    /** So many of the questions have one value that is none. */
    private const SPOILT = 0.1;

    private readonly Randomizer $chance;

    public function __construct(int $seed)
    {
        $this->chance = new Randomizer(new Mt19937($seed));
    }

    /** @return array{tool: string, input: array<string, mixed>} */
    public function draw(): array
    {
        $names = array_values(array_diff(array_keys(Inputs::LEAST), ['skill']));
        $tool = $names[$this->chance->getInt(0, count($names) - 1)];
        $schema = Schemas::of(Toolbox::tool($tool))['input'];
        unset($schema['properties']['sweep']);
        // Half of them are the least call with something changed: from nothing at all most drawn questions would be refused.
        $input = $this->happens(0.7) ? Inputs::LEAST[$tool] : [];
        foreach ($this->object($schema) as $name => $value) {
            $quantity = self::quantity((string) $name);
            // One unit of a quantity; view and the like exclude each other by themselves.
            $input = array_filter($input, static fn (string $given): bool => self::quantity($given) !== $quantity,
                ARRAY_FILTER_USE_KEY);
            $input[$name] = $value;
        }
        if ($input !== [] && $this->happens(self::SPOILT)) {
            $input[array_keys($input)[$this->chance->getInt(0, count($input) - 1)]] = $this->one([null, -1e9, 1e12, 'x', [[]], true, INF, NAN]);
        }

        return ['tool' => $tool, 'input' => $input];
    }

    /** A field without its unit. */
    private static function quantity(string $name): string
    {
        return (string) preg_replace('/_(mps|mph|kmh|m|yd|ft|in|s|mps2|deg|rad)$/', '', $name);
    }

    /**
     * @param  array<string, mixed>  $schema
     * @return array<string, mixed>
     */
    private function object(array $schema): array
    {
        $drawn = [];
        $needed = $schema['required'] ?? [];
        foreach ($schema['allOf'] ?? [] as $condition) {
            // One of the units in which it can be said.
            $ways = array_merge(...array_column($condition['anyOf'] ?? $condition['oneOf'] ?? [], 'required') ?: [[]]);
            if ($ways !== []) {
                $needed[] = $this->one($ways);
            }
        }
        foreach ($schema['properties'] ?? [] as $name => $field) {
            if (in_array($name, $needed, true) || $this->happens(self::GIVEN / 3.0)) {
                $drawn[$name] = $this->value($field);
            }
        }

        return $drawn;
    }

    /** @param  array<string, mixed>  $schema */
    private function value(array $schema): mixed
    {
        $one = $schema['oneOf'] ?? $schema['anyOf'] ?? null;

        return match (true) {
            array_key_exists('const', $schema) => $schema['const'],
            isset($schema['enum']) => $this->one($schema['enum']),
            $one !== null => $this->value($this->one($one)),
            default => match (is_array($schema['type'] ?? '') ? $schema['type'][0] : $schema['type'] ?? '') {
                'number' => $this->number((float) ($schema['minimum'] ?? -100.0), (float) ($schema['maximum'] ?? 100.0)),
                'integer' => (int) $this->number((float) ($schema['minimum'] ?? 0.0), (float) ($schema['maximum'] ?? 10.0)),
                'boolean' => $this->happens(0.5),
                'array' => array_map(
                    fn (): mixed => $this->value($schema['items'] ?? ['type' => 'number']),
                    range(1, max(1, $this->chance->getInt((int) ($schema['minItems'] ?? 1), min(3, (int) ($schema['maxItems'] ?? 3))))),
                ),
                'object' => $this->object($schema),
                default => $this->one(['a', 'second', '195/65R15', "13'9\"", '2026-05-20', '']),
            },
        };
    }

    private function number(float $least, float $most): float
    {
        if ($this->happens(self::AT_THE_END)) {
            return $this->one([$least, $most, max($least, min($most, 0.0))]);
        }
        // As often small as large, so that long ranges are not all far away.
        $share = ($this->chance->getInt(0, 1_000_000) / 1_000_000) ** $this->one([1, 3]);

        return round($least + ($most - $least) * $share, 4);
    }

    private function happens(float $share): bool
    {
        return $this->chance->getInt(0, 999_999) < $share * 1_000_000;
    }

    /**
     * @template T
     *
     * @param  non-empty-list<T>  $choices
     * @return T
     */
    private function one(array $choices): mixed
    {
        return $choices[$this->chance->getInt(0, count($choices) - 1)];
    }
}
