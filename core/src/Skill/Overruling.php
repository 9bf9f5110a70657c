<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/**
 * An instructor's own word on one step of one routine: how often it would be unaided, in the reference conditions, on that
 * day. It is read as one weighty look at the learner, not as the truth: practice, fading and later marks go on from it.
 */
final readonly class Overruling
{
    /** @param  float  $chance  of "unaided", above 0 and below 1 */
    public function __construct(public \DateTimeImmutable $at, public RoutineCode $routine, public Step $step, public float $chance)
    {
    }

    public function cell(): string
    {
        return "{$this->routine->value}.{$this->step->value}";
    }

    /** On the logit scale. */
    public function ability(): float
    {
        return log($this->chance / (1.0 - $this->chance));
    }
}
