<?php

declare(strict_types=1);

namespace NobleTurn\Core\Place;

/** From where the road being entered can be seen. */
enum View: string
{
    /** Both ways from 20 m or more before the line. */
    case Open = 'open';
    case Restricted = 'restricted';
    /** Only from the line. */
    case Closed = 'closed';

    /** Where the view opens when no measurement is given, metres before the line (restricted: assumed). */
    public function opensAtMetres(): float
    {
        return match ($this) {
            self::Open => 20.0,
            self::Restricted => 8.0,
            self::Closed => 0.0,
        };
    }
}
