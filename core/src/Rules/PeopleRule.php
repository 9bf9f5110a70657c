<?php

declare(strict_types=1);

namespace NobleTurn\Core\Rules;

/** To whom on foot the law of a place makes a turning driver give way. */
enum PeopleRule: string
{
    /** Also to those still waiting to cross the road being entered. */
    case Waiting = 'waiting';
    /** To those who have begun to cross. */
    case Begun = 'begun';
    /** To those in the crossing. */
    case InCrossing = 'in-crossing';
}
