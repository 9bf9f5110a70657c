<?php

declare(strict_types=1);

namespace NobleTurn\Core\Record;

use NobleTurn\Core\Routine\RoutineCode;
use NobleTurn\Core\Routine\Step;

/** One driven approach with the marks that stand, corrections applied. */
final readonly class MarkedRound
{
    /** @param  array<string, StepMark>  $marks by step */
    public function __construct(
        public string $lesson,
        public \DateTimeImmutable $at,
        public RoutineCode $routine,
        public array $marks,
        public ?Taught $taught = null,
        public bool $heldBackRightly = false,
        public Conditions $conditions = new Conditions,
        public ?string $place = null,
    ) {
    }

    public function mark(Step $step): ?StepMark
    {
        return $this->marks[$step->value] ?? null;
    }

    /** Whether the round says anything of what the learner can do. */
    public function isEvidence(): bool
    {
        return $this->taught === null;
    }
}
