<?php

declare(strict_types=1);

namespace NobleTurn\Core\Record;

/** A round that feeds learning and says nothing of ability. */
enum Taught: string
{
    case Shown = 'shown';
    case TalkedThrough = 'talked-through';
}
