<?php

declare(strict_types=1);

namespace NobleTurn\Core\School;

use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Routine\Routine;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/**
 * How often a step of a routine needed help in a school, and how often the step that the catalogue names as its likely cause was
 * not clean in the same round: beside how often it was not clean where the step went well, so that a cause is no more than it is.
 */
final readonly class Failure
{
    /** Fewer marks than this, or fewer learners, are no pattern of a school's (assumed). */
    public const MARKS = 20;

    public const LEARNERS = 3;

    private function __construct(
        public RoutineCode $routine,
        public Step $step,
        public Share $helped,
        public int $learners,
        public ?Step $cause,
        /** The cause not clean: of the rounds in which the step was helped, and of those in which it was clean. */
        public ?Share $with,
        public ?Share $without,
    ) {
    }

    public function isEnough(): bool
    {
        return $this->helped->of >= self::MARKS && $this->learners >= self::LEARNERS;
    }

    /** The cause is off surely more often where the step went wrong than where it went well: the ranges do not meet. */
    public function causeShows(): bool
    {
        return $this->with !== null && $this->without !== null && $this->with->low > $this->without->high;
    }

    /**
     * @param  list<array{routine: string, step: string, marks: int, helped: int, learners: int}>  $steps
     * @param  list<array{routine: string, step: string, other: string, helped: bool, rounds: int,
     *     other_helped: int}>  $pairs  of steps marked in the same rounds
     * @return list<self> those with enough marks first, most often helped first
     */
    public static function of(array $steps, array $pairs, RulePack $pack): array
    {
        $by = [];
        foreach ($pairs as $pair) {
            $by["{$pair['routine']}.{$pair['step']}.{$pair['other']}"][(int) $pair['helped']] = new Share($pair['other_helped'], $pair['rounds']);
        }
        $routines = [];
        foreach (Catalogue::all($pack) as $routine) {
            $routines[$routine->code->value] = $routine;
        }
        $found = [];
        foreach ($steps as $row) {
            $step = Step::from($row['step']);
            $routine = $routines[$row['routine']] ?? null;
            if ($routine instanceof Routine && $routine->has($step)) {
                $cause = $routine->instruction($step)->causeIn;
                $pair = $cause === null ? [] : $by["{$row['routine']}.{$row['step']}.{$cause->value}"] ?? [];
                $found[] = new self(
                    $routine->code, $step, new Share($row['helped'], $row['marks']), $row['learners'], $cause, $pair[1] ?? null, $pair[0] ?? null,
                );
            }
        }
        usort(
            $found,
            static fn (self $a, self $b): int => [
                ! $a->isEnough(), -$a->helped->share(), $a->routine->value, $a->step->value,
            ] <=> [! $b->isEnough(), -$b->helped->share(), $b->routine->value, $b->step->value],
        );

        return $found;
    }
}
