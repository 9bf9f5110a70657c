<?php

declare(strict_types=1);

namespace NobleTurn\Core\Vehicle;

/** What is done at walking pace at the kerb and among parked cars; most of it backwards. */
enum ReversingExercise: string
{
    case AlongTheFarKerb = 'pull-up-right-reverse';
    case Bay = 'bay';
    case Ramp = 'ramp';
    case OutOfBay = 'out-of-bay';
    case NoseIn = 'nose-in';
    case KerbSpace = 'kerb-space';

    public function goesForwards(): bool
    {
        return $this === self::NoseIn || $this === self::KerbSpace;
    }
}
