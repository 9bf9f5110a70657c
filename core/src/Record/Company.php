<?php

declare(strict_types=1);

namespace NobleTurn\Core\Record;

/** Who sat beside the learner. */
enum Company: string
{
    case Instructor = 'instructor';

    /** Somebody with a licence: a parent, a friend. */
    case Accompanied = 'accompanied';
}
