<?php

declare(strict_types=1);

namespace NobleTurn\Core\Place;

/** A bend of the road on the way to the line. */
final readonly class Curve
{
    private function __construct(
        /** Of our path through it, m. */
        public float $radiusMetres,
        /** Where it begins, metres to the line. */
        public float $farMetres,
        /** Where it ends. */
        public float $nearMetres,
    ) {
    }

    /** The two ends may come in either order; the one nearer the line is where it ends. */
    public static function between(float $radiusMetres, float $oneEnd, float $otherEnd): self
    {
        return new self($radiusMetres, max($oneEnd, $otherEnd), min($oneEnd, $otherEnd));
    }
}
