<?php

declare(strict_types=1);

namespace NobleTurn\Core\Vehicle;

/** What is done going backwards. */
enum ReversingExercise: string
{
    case AlongTheFarKerb = 'pull-up-right-reverse';
    case Bay = 'bay';
    case Ramp = 'ramp';
}
