<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute;

/**
 * Answers of a sweep with what is the same in all of them said once. What a row leaves out stands in `common`; entries of a list
 * are told apart by their key (`step`, `name`, `code` or `question`), and a row that has a list names each of its entries.
 */
final class Folded
{
    /** What tells the entries of a list apart: the first of these that they have. */
    private const KEYS = ['step', 'name', 'code', 'question'];

    /**
     * @param  non-empty-list<array<string, mixed>>  $answers
     * @return array{common: array<string, mixed>, rows: list<array<string, mixed>>}
     */
    public static function of(array $answers): array
    {
        [$common, $rows] = self::objects($answers);

        return ['common' => $common, 'rows' => $rows];
    }

    /**
     * @param  array<string, mixed>  $common
     * @param  array<string, mixed>  $row
     * @return array<string, mixed> the whole answer again; the order of its fields may differ
     */
    public static function unfolded(array $common, array $row): array
    {
        foreach ($row as $name => $value) {
            $common[$name] = array_key_exists($name, $common) ? self::together($common[$name], $value) : $value;
        }

        return $common;
    }

    private static function together(mixed $common, mixed $rest): mixed
    {
        if (! is_array($common) || ! is_array($rest)) {
            return $rest;
        }
        $keyed = self::keyed($common);
        if ($keyed === null) {
            return self::isObject($common) ? self::unfolded($common, $rest) : $rest;
        }

        return array_map(static fn (array $entry): array => self::unfolded($keyed[self::key($entry)] ?? [], $entry), $rest);
    }

    /**
     * @param  list<array<string, mixed>>  $objects  at least one
     * @return array{array<string, mixed>, list<array<string, mixed>>}
     */
    private static function objects(array $objects): array
    {
        [$common, $same] = [[], []];
        foreach (array_keys(array_intersect_key(...$objects)) as $name) {
            $values = array_column($objects, $name);
            if (self::areTheSame($values)) {
                $common[$name] = $values[0];
                $same[$name] = true;

                continue;
            }
            $parts = self::parts($values);
            if ($parts !== null) {
                $common[$name] = $parts[0];
                foreach ($parts[1] as $i => $rest) {
                    $objects[$i][$name] = $rest;
                }
            }
        }

        return [$common, array_map(static fn (array $object): array => array_diff_key($object, $same), $objects)];
    }

    /**
     * @param  list<mixed>  $values
     * @return ?array{array<mixed>, list<array<mixed>>} null where they have nothing in common
     */
    private static function parts(array $values): ?array
    {
        if (array_filter($values, self::isObject(...)) === $values) {
            [$common, $rests] = self::objects($values);

            return $common === [] ? null : [$common, $rests];
        }
        $lists = array_map(self::keyed(...), $values);
        if (in_array(null, $lists, true)) {
            return null;
        }
        $common = [];
        foreach (array_keys(array_merge(...$lists)) as $key) {
            $in = array_keys(array_filter($lists, static fn (array $list): bool => isset($list[$key])));
            [$shared, $rests] = self::objects(array_map(static fn (int $i): array => $lists[$i][$key], $in));
            $name = self::keyName($lists[$in[0]][$key]);
            $common[] = [$name => $key] + $shared;
            foreach ($in as $at => $i) {
                $lists[$i][$key] = [$name => $key] + $rests[$at];
            }
        }

        return [$common, array_map(array_values(...), $lists)];
    }

    /** @return ?array<string, array<string, mixed>> the entries by their key; null where they are no objects that are told apart by one */
    private static function keyed(mixed $list): ?array
    {
        if (! is_array($list) || ! array_is_list($list)) {
            return null;
        }
        $byKey = [];
        foreach ($list as $entry) {
            $key = is_array($entry) && ! array_is_list($entry) ? self::key($entry) : null;
            if ($key === null || isset($byKey[$key])) {
                return null;
            }
            $byKey[$key] = $entry;
        }

        return $byKey;
    }

    /** @param  array<string, mixed>  $entry */
    private static function key(array $entry): ?string
    {
        $name = self::keyName($entry);

        return $name !== null && is_string($entry[$name]) ? $entry[$name] : null;
    }

    /** @param  array<string, mixed>  $entry */
    private static function keyName(array $entry): ?string
    {
        foreach (self::KEYS as $name) {
            if (array_key_exists($name, $entry)) {
                return $name;
            }
        }

        return null;
    }

    private static function isObject(mixed $value): bool
    {
        return is_array($value) && ! array_is_list($value);
    }

    /** @param  list<mixed>  $values */
    private static function areTheSame(array $values): bool
    {
        $first = $values[0] ?? null;
        foreach ($values as $value) {
            // Two empty objects are the same, though they are two.
            if ($value !== $first && ! ($value instanceof \stdClass && $value == $first)) {
                return false;
            }
        }

        return true;
    }
}
