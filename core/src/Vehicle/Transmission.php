<?php

declare(strict_types=1);

namespace NobleTurn\Core\Vehicle;

enum Transmission: string
{
    case Manual = 'manual';
    /** Also single-speed electric cars: neither has a clutch pedal or a gear to choose. */
    case Automatic = 'automatic';
}
