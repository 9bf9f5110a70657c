<?php

declare(strict_types=1);

namespace NobleTurn\Core\Record;

use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Side;
use NobleTurn\Core\Trade\Step;

/** One driven approach with the marks that stand, corrections applied. */
final readonly class MarkedRound
{
    public bool $heldBackRightly;

    /**
     * @param  array<string, StepMark>  $marks  by step; of several stages the weakest
     * @param  list<Decision>  $decisions  right ones
     * @param  list<Count>  $counts
     */
    public function __construct(
        public string $lesson,
        public \DateTimeImmutable $at,
        public RoutineCode $routine,
        public array $marks,
        public ?Taught $taught = null,
        public array $decisions = [],
        public Conditions $conditions = new Conditions,
        public ?string $place = null,
        public array $counts = [],
        /** Of the way driven, where it is not the routine's own. */
        public ?Side $side = null,
    ) {
        $this->heldBackRightly = in_array(Decision::HeldBack, $decisions, true);
    }

    /**
     * What the round says of a step, for whatever is counted, drawn or estimated: as it was marked; and who decided rightly to hold
     * back has looked as one should, unless the look was marked itself (common practice, no source). Null where it says nothing.
     * The one place of that rule: DrivenRounds says it to the database, queue/standing.ts to the interface, held to mark-log.json.
     */
    public function says(Step $step): ?StepMark
    {
        return $this->marks[$step->value] ?? ($step === Step::Look && $this->heldBackRightly ? new StepMark(Outcome::Unaided) : null);
    }

    /** Whether the round says anything of what the learner can do: what was shown or talked through is practice, not evidence. */
    public function isEvidence(): bool
    {
        return $this->taught === null;
    }

    /** Whether it says anything of any step. */
    public function saysSomething(): bool
    {
        return $this->marks !== [] || $this->heldBackRightly;
    }
}
