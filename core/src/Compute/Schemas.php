<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute;

use NobleTurn\Core\Compute\Field\ChoiceField;
use NobleTurn\Core\Compute\Field\FlagField;
use NobleTurn\Core\Compute\Field\NumberField;

/** JSON Schema (2020-12) of the input and output of a tool, as printed by `compute --schema`. */
final class Schemas
{
    private const DIALECT = 'https://json-schema.org/draft/2020-12/schema';

    /** @return array{input: array<string, mixed>, output: array<string, mixed>} */
    public static function of(Tool $tool): array
    {
        $shape = $tool->input();
        $sweeps = $shape->numericProperties() !== [];
        $required = ['allOf' => [...$shape->requirements(), ['type' => 'object']]];
        $input = [
            'type' => 'object',
            'properties' => $shape
                ->properties() + (
                    $sweeps
                        ? ['sweep' => self::sweep($tool)->schema() + ['description' => 'One numeric field over a range: the answer then holds answers[].']]
                        : []
                ),
            'allOf' => [
                ...$shape->oneUnit(),
                // The swept field takes its values from the sweep, so with one nothing else need be there for it.
                $sweeps ? ['anyOf' => [['required' => ['sweep']], $required]] : $required,
            ],
            'additionalProperties' => false,
        ];

        return [
            'input' => ['$schema' => self::DIALECT, 'title' => $tool->name().' input', 'description' => $tool->about()] + $input,
            'output' => [
                '$schema' => self::DIALECT, 'title' => $tool->name().' output',
                'oneOf' => [self::answer($tool, swept: false), ...($sweeps ? [self::swept($tool), self::folded($tool)] : [])],
            ],
        ];
    }

    public static function sweep(Tool $tool): Shape
    {
        $fields = $tool->input()->numericProperties();
        if ($fields === []) {
            throw new \LogicException($tool->name().' has no numeric field to sweep.');
        }

        return new Shape(
            (new ChoiceField('field', 'the field that varies', $fields))->required(),
            (new NumberField('from', 'first value', -1.0e5, 1.0e5))->required(),
            (new NumberField('to', 'last value', -1.0e5, 1.0e5))->required(),
            (new NumberField('step', 'between two values', 1.0e-4, 1.0e5))->required(),
            new FlagField('folded', 'what is the same in every answer is said once, in common; the answers hold the rest'),
        );
    }

    /** @return array<string, mixed> */
    private static function answer(Tool $tool, bool $swept): array
    {
        if (! $tool instanceof AnswersInShapes) {
            return self::shape($tool, $tool->output(), $swept);
        }

        return ['oneOf' => array_values(array_map(static fn (array $fields): array => self::shape($tool, $fields, $swept), $tool->shapes()))];
    }

    /**
     * @param  array<string, array<string, mixed>>  $fields
     * @return array<string, mixed>
     */
    private static function shape(Tool $tool, array $fields, bool $swept): array
    {
        return Out::object([
            ...($swept ? ['at' => Out::number('the swept field’s value')] : []),
            'tool' => ['const' => $tool->name()],
            'version' => Out::object(['core' => Out::text('version of the core'), 'pack' => Out::text('code and version of the rule pack')]),
            ...$fields,
            'assumptions' => Out::list(Out::object([
                'name' => Out::text('what it is'),
                'value' => ['type' => ['number', 'string', 'boolean']],
                'unit' => Out::text('unit, or empty'),
                'status' => ['enum' => ['published', 'common-practice', 'from-memory', 'assumed', 'given']],
                'source' => Out::text('the document that prints it'),
            ], ['source']), 'every figure the answer rests on'),
            'warnings' => Out::list(Out::object([
                'code' => Out::text('stable name'), 'message' => Out::text('sentence for the user'), 'data' => ['type' => 'object'],
            ])),
        ], self::inOtherUnits($fields));
    }

    /**
     * Headline figures come in the unit of the pack only, so no one of these is always there.
     *
     * @param  array<string, array<string, mixed>>  $fields
     * @return list<string>
     */
    private static function inOtherUnits(array $fields): array
    {
        return array_values(array_filter(array_keys($fields), static fn (string $name): bool => preg_match('/_(mph|kmh|yd|ft)$/', $name) === 1));
    }

    /** @return array<string, mixed> */
    private static function swept(Tool $tool): array
    {
        return Out::object([
            'tool' => ['const' => $tool->name()],
            'version' => Out::object(['core' => Out::text('version of the core')]),
            'sweep' => Out::text('the swept field'),
            'answers' => Out::list(self::answer($tool, swept: true)),
        ]);
    }

    /**
     * Any part of an answer may stand in `common` or in the rows, see Folded.
     *
     * @return array<string, mixed>
     */
    private static function folded(Tool $tool): array
    {
        $part = ['type' => 'object'];

        return Out::object([
            'tool' => ['const' => $tool->name()],
            'version' => Out::object(['core' => Out::text('version of the core')]),
            'sweep' => Out::text('the swept field'),
            'common' => $part + ['additionalProperties' => true, 'description' => 'what is the same in every answer'],
            'answers' => Out::list(
                $part + ['properties' => ['at' => Out::number('the swept field’s value')], 'required' => ['at'], 'additionalProperties' => true],
                'what is left of each; entries of a list are told apart by step, name, code or question',
            ),
        ]);
    }
}
