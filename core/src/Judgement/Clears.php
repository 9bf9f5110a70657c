<?php

declare(strict_types=1);

namespace NobleTurn\Core\Judgement;

/** How far a light clears our way. */
enum Clears: string
{
    /** Nobody who meets us has a light to go. */
    case Fully = 'fully';
    /** We may go, and give way to whom the same light lets go. */
    case GivingWay = 'giving-way';
    /** Not at all. */
    case Not = 'not';
}
