<?php

declare(strict_types=1);

namespace NobleTurn\Core\Place;

/** Cars parked along the road met, seen from our line. */
enum ParkedAlong: string
{
    case None = 'none';
    /** On our side of it. */
    case Near = 'near';
    case Far = 'far';
    case Both = 'both';

    public function near(): bool
    {
        return $this === self::Near || $this === self::Both;
    }

    public function far(): bool
    {
        return $this === self::Far || $this === self::Both;
    }
}
