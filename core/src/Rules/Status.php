<?php

declare(strict_types=1);

namespace NobleTurn\Core\Rules;

/** How sure a figure is and where it comes from. */
enum Status: string
{
    /** A named standard or handbook prints it. */
    case Published = 'published';
    /** A fact of the trade with no written source. */
    case CommonPractice = 'common-practice';
    /** A published value that could not be looked up when it was entered. */
    case FromMemory = 'from-memory';
    /** A modelling value chosen here; the user may change it. */
    case Assumed = 'assumed';
    /** The user said so. */
    case Given = 'given';
}
