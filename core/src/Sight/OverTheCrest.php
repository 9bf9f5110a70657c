<?php

declare(strict_types=1);

namespace NobleTurn\Core\Sight;

/** The rounded top of a hill: a parabola between two even slopes, as roads are laid out. */
final readonly class OverTheCrest implements Hides
{
    /** For a change of gradient of 1, m: K of road design, there for 1 %. */
    private float $perChange;

    public function __construct(
        /** Of the rounded part, m; more than 0. */
        public float $lengthMetres,
        /** By how much the slope changes over it, rise over run, more than 0. */
        public float $gradientChange,
        public float $eyeMetres,
        public float $targetMetres,
    ) {
        $this->perChange = $lengthMetres / $gradientChange;
    }

    /** The line of sight from the eye touches the road and reaches the target's height beyond, on the rounded part or on the slope after it. */
    public function seenFrom(float $toGoMetres): float
    {
        $eye = -$toGoMetres;
        // Where the tangent of the parabola stands an eye's height above the road at the eye.
        $touches = $eye < 0.0
            ? $eye + sqrt($eye ** 2 + 2.0 * $this->perChange * $this->eyeMetres)
            : $eye + sqrt(2.0 * $this->perChange * $this->eyeMetres);
        if ($touches >= $this->lengthMetres) {
            return INF;
        }
        $left = $this->lengthMetres - $touches;
        $rounded = sqrt(2.0 * $this->perChange * $this->targetMetres);

        return $touches - $eye + ($rounded <= $left ? $rounded : $left / 2.0 + $this->perChange * $this->targetMetres / $left);
    }

    /** Crest curves of road design, shorter and longer than the view: AASHTO Green Book, L = A S^2 / (2 (sqrt h1 + sqrt h2)^2), from memory. */
    public function leastMetres(): float
    {
        $heights = (sqrt($this->eyeMetres) + sqrt($this->targetMetres)) ** 2;
        $within = sqrt(2.0 * $this->perChange * $heights);

        return $within <= $this->lengthMetres ? $within : $this->lengthMetres / 2.0 + $heights / $this->gradientChange;
    }

    public function metresLong(): float
    {
        return $this->lengthMetres;
    }
}
