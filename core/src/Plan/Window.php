<?php

declare(strict_types=1);

namespace NobleTurn\Core\Plan;

/** How far one step can move with every other rule kept. Metres to the line: earliest >= best >= latest >= 0. */
final readonly class Window
{
    private function __construct(
        public float $earliestMetres,
        public float $bestMetres,
        public float $latestMetres,
        public float $endMetres,
    ) {
    }

    /** Edges that fall on the wrong side of the best place are drawn back to it. */
    public static function around(float $best, float $earliest, float $latest, float $end): self
    {
        return new self(max($best, $earliest), $best, max(0.0, min($best, $latest)), max(0.0, min($best, $end)));
    }
}
