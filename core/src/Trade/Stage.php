<?php

declare(strict_types=1);

namespace NobleTurn\Core\Trade;

/** The part of a round a step was marked in, where its card has more than one. */
enum Stage: string
{
    /** Where nothing is said. */
    case Approach = 'approach';
    case First = 'first';
    case Second = 'second';
    case MoveOff = 'move-off';
    case Rejoin = 'rejoin';
}
