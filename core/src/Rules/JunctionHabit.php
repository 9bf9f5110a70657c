<?php

declare(strict_types=1);

namespace NobleTurn\Core\Rules;

/** Whether a learner stops at every give-way line or may roll when it is clear. */
enum JunctionHabit: string
{
    /** Stop first for beginners, ready to roll later. */
    case ByLevel = 'by-level';
    case StopFirst = 'stop-first';
    case ReadyToRoll = 'ready-to-roll';
}
