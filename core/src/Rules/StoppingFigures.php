<?php

declare(strict_types=1);

namespace NobleTurn\Core\Rules;

/** Whose figures of thinking and braking are taught in a place. */
enum StoppingFigures: string
{
    case HighwayCode = 'highway-code';
    case RoadDesign = 'aashto';
}
