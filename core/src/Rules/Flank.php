<?php

declare(strict_types=1);

namespace NobleTurn\Core\Rules;

use NobleTurn\Core\Trade\Side;

/** A side as the road sees it: `near` is the kerb's side, `off` the side of oncoming traffic, whichever hand that is. */
enum Flank: string
{
    case Near = 'near';
    case Off = 'off';

    public static function of(Side $side, RulePack $pack): self
    {
        return $side === $pack->keeps() ? self::Near : self::Off;
    }

    public function side(RulePack $pack): Side
    {
        return match ($this) {
            self::Near => $pack->keeps(),
            self::Off => $pack->keeps()->other(),
        };
    }

    public function other(): self
    {
        return match ($this) {
            self::Near => self::Off,
            self::Off => self::Near,
        };
    }
}
