<?php

declare(strict_types=1);

namespace NobleTurn\Core\Place;

use NobleTurn\Core\Sight\RoundTheBend;

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
        /** From our path to a hedge or a wall along its inside, m; null where one sees across it. */
        public ?float $offsetMetres,
    ) {
    }

    /** The two ends may come in either order; the one nearer the line is where it ends. */
    public static function between(float $radiusMetres, float $oneEnd, float $otherEnd, ?float $offsetMetres = null): self
    {
        return new self($radiusMetres, max($oneEnd, $otherEnd), min($oneEnd, $otherEnd), $offsetMetres);
    }

    /** The least that is seen of the road in it, m; INF where nothing stands along its inside, or it hardly turns. */
    public function seenMetres(): float
    {
        $angle = min(M_PI, ($this->farMetres - $this->nearMetres) / $this->radiusMetres);

        return $this->offsetMetres === null || $angle <= 0.0
            ? INF : (new RoundTheBend($this->radiusMetres, $this->offsetMetres, $angle))->leastMetres();
    }
}
