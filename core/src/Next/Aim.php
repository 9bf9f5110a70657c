<?php

declare(strict_types=1);

namespace NobleTurn\Core\Next;

use NobleTurn\Core\Routine\Routine;
use NobleTurn\Core\Trade\Step;

/** What a lesson is for. */
final readonly class Aim
{
    /**
     * @param  float  $gain  by how much the chances of its steps are expected to rise, added up
     * @param  int  $evidence  marks of the step
     */
    public function __construct(
        public Routine $routine, public Step $step, public AimReason $reason, public float $gain, public int $evidence, private string $why,
    ) {
    }

    /** As a sentence to the instructor. */
    public function message(Learner $of): string
    {
        return "{$of->title($this->routine)}, {$this->step->value} above all: {$this->why}.";
    }
}
