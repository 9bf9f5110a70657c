<?php

declare(strict_types=1);

namespace NobleTurn\Core\Routine;

use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Trade\Step;

/** Why a kind of fault happens, mostly one step earlier, and what helps. */
final readonly class FaultCause
{
    /** @param  ?Step  $in  where the cause lies; null where it lies before the routine, or in the step itself */
    public function __construct(public string $cause, public string $remedy, public ?Step $in)
    {
    }

    /** The same in the words of a place. */
    public function spoken(RulePack $pack): self
    {
        return new self(Wording::in($pack, $this->cause), Wording::in($pack, $this->remedy), $this->in);
    }
}
