<?php

declare(strict_types=1);

namespace NobleTurn\Core\Record;

use NobleTurn\Core\Trade\Effect;

/** What was marked for one step of one round. */
final readonly class StepMark
{
    public function __construct(
        public Outcome $outcome,
        public bool $outOfOrder = false,
        /** Which kind of fault was seen, a code of its step; null where none was said. */
        public ?string $fault = null,
        /** What it did to others; null where that was not said. */
        public ?Effect $effect = null,
    ) {
    }

    /**
     * How much help it took, by rank of the outcome, 0 to 4. A slip in the order counts as a prompt at the least, one that others had to
     * answer as missed, a fault beside an unaided step as a reminder (assumed).
     */
    public function support(): int
    {
        return ! $this->outOfOrder && $this->effect === null && $this->fault === null ? $this->outcome->stepsFromUnaided() : max(
            $this->outcome->stepsFromUnaided(),
            $this->outOfOrder ? Outcome::Prompted->stepsFromUnaided() : 0,
            $this->effect === Effect::Affected ? Outcome::Missed->stepsFromUnaided() : 0,
            $this->fault !== null ? Outcome::Reminded->stepsFromUnaided() : 0,
        );
    }

    /**
     * Of the stages of a round, what its step comes to: the one that took most help, the first of equals.
     *
     * @param  non-empty-list<self>  $stages
     */
    public static function weakest(array $stages): self
    {
        return array_reduce($stages, static fn (self $weakest, self $one): self => $one->support() > $weakest->support() ? $one : $weakest, $stages[0]);
    }

    public function isClean(): bool
    {
        return $this->support() === 0;
    }
}
