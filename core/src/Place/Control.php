<?php

declare(strict_types=1);

namespace NobleTurn\Core\Place;

/** What governs the line at the end of the approach. */
enum Control: string
{
    case GiveWay = 'give-way';
    case Stop = 'stop';
    case Signals = 'signals';
    case AllWayStop = 'all-way-stop';
    /** No line of our own: a turn off the main road. */
    case None = 'none';
}
