<?php

declare(strict_types=1);

namespace NobleTurn\Core\Record;

/** What was decided rightly. It counts as much as a right go (common practice, no source). */
enum Decision: string
{
    case HeldBack = 'held-back-rightly';
    case LetGo = 'let-go';
    case GaveWay = 'gave-way-not-due';
    case AskedAgain = 'asked-again';
    case Declined = 'declined';
    case DroppedBack = 'dropped-back';

    /** On a key, and in a line of what happened. */
    public function words(): string
    {
        return match ($this) {
            self::HeldBack => 'correctly waited',
            self::LetGo => 'let somebody go',
            self::GaveWay => 'gave way that was not due',
            self::AskedAgain => 'asked again',
            self::Declined => 'declined a late direction',
            self::DroppedBack => 'dropped back',
        };
    }
}
