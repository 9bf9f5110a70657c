<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

use NobleTurn\Core\Record\Conditions;
use NobleTurn\Core\Record\MarkedRound;
use NobleTurn\Core\Record\Outcome;
use NobleTurn\Core\Record\StepMark;
use NobleTurn\Core\Routine\Routine;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Side;
use NobleTurn\Core\Trade\Step;

/** One marked step of one round. */
final readonly class Evidence
{
    /** From worst to best: 0 to 4. */
    public int $rank;

    private string $cell;

    public function __construct(
        public string $lesson,
        public \DateTimeImmutable $at,
        public RoutineCode $routine,
        public Step $step,
        public StepMark $mark,
        public Conditions $conditions = new Conditions,
        /** Who marked it, where that is known. */
        public ?string $marker = null,
        /** Shown or talked through: practice, but no evidence. */
        public bool $taught = false,
        /** Where, as far as it is known: some places are harder than others of their kind. */
        public ?string $place = null,
        /** Of the way driven, where it is not the routine's own. */
        public ?Side $side = null,
    ) {
        $this->rank = Outcome::Intervened->stepsFromUnaided() - $mark->support();
        $this->cell = "{$routine->value}.{$step->value}";
    }

    /**
     * What a round says: its marked steps; of one that was shown or talked through, every step the routine has, as practice. To
     * hold back rightly is a decision as good as a right go: where the look, in which it is made, has no mark of its own, it
     * counts as one that was unaided.
     *
     * @param  Routine  $routine  as the pack has it: a mark of a step it has not is none
     * @return list<self>
     */
    public static function ofRound(MarkedRound $round, Routine $routine, ?string $marker = null): array
    {
        $taught = ! $round->isEvidence();
        $found = [];
        foreach (Step::cases() as $step) {
            $mark = $round->says($step) ?? ($taught ? new StepMark(Outcome::Unaided) : null);
            if ($mark !== null && $routine->has($step)) {
                $found[] = new self($round->lesson, $round->at, $round->routine, $step, $mark, $round->conditions, $marker, $taught, $round->place,
                    $round->side);
            }
        }

        return $found;
    }

    /** To which it was turned into another road: as it was said of the way, else the routine's own; null where nobody turned, or said so. */
    public function turnedTo(): ?Side
    {
        return $this->routine->turns() ? $this->side ?? $this->routine->turnsTo() : null;
    }

    public function cell(): string
    {
        return $this->cell;
    }
}
