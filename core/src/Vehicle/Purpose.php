<?php

declare(strict_types=1);

namespace NobleTurn\Core\Vehicle;

/** What a gear is wanted for. */
enum Purpose: string
{
    /** Holding the speed quietly. */
    case Cruise = 'cruise';
    /** Gaining speed as fast as this gear box can here. */
    case Pull = 'pull';
    /** Gaining 20 mph without another change, as on a joining slip. */
    case SlipRoad = 'slip-road';
    /** Walking pace and below. */
    case Creep = 'creep';
}
