<?php

declare(strict_types=1);

namespace NobleTurn\Core\Plan;

/** How far one step can move with every other rule kept. Metres to the line: earliest >= best >= latest >= 0; the end may lie beyond it. */
final readonly class Window
{
    private function __construct(
        public float $earliestMetres,
        public float $bestMetres,
        public float $latestMetres,
        public float $endMetres,
    ) {
    }

    /** A step that goes on beyond the line, to a negative place; it may begin as late as the line. */
    public static function past(float $best, float $earliest, float $end): self
    {
        return new self(max($best, $earliest), min($best, max($best, $earliest)), 0.0, min(0.0, $end));
    }

    /** Edges that fall on the wrong side of the best place are drawn back to it. */
    public static function around(float $best, float $earliest, float $latest, float $end): self
    {
        return new self(max($best, $earliest), $best, max(0.0, min($best, $latest)), max(0.0, min($best, $end)));
    }
}
