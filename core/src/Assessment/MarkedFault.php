<?php

declare(strict_types=1);

namespace NobleTurn\Core\Assessment;

use NobleTurn\Core\Trade\Effect;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/** One fault of a drive that is assessed. */
final readonly class MarkedFault
{
    /** Under which it is counted; by default the step. */
    public string $heading;

    /** Which kind it is under its heading; by default the kind of fault. Null where nobody said. */
    public ?string $aspect;

    /**
     * @param  ?string  $fault  a code of the step
     * @param  ?Severity  $given  by whoever watched; it wins over what the scheme makes of it
     */
    public function __construct(
        public Step $step, public ?RoutineCode $routine = null, public ?string $fault = null, public ?Effect $effect = null, public ?Severity $given = null,
        ?string $heading = null, ?string $aspect = null,
    ) {
        $this->heading = $heading ?? $step->value;
        $this->aspect = $aspect ?? $fault;
    }
}
