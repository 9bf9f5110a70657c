<?php

declare(strict_types=1);

namespace NobleTurn\Core\Place;

/** Which way we leave a junction that all ways lead out of. */
enum WayOut: string
{
    case Left = 'left';
    case Ahead = 'ahead';
    case Right = 'right';
    case Back = 'back';
}
