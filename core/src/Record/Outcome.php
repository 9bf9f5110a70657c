<?php

declare(strict_types=1);

namespace NobleTurn\Core\Record;

/** How a step was done, worst to best. */
enum Outcome: string
{
    /** The instructor's hand or pedal. */
    case Intervened = 'intervened';
    case Missed = 'missed';
    case Prompted = 'prompted';
    case Reminded = 'reminded';
    case Unaided = 'unaided';

    /** 0 for unaided, up to 4 for intervened: the order only, no measure of distance. */
    public function stepsFromUnaided(): int
    {
        return match ($this) {
            self::Unaided => 0,
            self::Reminded => 1,
            self::Prompted => 2,
            self::Missed => 3,
            self::Intervened => 4,
        };
    }
}
