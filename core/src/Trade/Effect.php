<?php

declare(strict_types=1);

namespace NobleTurn\Core\Trade;

/** What a fault did to others. */
enum Effect: string
{
    case Nobody = 'nobody';
    /** Somebody could have been affected. */
    case Potential = 'potential';
    /** Somebody had to change speed or direction. */
    case Affected = 'affected';
    /** The instructor's hand or pedal. */
    case Intervened = 'intervened';

    /** On a key. */
    public function short(): string
    {
        return match ($this) {
            self::Nobody => 'Nobody',
            self::Potential => 'Could have been',
            self::Affected => 'Had to change',
            self::Intervened => 'I stepped in',
        };
    }

    public function words(): string
    {
        return match ($this) {
            self::Nobody => 'nobody affected, a rule broken',
            self::Potential => 'somebody could have been affected',
            self::Affected => 'somebody had to change speed or direction',
            self::Intervened => 'the instructor’s hand or pedal was needed',
        };
    }
}
