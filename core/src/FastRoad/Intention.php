<?php

declare(strict_types=1);

namespace NobleTurn\Core\FastRoad;

/** What somebody on the main road seems to be about to do. It counts only once it is done. */
enum Intention: string
{
    case Stays = 'stays';
    /** Into the next lane, to let us in. */
    case MovesOver = 'moves-over';
    /** Off the main road, across our lane. */
    case Leaves = 'leaves';
}
