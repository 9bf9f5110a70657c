<?php

declare(strict_types=1);

namespace NobleTurn\Core\Sight;

/** What somebody at the limit, or wanting out or past, needs to see. */
enum Purpose: string
{
    case Stop = 'stop';
    case Meet = 'meet';
    case Emerge = 'emerge';
    case Overtake = 'overtake';

    /** As it is said, with the words of the place to be filled in. */
    public function words(): string
    {
        return match ($this) {
            self::Stop => 'to stop from the limit',
            self::Meet => 'to stop for somebody who stops too, where only one fits',
            self::Emerge => 'for somebody to come out of a side road here',
            self::Overtake => 'to {overtake}',
        };
    }
}
