<?php

declare(strict_types=1);

namespace NobleTurn\Core\Rules;

/** How an instructor has the gears taken on the approach. */
enum GearHabit: string
{
    /** One change, straight to the gear that is needed. */
    case Block = 'block';
    /** Down through the gears. */
    case Sequential = 'sequential';
}
