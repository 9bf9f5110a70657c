<?php

declare(strict_types=1);

namespace NobleTurn\Core\Record;

/** Why a routine might be next, the most pressing first. */
enum NeedKind: string
{
    case Weak = 'weak';
    case OnlyShown = 'only-shown';
    case LongNotDriven = 'long-not-driven';
    case NeverDriven = 'never-driven';
    case GoingWell = 'going-well';

    public function rank(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
