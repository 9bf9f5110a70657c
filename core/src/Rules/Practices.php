<?php

declare(strict_types=1);

namespace NobleTurn\Core\Rules;

use NobleTurn\Core\Rules\Questions\Announcing;
use NobleTurn\Core\Rules\Questions\AtTheKerb;
use NobleTurn\Core\Rules\Questions\BigRoads;
use NobleTurn\Core\Rules\Questions\Controls;
use NobleTurn\Core\Rules\Questions\InTown;
use NobleTurn\Core\Rules\Questions\Looking;

/**
 * Where good instructors disagree. All of it is common practice with no source; the first option is the default
 * unless the pack has its own. Texts are written for cards: sides by `{near}`, `{off}`, `{turn}`.
 */
final class Practices
{
    /** @var array<string, Question> by key, built once: they never change */
    private static array $known = [];

    /** @var array<class-string<RulePack>, list<Question>> those that can be asked under a pack */
    private static array $under = [];

    /** @return non-empty-list<Question> */
    public static function all(): array
    {
        $all = self::known();

        return $all === [] ? throw new \LogicException('There are no questions.') : array_values($all);
    }

    /** @return list<Question> those that can be asked there */
    public static function under(RulePack $pack): array
    {
        return self::$under[$pack::class] ??= array_values(
            array_filter(self::known(), static fn (Question $question): bool => $question->isAskedUnder($pack)),
        );
    }

    public static function question(string $key): Question
    {
        return self::known()[$key] ?? throw new \LogicException("There is no question {$key}.");
    }

    /** @return array<string, Question> */
    private static function known(): array
    {
        if (self::$known === []) {
            self::$known = array_column([
                ...Announcing::all(), ...Controls::all(), ...Looking::all(), ...InTown::all(), ...BigRoads::all(), ...AtTheKerb::all(),
            ], null, 'key');
        }

        return self::$known;
    }
}
