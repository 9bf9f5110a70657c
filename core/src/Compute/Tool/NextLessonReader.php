<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Routine\Routine;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/** From the fields of the next lesson to what it is proposed from. */
final class NextLessonReader
{
    /**
     * What was agreed last time; null where only the routine was.
     *
     * @return list<array{routine: RoutineCode, step: ?Step}>
     *
     * @throws BadInput where the pack has no such step
     */
    public static function agreed(Values $input, RulePack $pack): array
    {
        $agreed = [];
        foreach ($input->objects('agreed') as $i => $one) {
            $routine = $one->choice('routine', RoutineCode::class) ?? throw BadInput::field("agreed.{$i}.routine", 'is missing.');
            $step = $one->choice('step', Step::class);
            self::check($routine, $pack, "agreed.{$i}.routine");
            if ($step !== null && ! Catalogue::routine($routine, $pack)->has($step)) {
                throw BadInput::field("agreed.{$i}.step", "is none that {$routine->value} has under these rules.");
            }
            $agreed[] = ['routine' => $routine, 'step' => $step];
        }

        return $agreed;
    }

    /**
     * Ids of ways and codes of routines.
     *
     * @param  list<string>  $ways  ids
     * @return list<string>
     *
     * @throws BadInput where it is neither
     */
    public static function named(Values $input, string $field, array $ways, RulePack $pack): array
    {
        $all = $input->texts($field);
        foreach ($all as $i => $one) {
            $routine = RoutineCode::tryFrom($one);
            if (in_array($one, $ways, true)) {
                continue;
            }
            if ($routine === null) {
                throw BadInput::field("{$field}.{$i}", 'must be the id of a way, or a routine.');
            }
            self::check($routine, $pack, "{$field}.{$i}");
        }

        return $all;
    }

    /**
     * @return list<Routine> of the ways, in their order
     */
    public static function routines(Values $input, RulePack $pack): array
    {
        return array_map(
            static fn (Values $way): Routine => Catalogue::routine($way->choice('routine', RoutineCode::class) ?? RoutineCode::BetweenHazards, $pack),
            $input->objects('ways'),
        );
    }

    /** @throws BadInput where the pack has no such routine */
    private static function check(RoutineCode $routine, RulePack $pack, string $field): void
    {
        if (! in_array($routine, Catalogue::codes($pack), true)) {
            throw BadInput::field($field, "is not driven under the rules of {$pack->name()}.");
        }
    }
}
