<?php

declare(strict_types=1);

namespace NobleTurn\Core\Rules;

/** What a long vehicle’s gap to the one ahead is reckoned by. */
enum LongGap: string
{
    /** A car’s, and what its brakes take longer. */
    case ByBrakes = 'by-brakes';

    /** A second for each ten feet of it, and one more at speed. */
    case ByLength = 'by-length';
}
