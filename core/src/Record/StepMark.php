<?php

declare(strict_types=1);

namespace NobleTurn\Core\Record;

/** What was marked for one step of one round. */
final readonly class StepMark
{
    public function __construct(public Outcome $outcome, public bool $outOfOrder = false)
    {
    }

    public function isClean(): bool
    {
        return $this->outcome === Outcome::Unaided && ! $this->outOfOrder;
    }
}
