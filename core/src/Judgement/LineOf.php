<?php

declare(strict_types=1);

namespace NobleTurn\Core\Judgement;

/** At which line of a crossroads somebody stands, seen from ours. */
enum LineOf: string
{
    case Ours = 'ours';
    case Right = 'right';
    case Opposite = 'opposite';
    case Left = 'left';

    /** Against the clock from our own road. */
    public function quarter(): int
    {
        return match ($this) {
            self::Ours => 0, self::Right => 1, self::Opposite => 2, self::Left => 3,
        };
    }
}
