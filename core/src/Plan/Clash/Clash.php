<?php

declare(strict_types=1);

namespace NobleTurn\Core\Plan\Clash;

use NobleTurn\Core\Plan\Conflict;
use NobleTurn\Core\Plan\Fitting;

/** One way in which a rule of thumb and this place can disagree. */
interface Clash
{
    /** The conflict, or null where rule and place agree. */
    public function in(Fitting $fitting): ?Conflict;
}
