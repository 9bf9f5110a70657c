<?php

declare(strict_types=1);

namespace NobleTurn\Core\Rules;

/** How looking at a T-junction is taught. The least, both ways and back again, is counted under either. */
enum LookHabit: string
{
    case RightLeftRight = 'right-left-right';
    case Alternate = 'alternate';
}
