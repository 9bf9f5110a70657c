<?php

declare(strict_types=1);

namespace NobleTurn\Core\Judgement;

use NobleTurn\Core\Rules\Flank;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Trade\Side;

/** What is to be done through a gap. Sides as the driver sees them. */
enum Manoeuvre: string
{
    case EmergeLeft = 'emerge-left';
    case EmergeRight = 'emerge-right';
    case Cross = 'cross';
    /** Off the main road across oncoming traffic. */
    case TurnAcross = 'turn-across';

    /** The side our turn goes to: towards the kerb, across, or neither. */
    public function flank(RulePack $pack): ?Flank
    {
        return match ($this) {
            self::EmergeLeft => Flank::of(Side::Left, $pack),
            self::EmergeRight => Flank::of(Side::Right, $pack),
            self::Cross => null,
            self::TurnAcross => Flank::Off,
        };
    }
}
