<?php

declare(strict_types=1);

namespace NobleTurn\Core\Judgement;

use NobleTurn\Core\Place\WayOut;

/** Somebody at a line of a crossroads where it has to be seen whose turn it is. */
final readonly class StandsAtLine
{
    public function __construct(
        public LineOf $line,
        /** As they see it themselves. */
        public WayOut $goes,
        /** Since they are there. */
        public float $waitsSeconds,
    ) {
    }

    /** The road they leave by, quarters against the clock from ours. */
    public function exit(): int
    {
        return ($this->line->quarter() + match ($this->goes) {
            WayOut::Back => 0, WayOut::Right => 1, WayOut::Ahead => 2, WayOut::Left => 3,
        }) % 4;
    }
}
