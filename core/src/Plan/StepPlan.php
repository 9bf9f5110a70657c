<?php

declare(strict_types=1);

namespace NobleTurn\Core\Plan;

use NobleTurn\Core\Routine\Instruction;
use NobleTurn\Core\Trade\Step;

/** One step of a plan: where, when, how fast, and how it is explained. */
final readonly class StepPlan
{
    public function __construct(
        public Step $step,
        public Window $window,
        public float $bestSeconds,
        public float $speedMps,
        public ?int $gear,
        public Instruction $instruction,
    ) {
    }
}
