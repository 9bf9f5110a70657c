<?php

declare(strict_types=1);

namespace NobleTurn\Core\Routine;

/** A routine of the catalogue: where it applies and its five steps. */
final readonly class Routine
{
    /** @param  non-empty-list<Instruction>  $instructions one for each step, in order */
    public function __construct(
        public RoutineCode $code,
        public string $title,
        public string $where,
        public string $afterwards,
        public array $instructions,
    ) {
    }

    public function instruction(Step $step): Instruction
    {
        foreach ($this->instructions as $instruction) {
            if ($instruction->step === $step) {
                return $instruction;
            }
        }
        throw new \LogicException("{$this->code->value} has no instruction for {$step->value}.");
    }
}
