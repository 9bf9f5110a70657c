<?php

declare(strict_types=1);

namespace NobleTurn\Core\Judgement;

use NobleTurn\Core\Rules\AsksOfOthers;

/** What going into a gap asks of the other driver. */
enum Asked: string
{
    case Nothing = 'nothing';
    case OffGas = 'off-gas';
    case Brake = 'brake';
    /** No braking helps. */
    case Cannot = 'cannot';

    public static function of(float $mps2): self
    {
        return match (true) {
            is_infinite($mps2) => self::Cannot,
            $mps2 > AsksOfOthers::OFF_GAS_MPS2 => self::Brake,
            $mps2 > 0.0 => self::OffGas,
            default => self::Nothing,
        };
    }
}
