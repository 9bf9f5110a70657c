<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

use NobleTurn\Core\Routine\Demand;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Trade\Effect;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Side;
use NobleTurn\Core\Trade\Step;

/** A kind of fault at one step of one routine: how often it was seen, and the worst it did. */
final readonly class FaultSeen
{
    private function __construct(
        public RoutineCode $routine,
        public Step $step,
        public string $fault,
        /** Of the way driven; null where a routine has none. */
        public ?Side $side,
        /** In so many rounds it was seen, */
        public int $count,
        /** of so many in which the step was marked. */
        public int $rounds,
        public \DateTimeImmutable $last,
        /** Null where nobody said. */
        public ?Effect $worstEffect,
    ) {
    }

    /**
     * @param  list<Evidence>  $evidence  in the order of time
     * @return list<self> most often seen first; of those as often, the latest
     */
    public static function in(array $evidence, RulePack $pack): array
    {
        $marked = $seen = $sides = [];
        foreach ($evidence as $one) {
            if ($one->taught) {
                continue;
            }
            $side = $one->side ?? $sides[$one->routine->value] ??= Demand::side($one->routine, $pack);
            $cell = "{$one->cell()}.".($side->value ?? '');
            $marked[$cell] = ($marked[$cell] ?? 0) + 1;
            if ($one->mark->fault !== null) {
                $seen["{$cell}.{$one->mark->fault}"][] = [$one, $side, $cell];
            }
        }
        $found = array_map(static function (array $each) use ($marked): self {
            [$last, $side, $cell] = $each[count($each) - 1];
            $effects = array_filter(array_map(static fn (array $row): ?Effect => $row[0]->mark->effect, $each));
            usort($effects, static fn (Effect $a, Effect $b): int => self::weight($b) <=> self::weight($a));

            return new self($last->routine, $last->step, (string) $last->mark->fault, $side, count($each), $marked[$cell], $last->at, $effects[0] ?? null);
        }, array_values($seen));
        usort($found, static fn (self $a, self $b): int => [$b->count, $b->last, $a->fault] <=> [$a->count, $a->last, $b->fault]);

        return $found;
    }

    private static function weight(Effect $effect): int
    {
        return (int) array_search($effect, Effect::cases(), true);
    }
}
