<?php

namespace App\Contract;

use NobleTurn\Core\Compute\AnswersInShapes;
use NobleTurn\Core\Compute\Out;
use NobleTurn\Core\Compute\ReadsAScene;
use NobleTurn\Core\Compute\Schemas;
use NobleTurn\Core\Compute\Tool;
use NobleTurn\Core\Compute\Tool\PracticeField;
use NobleTurn\Core\Compute\Toolbox;
use NobleTurn\Core\Place\WayOut;
use NobleTurn\Core\Skill\Level;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Side;
use NobleTurn\Core\Trade\Step;

/** What the core's tools are asked and answer, from their own schemas; what many of them share stands once. */
final class ToolShapes
{
    /** Fields that mean the same wherever they stand in a tool's schema. */
    private const SHARED = ['vehicle' => 'VehicleAsked', 'practice' => 'PracticeAsked', 'assumptions' => 'Assumptions', 'warnings' => 'Warnings'];

    /** @return array<string, array<string, mixed>> */
    public static function all(): array
    {
        $anyTool = Schemas::of(Toolbox::tool('stopping'))['output']['oneOf'][0]['properties'];
        $shapes = [
            'VehicleAsked' => self::field('vehicle'),
            'PracticeAsked' => PracticeField::shape()->schema(),
            'Assumption' => $anyTool['assumptions']['items'],
            'Assumptions' => ['items' => Shapes::ref('Assumption')] + $anyTool['assumptions'],
            'Warnings' => $anyTool['warnings'],
        ];
        foreach (Toolbox::all() as $tool) {
            $shapes += self::of($tool);
        }

        return $shapes;
    }

    /** The name of a tool's shapes: `lane-change` is `LaneChange`. */
    public static function name(Tool $tool): string
    {
        return str_replace(' ', '', ucwords(str_replace('-', ' ', $tool->name())));
    }

    /** @return array<string, mixed> what may be known of a vehicle beside its name, size and kind of gears */
    public static function vehicleFigures(): array
    {
        $object = self::field('vehicle')['oneOf'][1] ?? self::field('vehicle')['anyOf'][1];

        return [
            'type' => 'object', 'properties' => array_diff_key($object['properties'], ['name' => 0, 'transmission' => 0, 'controls' => 0]),
            'additionalProperties' => false,
        ];
    }

    /** @return array<string, mixed> any tool with its own inputs */
    public static function any(): array
    {
        return [
            'oneOf' => array_map(
                static fn (Tool $tool): array => Out::object(['tool' => ['const' => $tool->name()], 'inputs' => Shapes::ref(self::name($tool).'Asked')]),
                Toolbox::all(),
            ),
        ];
    }

    /** @return array<string, mixed> what plans a routine at a place is asked there: one of few tools, each with its own inputs */
    public static function planned(): array
    {
        $of = static fn (Tool $tool): array => Out::object([
            'tool' => ['const' => $tool->name()], 'inputs' => Shapes::ref(self::name($tool).'Asked'), 'version' => Out::text('of the core'),
        ]);

        return ['oneOf' => array_values(array_map($of, array_filter(Toolbox::all(), static fn (Tool $tool): bool => $tool instanceof ReadsAScene)))];
    }

    /**
     * A schema of the core with references to what is shared.
     *
     * @param  array<string, mixed>  $schema
     * @return array<string, mixed>
     */
    public static function shared(array $schema): array
    {
        foreach ($schema as $key => $part) {
            if (! is_array($part)) {
                continue;
            }
            $known = is_array($part['enum'] ?? null) ? self::known($part['enum']) : null;
            $schema[$key] = match (true) {
                $key === 'enum' || $key === 'required' || $key === 'const' => $part,
                $known !== null => $known + array_intersect_key($part, ['description' => 0]),
                default => self::shared($part),
            };
        }

        return $schema;
    }

    /**
     * A reference to the words of the trade that have a name of their own.
     *
     * @param  array<mixed>  $words
     * @return ?array<string, mixed>
     */
    private static function known(array $words): ?array
    {
        $bare = array_values(array_filter($words, static fn (mixed $word): bool => $word !== null));
        foreach (['Step' => Step::class, 'RoutineCode' => RoutineCode::class, 'WayOut' => WayOut::class, 'SkillLevel' => Level::class,
            'Side' => Side::class] as $name => $enum) {
            if ($bare === array_column($enum::cases(), 'value')) {
                return count($bare) === count($words) ? Shapes::ref($name) : Shapes::refOrNull($name);
            }
        }

        return null;
    }

    /** @return array<string, array<string, mixed>> */
    private static function of(Tool $tool): array
    {
        $name = self::name($tool);
        $schemas = Schemas::of($tool);
        [$answer, $swept, $folded] = $schemas['output']['oneOf'] + [null, null, null];
        $input = array_diff_key($schemas['input'], ['$schema' => 0, 'title' => 0]);
        $input['properties'] = self::withShared($input['properties']);
        $shapes = ["{$name}Asked" => self::shared($input), ...self::answers($tool, $answer, $swept !== null)];
        if ($swept === null) {
            return $shapes;
        }
        $swept['properties']['answers'] = Out::list(Shapes::ref("{$name}Answer"));

        return $shapes + ["{$name}Sweep" => $swept, "{$name}Folded" => $folded];
    }

    /**
     * The answer of a tool, and where it has several shapes each of them by a name of its own.
     *
     * @param  array<string, mixed>  $answer
     * @return array<string, array<string, mixed>>
     */
    private static function answers(Tool $tool, array $answer, bool $sweeps): array
    {
        $name = self::name($tool);
        if (! $tool instanceof AnswersInShapes) {
            return ["{$name}Answer" => self::inSweeps($answer, $sweeps)];
        }
        $shapes = array_combine(
            array_map(static fn (string $shape): string => "{$name}{$shape}", array_keys($tool->shapes())),
            array_map(static fn (array $one): array => self::inSweeps($one, $sweeps), $answer['oneOf']),
        );

        return ["{$name}Answer" => ['oneOf' => array_map(Shapes::ref(...), array_keys($shapes))]] + $shapes;
    }

    /**
     * @param  array<string, mixed>  $answer
     * @return array<string, mixed>
     */
    private static function inSweeps(array $answer, bool $sweeps): array
    {
        $answer['properties'] = ($sweeps ? ['at' => Out::number('the swept field’s value, in a sweep')] : []) + self::withShared($answer['properties']);

        return self::shared($answer);
    }

    /**
     * @param  array<string, array<string, mixed>>  $properties
     * @return array<string, array<string, mixed>>
     */
    private static function withShared(array $properties): array
    {
        foreach (self::SHARED as $field => $shape) {
            $isAnswer = isset($properties['assumptions']);
            if (isset($properties[$field]) && ! ($isAnswer && in_array($field, ['vehicle', 'practice'], true))) {
                $properties[$field] = Shapes::ref($shape);
            }
        }

        return $properties;
    }

    /** @return array<string, mixed> a field as the approach tool takes it */
    private static function field(string $name): array
    {
        return Toolbox::tool('approach')->input()->properties()[$name];
    }
}
