<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

use NobleTurn\Core\Record\Outcome;
use NobleTurn\Core\Record\StepMark;
use NobleTurn\Core\Routine\RoutineCode;
use NobleTurn\Core\Routine\Step;

/** One marked step of one round. */
final readonly class Evidence
{
    /** From worst to best: 0 to 4. */
    public int $rank;

    public function __construct(
        public string $lesson,
        public \DateTimeImmutable $at,
        public RoutineCode $routine,
        public Step $step,
        StepMark $mark,
        public Conditions $conditions = new Conditions,
        /** Who marked it, where that is known. */
        public ?string $marker = null,
        /** Shown or talked through: practice, but no evidence. */
        public bool $taught = false,
    ) {
        $this->rank = Outcome::Intervened->stepsFromUnaided() - $mark->support();
    }

    public function cell(): string
    {
        return "{$this->routine->value}.{$this->step->value}";
    }
}
