<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Field\ChoiceField;
use NobleTurn\Core\Compute\Field\ObjectField;
use NobleTurn\Core\Compute\Shape;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Rules\Option;
use NobleTurn\Core\Rules\Practice;
use NobleTurn\Core\Rules\Practices;
use NobleTurn\Core\Rules\Question;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\RulePacks;

/** The practice of an input: one field for each question; what is not said takes the default. */
final class PracticeField
{
    /** @var ?\WeakMap<RulePack, Practice> where nothing is said: the same under a pack every time */
    private static ?\WeakMap $usual = null;

    public static function field(): ObjectField
    {
        return new ObjectField('practice', 'the practice in use: an answer to each question good instructors answer differently', self::shape());
    }

    public static function shape(): Shape
    {
        return new Shape(...array_map(static fn (Question $question): ChoiceField => new ChoiceField(
            $question->key, $question->text.'; default '.self::defaults($question), self::values($question),
        ), Practices::all()));
    }

    public static function read(Values $input, RulePack $pack): Practice
    {
        $asked = $input->object('practice');
        if ($asked === null) {
            self::$usual ??= new \WeakMap;

            return self::$usual[$pack] ??= new Practice([], $pack);
        }
        $answers = [];
        foreach (Practices::all() as $question) {
            $said = $asked->text($question->key) ?? $asked->whole($question->key);
            if ($said !== null) {
                $answers[$question->key] = (string) $said;
            }
        }

        return new Practice($answers, $pack);
    }

    /** What is taken where nothing is said: one answer, or one for each pack. */
    private static function defaults(Question $question): string
    {
        $packs = [];
        foreach (RulePacks::all() as $pack) {
            $packs[$question->default($pack)][] = $pack->code();
        }
        if (count($packs) === 1) {
            return (string) array_key_first($packs);
        }

        return implode(
            ', ',
            array_map(static fn (string|int $value, array $codes): string => "{$value} under ".implode(' and ', $codes), array_keys($packs), $packs),
        );
    }

    /** @return list<string|int> numbers as numbers */
    private static function values(Question $question): array
    {
        return array_map(static fn (Option $option): string|int => ctype_digit($option->value) ? (int) $option->value : $option->value, $question->options);
    }
}
