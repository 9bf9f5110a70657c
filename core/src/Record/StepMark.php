<?php

declare(strict_types=1);

namespace NobleTurn\Core\Record;

/** What was marked for one step of one round. */
final readonly class StepMark
{
    public function __construct(public Outcome $outcome, public bool $outOfOrder = false)
    {
    }

    /** How much help it took, by rank of the outcome; a slip in the order counts as a prompt at the least. 0 to 4. */
    public function support(): int
    {
        return max($this->outcome->stepsFromUnaided(), $this->outOfOrder ? Outcome::Prompted->stepsFromUnaided() : 0);
    }

    public function isClean(): bool
    {
        return $this->outcome === Outcome::Unaided && ! $this->outOfOrder;
    }
}
