<?php

declare(strict_types=1);

namespace NobleTurn\Core\Record;

/** What the one key counts or times; each count is a number and the seconds it took. */
enum Counted: string
{
    /** Looks in the interior mirror over a stretch. */
    case RearLooks = 'rear-looks';
    /** Gaps of so many seconds each that were let go by. */
    case GapsLetGo = 'gaps-let-go';
    /** The gap that was taken. */
    case GapTaken = 'gap-taken';
    /** The time to the car ahead; the number is the seconds that were wanted. */
    case CountedGap = 'counted-gap';
    /** Waiting, at a line or at the kerb. */
    case Wait = 'wait';
    /** Between two points at a speed that is kept; the number is the metres that makes. */
    case Length = 'length';
}
