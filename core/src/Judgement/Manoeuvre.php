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
    /** From a standstill at the kerb into the stream that comes from behind. */
    case MoveOff = 'move-off';

    /** Out of a road that ends or crosses: the road met is another than the one we are on. */
    public function emerges(): bool
    {
        return $this !== self::TurnAcross && $this !== self::MoveOff;
    }

    /** The side our turn goes to: towards the kerb, across, or neither. */
    public function flank(RulePack $pack): ?Flank
    {
        return match ($this) {
            self::EmergeLeft => Flank::of(Side::Left, $pack),
            self::EmergeRight => Flank::of(Side::Right, $pack),
            self::Cross, self::MoveOff => null,
            self::TurnAcross => Flank::Off,
        };
    }
}
