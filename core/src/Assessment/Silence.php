<?php

declare(strict_types=1);

namespace NobleTurn\Core\Assessment;

use NobleTurn\Core\Record\Outcome;
use NobleTurn\Core\Record\StepMark;
use NobleTurn\Core\Routine\Routine;
use NobleTurn\Core\Trade\Effect;
use NobleTurn\Core\Trade\Step;

/** A way of a drive that is assessed, as marks: nobody helps and nobody speaks, so whatever was no fault was done alone. */
final class Silence
{
    /**
     * A fault nobody else met takes the place of a reminder where its kind was not said, and stands beside "alone" where it was, which comes to the
     * same (assumed, as it is in a lesson); one that others could have met is one that was missed.
     *
     * @param  list<MarkedFault>  $faults  of this way; those of steps that it has not are left to the result
     * @return array<string, StepMark> by step: each that the routine has, of several faults the one that weighs most
     */
    public static function marks(Routine $routine, array $faults): array
    {
        $marks = [];
        foreach (Step::cases() as $step) {
            if ($routine->has($step)) {
                $of = array_values(array_filter($faults, static fn (MarkedFault $fault): bool => $fault->step === $step));
                $marks[$step->value] = $of === [] ? new StepMark(Outcome::Unaided) : StepMark::weakest(array_map(self::mark(...), $of));
            }
        }

        return $marks;
    }

    private static function mark(MarkedFault $fault): StepMark
    {
        $outcome = match ($fault->effect) {
            Effect::Intervened => Outcome::Intervened,
            Effect::Affected, Effect::Potential => Outcome::Missed,
            default => $fault->fault === null ? Outcome::Reminded : Outcome::Unaided,
        };

        return new StepMark($outcome, fault: $fault->fault, effect: $fault->effect);
    }
}
