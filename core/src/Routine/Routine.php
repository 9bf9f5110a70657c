<?php

declare(strict_types=1);

namespace NobleTurn\Core\Routine;

use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;
use NobleTurn\Core\Vehicle\Transmission;

/** A routine of the catalogue: where it applies, its steps, and how it is asked for. */
final readonly class Routine
{
    /** @var non-empty-list<Instruction> the steps that apply, in order */
    public array $instructions;

    /**
     * @param  non-empty-list<Instruction>  $instructions  in the order of the steps; not every routine has all five
     * @param  list<Variant>  $variants
     */
    public function __construct(
        public RoutineCode $code,
        public string $title,
        public string $where,
        public string $afterwards,
        array $instructions,
        public Section $section,
        /** How the instructor asks for it. */
        public string $direction,
        public Sketch $sketch,
        public array $variants = [],
        /** Further words it is looked for by, and what a learner who needs it says. */
        public string $find = '',
    ) {
        $before = null;
        $linked = [];
        foreach ($instructions as $instruction) {
            $linked[] = $instruction->causedIn($before === null ? null : ($instruction->causeIn ?? $before));
            $before = $instruction->step;
        }
        $this->instructions = $linked;
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

    /** Whether it can be done at all in such a car: without a clutch there are no gears to change. */
    public function fits(Transmission $transmission): bool
    {
        return $this->code !== RoutineCode::GearChange || $transmission === Transmission::Manual;
    }

    /** Whether it wants a place of its kind; others are met, or can be done, on any road. */
    public function needsAPlace(): bool
    {
        return $this->section->needsAPlace() || in_array($this->sketch, [Sketch::Bay, Sketch::Ramp, Sketch::Bridge], true);
    }

    public function has(Step $step): bool
    {
        return in_array($step, array_column($this->instructions, 'step'), true);
    }
}
