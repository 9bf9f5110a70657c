<?php

declare(strict_types=1);

namespace NobleTurn\Core\Lanes;

/** What the arms meet at. */
enum Layout: string
{
    case Roundabout = 'roundabout';
    case Junction = 'junction';
}
