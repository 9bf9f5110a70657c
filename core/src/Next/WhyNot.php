<?php

declare(strict_types=1);

namespace NobleTurn\Core\Next;

/** Why a way is not in a lesson. */
enum WhyNot: string
{
    case NoTime = 'no-time';
    case OutOfReach = 'out-of-reach';
    case TooEarly = 'too-early';
    case NotNeeded = 'not-needed';
    case Excluded = 'excluded';
}
