<?php

declare(strict_types=1);

namespace NobleTurn\Core\Rules;

/** Who goes first where no sign, line or light gives it to anybody. */
enum TurnRule: string
{
    /** Who came first; of those who came together the one on the right. */
    case Arrival = 'arrival';
    /** The one on the right, whoever came first. */
    case FromTheRight = 'from-the-right';
    /** Nobody by rule. */
    case Nobody = 'nobody';

    public function words(): string
    {
        return match ($this) {
            self::Arrival => 'who came first; at once the one on the right',
            self::FromTheRight => 'who comes from the right',
            self::Nobody => 'nobody by rule',
        };
    }
}
