<?php

declare(strict_types=1);

namespace NobleTurn\Core\Circuit;

/** What a stretch of a lesson's time is for. */
enum PartKind: string
{
    case Drive = 'drive';
    case Brief = 'brief';
    case Round = 'round';
    /** The loop that leads back to the way. */
    case Again = 'again';
    case Debrief = 'debrief';
    case Spare = 'spare';
}
