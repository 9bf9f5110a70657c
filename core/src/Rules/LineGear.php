<?php

declare(strict_types=1);

namespace NobleTurn\Core\Rules;

/** In which gear one comes to the line of a T-junction. */
enum LineGear: string
{
    /** Second while rolling, first after a stop. */
    case SecondThenFirst = 'second-then-first';
    /** First is in before the line. */
    case OnTheMove = 'first-on-the-move';
    /** No change on the move before a stop. */
    case AfterStop = 'first-after-stop';
}
