<?php

declare(strict_types=1);

namespace NobleTurn\Core\Tests;

use NobleTurn\Core\Rules\Option;
use NobleTurn\Core\Rules\Practices;
use NobleTurn\Core\Rules\RulePacks;

/** What the answers to a question change, in whole answers of the tools from which the sentences are taken out. */
final class Choices
{
    /** What an answer says of itself and of the practice: it differs by being chosen, not by what it does. */
    private const SAID = ['practice', 'choices', 'assumptions', 'says'];

    /**
     * Every two answers lead to another plan, other events or another verdict at one of the moments.
     *
     * @param  list<array<string, mixed>>  $moments  inputs of the tool
     */
    public static function differ(string $question, string $tool, array $moments, string $pack = 'gb'): void
    {
        $values = array_map(static fn (Option $option): string|int => self::asGiven($option), Practices::question($question)->options);
        expect(Practices::question($question)->changes)->toContain($tool);
        foreach ($values as $i => $one) {
            foreach (array_slice($values, $i + 1) as $other) {
                $apart = array_filter($moments, static fn (array $moment): bool => self::figures($tool, $moment, $pack, [$question => $one])
                    != self::figures($tool, $moment, $pack, [$question => $other]));
                expect($apart)->not->toBe([], "{$question}: {$one} and {$other} lead to the same everywhere.");
            }
        }
    }

    /**
     * @param  array<string, mixed>  $moment
     * @param  array<string, string|int>  $practice
     * @return array<array-key, mixed>  figures and codes without sentences
     */
    public static function figures(string $tool, array $moment, string $pack, array $practice): array
    {
        return self::wordless(Ask::tool($tool, ['pack' => $pack, ...$moment, 'practice' => $practice]));
    }

    /** An answer as it is given to a tool: numbers stay numbers. */
    public static function asGiven(Option $option): string|int
    {
        return is_numeric($option->value) ? (int) $option->value : $option->value;
    }

    /** @return list<array{string, string}> each question that changes only what is said, under each pack that asks it */
    public static function onlySaid(): array
    {
        $found = [];
        foreach (RulePacks::all() as $pack) {
            foreach (Practices::under($pack) as $question) {
                if ($question->changes === []) {
                    $found[] = [$pack->code(), $question->key];
                }
            }
        }

        return $found;
    }

    /**
     * @param  array<array-key, mixed>  $answer
     * @return array<array-key, mixed>
     */
    private static function wordless(array $answer): array
    {
        $kept = [];
        foreach ($answer as $key => $value) {
            if (! in_array($key, self::SAID, true) && ! (is_string($value) && str_contains($value, ' '))) {
                $kept[$key] = is_array($value) ? self::wordless($value) : $value;
            }
        }

        return $kept;
    }
}
