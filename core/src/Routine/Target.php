<?php

declare(strict_types=1);

namespace NobleTurn\Core\Routine;

/** Where across the road an approach ends. */
enum Target
{
    /** The middle of our lane. */
    case Usual;
    /** The place for a turn: the kerb's side, or up to the centre line. */
    case ForTurn;
    /** Out far enough for a door to open. */
    case PastParked;
    /** Parallel and close to our own kerb. */
    case Kerb;
    /** Across, along the far kerb. */
    case FarKerb;
    /** The lane in the middle, shared with those who come. */
    case CentreLane;
}
