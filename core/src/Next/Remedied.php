<?php

declare(strict_types=1);

namespace NobleTurn\Core\Next;

use NobleTurn\Core\Routine\Demand;
use NobleTurn\Core\Routine\FaultCauses;
use NobleTurn\Core\Routine\Wording;
use NobleTurn\Core\Skill\FaultSeen;

/** What helps at the step an aim is about: of the kind of fault that is seen most of it, else what the routine says; and the drill. */
final readonly class Remedied
{
    private function __construct(public string $text, public string $drill, public ?string $fault)
    {
    }

    /** @param  list<FaultSeen>  $faults  of the learner, most often seen first */
    public static function of(Aim $aim, Learner $learner, array $faults, bool $hasClutch): self
    {
        $of = $aim->routine->instruction($aim->step)
            ->spoken(new Wording($learner->pack, Demand::side($aim->routine->code, $learner->pack)), $hasClutch);
        foreach ($faults as $seen) {
            if ($seen->routine === $aim->routine->code && $seen->step === $aim->step) {
                $cause = FaultCauses::of($seen->step, $seen->fault)?->spoken($learner->pack);

                return new self($cause->remedy ?? $of->remedy, $of->drill, $seen->fault);
            }
        }

        return new self($of->remedy, $of->drill, null);
    }
}
