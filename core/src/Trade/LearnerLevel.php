<?php

declare(strict_types=1);

namespace NobleTurn\Core\Trade;

enum LearnerLevel: string
{
    case Beginner = 'beginner';
    case Developing = 'developing';
    case Independent = 'independent';
}
