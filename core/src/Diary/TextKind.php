<?php

declare(strict_types=1);

namespace NobleTurn\Core\Diary;

/** What a learner is told about a lesson. */
enum TextKind: string
{
    case Booked = 'booked';
    case Moved = 'moved';
    case Cancelled = 'cancelled';
    case DayBefore = 'day-before';

    /** The day runs late: told as it is agreed to, not by the clock. */
    case Late = 'late';
}
