<?php

namespace App\Marks;

use Illuminate\Validation\ValidationException;
use NobleTurn\Core\Record\Outcome;
use NobleTurn\Core\Routine\Faults;
use NobleTurn\Core\Trade\Effect;
use NobleTurn\Core\Trade\Step;

/** Whether a mark says what its kind needs, and nothing that belongs to another kind. */
final class WhatAMarkSays
{
    /** What each kind needs, with the sentence where it is left out. */
    private const NEEDS = [
        'step' => ['step' => 'Say which step it was.', 'outcome' => 'A step needs an outcome.'],
        'taught' => ['taught' => 'Say whether it was shown or talked through.'],
        'decision' => ['decision' => 'Say what was decided.'],
        'count' => ['what' => 'Say what was counted.', 'number' => 'A count needs its number.', 'seconds' => 'A count needs its seconds.'],
        'place' => ['place_id' => 'Say which place it was.'],
        'conditions' => ['conditions' => 'Say what the conditions were.'],
    ];

    /** Whose each field is, with the sentence where another kind has it. */
    private const BELONGS = [
        'outcome' => ['step', 'Only a step has an outcome.'], 'step' => ['step', 'Only a mark of a step names one.'],
        'stage' => ['step', 'Only a step is marked in a stage.'],
        'fault' => ['step', 'Only a step has a fault.'], 'effect' => ['step', 'Only a step has an effect on others.'],
        'taught' => ['taught', 'Only a taught mark says how it was taught.'], 'decision' => ['decision', 'Only a decision says what was decided.'],
        'what' => ['count', 'Only a count says what was counted.'], 'number' => ['count', 'Only a count has a number.'],
        'seconds' => ['count', 'Only a count has seconds.'],
        'place_id' => ['place', 'Only a mark of the place says one.'], 'conditions' => ['conditions', 'Only a mark of the conditions says them.'],
    ];

    /**
     * @param  array<string, mixed>  $mark
     *
     * @throws ValidationException that names the field of the mark
     */
    public static function check(int $i, array $mark): void
    {
        foreach (($mark['withdrawn'] ?? false) === true ? self::withdrawal($mark) : self::faults($mark) as $field => $sentence) {
            throw ValidationException::withMessages(["marks.{$i}.{$field}" => $sentence]);
        }
    }

    /**
     * @param  array<string, mixed>  $mark
     * @return array<string, string>
     */
    private static function withdrawal(array $mark): array
    {
        return isset($mark['corrects_id']) ? [] : ['corrects_id' => 'A withdrawal must name the mark it withdraws.'];
    }

    /**
     * @param  array<string, mixed>  $mark
     * @return \Generator<string, string>
     */
    private static function faults(array $mark): \Generator
    {
        foreach (self::NEEDS[$mark['kind']] ?? [] as $field => $sentence) {
            if (! isset($mark[$field])) {
                yield $field => $sentence;
            }
        }
        foreach (self::BELONGS as $field => [$kind, $sentence]) {
            if ($mark['kind'] !== $kind && isset($mark[$field])) {
                yield $field => $sentence;
            }
        }
        if (isset($mark['fault']) && ! Faults::isOf($mark['fault'], Step::from($mark['step']))) {
            yield 'fault' => "That is no kind of fault of {$mark['step']}.";
        }
        if (($mark['effect'] ?? null) === Effect::Intervened->value && $mark['outcome'] !== Outcome::Intervened->value) {
            yield 'effect' => 'Where we stepped in, that is the outcome too.';
        }
    }
}
