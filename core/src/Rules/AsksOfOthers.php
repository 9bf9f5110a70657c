<?php

declare(strict_types=1);

namespace NobleTurn\Core\Rules;

/** How much of others a gap may ask: a practice. */
enum AsksOfOthers: string
{
    /** Nobody changes anything. */
    case Nothing = 'nothing';
    /** They come off the gas. */
    case OffGas = 'off-gas';
    /** What road design reckons with: they slow down, not below a share of their speed. */
    case Design = 'design';

    /** What coming off the gas does, m/s2 (assumed). */
    public const OFF_GAS_MPS2 = 0.7;

    /** Road design: about so hard, and no slower than this share of their speed (from memory). */
    private const DESIGN_MPS2 = 1.5;

    private const DESIGN_FLOOR = 0.7;

    public static function by(Practice $practice): self
    {
        return self::from($practice->answer('asks_of_others'));
    }

    /** The hardest slowing that may be asked, m/s2. */
    public function mps2(): float
    {
        return match ($this) {
            self::Nothing => 0.0, self::OffGas => self::OFF_GAS_MPS2, self::Design => self::DESIGN_MPS2
        };
    }

    /** The share of their speed below which nobody is slowed. */
    public function floor(): float
    {
        return $this === self::Design ? self::DESIGN_FLOOR : 0.0;
    }
}
