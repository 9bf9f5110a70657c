<?php

declare(strict_types=1);

namespace NobleTurn\Core\Record;

use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/** What a lesson is to work on: a step of a routine, a step wherever it is, or a routine as a whole. */
final readonly class Aim
{
    public function __construct(public ?RoutineCode $routine, public ?Step $step)
    {
    }

    /** Whether a round says anything of it. */
    public function isSaidBy(MarkedRound $round): bool
    {
        return ($this->routine === null || $round->routine === $this->routine)
            && ($this->step === null ? $round->saysSomething() : $round->says($this->step) !== null);
    }

    /** Whether it was clean in a round: the step, or every step that was marked. */
    public function isCleanIn(MarkedRound $round): bool
    {
        $steps = $this->step === null ? Step::cases() : [$this->step];

        return array_filter($steps, static fn (Step $step): bool => $round->says($step)?->isClean() === false) === [];
    }
}
