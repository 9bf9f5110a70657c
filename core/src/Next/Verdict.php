<?php

declare(strict_types=1);

namespace NobleTurn\Core\Next;

/** How near a learner is to a test. The instructor decides. */
enum Verdict: string
{
    /** Nothing was marked: nobody knows. */
    case Unknown = 'unknown';
    case NotYet = 'not-yet';
    case Nearly = 'nearly';
    case Ready = 'ready';
}
