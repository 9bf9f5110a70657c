<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute;

/** For tools that look up and work out a few formulas, whatever they are given. */
trait QuickAnswer
{
    public function effort(Values $input): float
    {
        return Effort::QUICK;
    }
}
