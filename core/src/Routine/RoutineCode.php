<?php

declare(strict_types=1);

namespace NobleTurn\Core\Routine;

use NobleTurn\Core\Rules\Side;

/** The routines that can be planned, marked and explained so far. Left and right as the driver sees them. */
enum RoutineCode: string
{
    case TurnLeft = 'turn-left';
    case TurnRight = 'turn-right';
    case EmergeLeft = 'emerge-left';
    case EmergeRight = 'emerge-right';

    public function turnSide(): Side
    {
        return match ($this) {
            self::TurnLeft, self::EmergeLeft => Side::Left,
            self::TurnRight, self::EmergeRight => Side::Right,
        };
    }

    /** Out of a side road over a line, as against off the main road. */
    public function emerges(): bool
    {
        return match ($this) {
            self::EmergeLeft, self::EmergeRight => true,
            self::TurnLeft, self::TurnRight => false,
        };
    }

    public function mirrored(): self
    {
        return match ($this) {
            self::TurnLeft => self::TurnRight,
            self::TurnRight => self::TurnLeft,
            self::EmergeLeft => self::EmergeRight,
            self::EmergeRight => self::EmergeLeft,
        };
    }
}
