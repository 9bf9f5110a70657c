<?php

declare(strict_types=1);

namespace NobleTurn\Core\Trade;

/** A side as the driver sees it. */
enum Side: string
{
    case Left = 'left';
    case Right = 'right';

    public function other(): self
    {
        return match ($this) {
            self::Left => self::Right,
            self::Right => self::Left,
        };
    }
}
