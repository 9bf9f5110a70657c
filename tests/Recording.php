<?php

namespace Tests;

use PHPUnit\Framework\Assert;

/** Answers kept in tests/answers for the components of the interface, held against what is answered today by their shape. */
final class Recording
{
    /** Holds an answer against the recorded one by the names and types in it; with NOBLE_TURN_RECORD=1 it becomes the recorded one. */
    public static function hold(string $name, mixed $said): void
    {
        $file = base_path("tests/answers/{$name}.json");
        if (getenv('NOBLE_TURN_RECORD')) {
            file_put_contents($file, json_encode($said, JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR)."\n");
        }
        Assert::assertSame(self::made(json_decode((string) file_get_contents($file), flags: JSON_THROW_ON_ERROR)), self::made($said), $name);
    }

    /** What an answer is made of: the names and types of everything in it; of a list, all that its entries are; a whole number is a number. */
    private static function made(mixed $value): mixed
    {
        if (is_object($value)) {
            $of = array_map(self::made(...), (array) $value);
            ksort($of);

            return $of;
        }
        if (is_array($value)) {
            $of = array_unique(array_map(static fn (mixed $one): string => json_encode(self::made($one), JSON_THROW_ON_ERROR), $value));
            sort($of);

            return ['each of' => array_values($of)];
        }

        return match (true) {
            is_int($value), is_float($value) => 'number',
            is_string($value) && preg_match('/^\d{4}-\d{2}-\d{2}T[\d:.]+Z$/', $value) === 1 => 'moment',
            default => get_debug_type($value),
        };
    }
}
