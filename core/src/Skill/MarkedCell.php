<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

use NobleTurn\Core\Routine\Section;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Side;
use NobleTurn\Core\Trade\Step;

/** A step of a routine that was marked, and what is believed of it today. */
final readonly class MarkedCell
{
    public ?Side $side;

    /** @param  Belief  $stands  what its marks say of it, whatever is forgotten since */
    public function __construct(
        public RoutineCode $routine, public Step $step, public Section $section, public Belief $belief, public Belief $stands, public int $marks,
    ) {
        $this->side = $routine->turnsTo();
    }

    /**
     * @param  list<Evidence>  $marks  without what was shown
     * @return array<string, self> by routine and step
     */
    public static function all(Fit $fit, array $marks): array
    {
        $of = [];
        foreach ($marks as $one) {
            $of[$one->cell()][] = $one;
        }

        return array_map(static fn (array $marks): self => new self(
            $marks[0]->routine, $marks[0]->step, $fit->section($marks[0]->routine), $fit->belief($marks[0]->routine, $marks[0]->step),
            $fit->stands($marks[0]->routine, $marks[0]->step), count($marks),
        ), $of);
    }
}
