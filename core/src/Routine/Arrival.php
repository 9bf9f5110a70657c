<?php

declare(strict_types=1);

namespace NobleTurn\Core\Routine;

/** How fast an approach may arrive. */
enum Arrival
{
    /** Comfortable round the corner. */
    case Turning;
    /** A crawl or a stop at a line where both ways are looked, by view, practice and level. */
    case Line;
    case Stop;
    /** At most a given speed. */
    case Slow;
    /** Slow enough that a change of the lights finds an answer. */
    case Ready;
    /** The approach speed. */
    case Keep;
}
