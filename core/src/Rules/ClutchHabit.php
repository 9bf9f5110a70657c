<?php

declare(strict_types=1);

namespace NobleTurn\Core\Rules;

/** How long the clutch may be down while the car rolls. */
enum ClutchHabit: string
{
    /** As short as the engine allows. */
    case FaultIfFast = 'fault-if-fast';
    /** The last two or three car lengths are fine. */
    case LastLengths = 'last-lengths';
}
