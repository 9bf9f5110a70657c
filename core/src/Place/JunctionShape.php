<?php

declare(strict_types=1);

namespace NobleTurn\Core\Place;

/** What the roads make with ours. */
enum JunctionShape: string
{
    /** Ours ends here: nobody can come from opposite. */
    case Stem = 't-stem';
    /** Ours goes on, another joins it from one side. */
    case Bar = 't-bar';
    case Crossroads = 'crossroads';
}
