<?php

namespace App\Contract;

use App\Contract\Shapes\Account;
use App\Contract\Shapes\Circuits;
use App\Contract\Shapes\Diary;
use App\Contract\Shapes\Learners;
use App\Contract\Shapes\Lessons;
use App\Contract\Shapes\Places;
use App\Contract\Shapes\Routines;
use App\Contract\Shapes\School;
use NobleTurn\Core\Compute\Out;

/** What the API answers, by name: each shape stands in the file of its area, and in others as a reference to its name. */
final class Shapes
{
    /** @return array<string, array<string, mixed>> */
    public static function all(): array
    {
        return [
            ...Account::shapes(), ...Routines::shapes(), ...Places::shapes(), ...Circuits::shapes(), ...Lessons::shapes(), ...Diary::shapes(),
            ...Learners::shapes(), ...School::shapes(),
            ...ToolShapes::all(),
        ];
    }

    /** @return array{'$ref': string} */
    public static function ref(string $name): array
    {
        return ['$ref' => "#/components/schemas/{$name}"];
    }

    /** @return array<string, mixed> */
    public static function refOrNull(string $name): array
    {
        return ['oneOf' => [self::ref($name), ['type' => 'null']]];
    }

    /** @return array<string, mixed> */
    public static function listOf(string $name): array
    {
        return Out::list(self::ref($name));
    }

    /** @return array<string, mixed> */
    public static function id(string $of = ''): array
    {
        return ['type' => 'string', 'format' => 'uuid'] + ($of === '' ? [] : ['description' => $of]);
    }

    /** @return array<string, mixed> a moment, UTC */
    public static function moment(string $about = 'UTC', bool $nullable = false): array
    {
        return ['type' => $nullable ? ['string', 'null'] : 'string', 'format' => 'date-time', 'description' => $about];
    }

    /** @return array<string, mixed> a day, in the school's time zone */
    public static function day(bool $nullable = false): array
    {
        return ['type' => $nullable ? ['string', 'null'] : 'string', 'format' => 'date'];
    }

    /** @return array<string, mixed> numbers or words by name */
    public static function byName(mixed $values, string $about = ''): array
    {
        return ['type' => 'object', 'additionalProperties' => $values] + ($about === '' ? [] : ['description' => $about]);
    }

    /**
     * Another shape with more fields.
     *
     * @param  array<string, mixed>  $shape
     * @param  array<string, array<string, mixed>>  $more
     * @return array<string, mixed>
     */
    public static function with(array $shape, array $more): array
    {
        return Out::object(
            [...$shape['properties'], ...$more],
            array_values(array_map(strval(...), array_diff(array_keys($shape['properties']), $shape['required'], array_keys($more)))),
        );
    }
}
