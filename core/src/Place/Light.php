<?php

declare(strict_types=1);

namespace NobleTurn\Core\Place;

/** What the lights show as they come into view. */
enum Light: string
{
    /** Just turned green: it will hold. */
    case Green = 'green';
    /** Green for so long that it may change. */
    case LongGreen = 'green-long';
    /** Changing to red: amber now. */
    case Changing = 'changing';
    case Red = 'red';

    public function stops(): bool
    {
        return $this === self::Red || $this === self::Changing;
    }
}
