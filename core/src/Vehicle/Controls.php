<?php

declare(strict_types=1);

namespace NobleTurn\Core\Vehicle;

enum Controls: string
{
    case Standard = 'standard';
    /** Accelerator and brake worked by hand; brings an automatic gearbox with it. */
    case Hand = 'hand';
}
