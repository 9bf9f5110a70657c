<?php

declare(strict_types=1);

namespace NobleTurn\Core\Site;

/** What the arms of a site meet at. */
enum SiteKind: string
{
    /** A T, a crossroads, lights: any that is driven through without a circle. */
    case Junction = 'junction';
    case Roundabout = 'roundabout';
    case MiniRoundabout = 'mini-roundabout';

    public function isGoneRound(): bool
    {
        return $this !== self::Junction;
    }
}
