<?php

declare(strict_types=1);

namespace NobleTurn\Core\Circuit;

/** In which order the ways of a circuit are driven, and which of them are kept where not all fit. */
enum Order: string
{
    /** Least driving between them; where not all fit, as many rounds as can be. */
    case Shortest = 'shortest';
    /** No way after a harder one; among such orders the shortest. */
    case EasyToHard = 'easy-to-hard';
    /** As much of the time as can be is spent at the ways; among such choices the shortest. Nobody drives about to fill the hour. */
    case LeastLeftOver = 'least-left-over';
    /** In turn as given; where not all fit, what comes first is kept whole. */
    case AsGiven = 'as-given';
}
