<?php

declare(strict_types=1);

namespace NobleTurn\Core\Place;

use NobleTurn\Core\Sight\OverTheCrest;
use NobleTurn\Core\Sight\Sight;

/** The rounded top of a hill on the way to the line. */
final readonly class Crest
{
    /** None is rounded over less, m (assumed): two slopes that met in a point would stop the car on its floor. */
    public const LEAST_M = 1.0;

    private function __construct(
        /** Where it begins, metres to the line. */
        public float $farMetres,
        /** Where it ends. */
        public float $nearMetres,
        /** Between the slopes before and after it, rise over run, more than 0. */
        public float $gradientChange,
    ) {
    }

    /** The two ends may come in either order; the one nearer the line is where it ends. */
    public static function between(float $oneEnd, float $otherEnd, float $gradientChange): self
    {
        return new self(max($oneEnd, $otherEnd), min($oneEnd, $otherEnd), $gradientChange);
    }

    /**
     * The least that is seen of the road on it.
     *
     * @param  float  $eyeMetres  above the road
     */
    public function seenMetres(float $eyeMetres): float
    {
        return (new OverTheCrest($this->lengthMetres(), $this->gradientChange, $eyeMetres, Sight::TARGET_M))->leastMetres();
    }

    /** Whether it is reckoned longer than it was said to be. */
    public function isShort(): bool
    {
        return $this->farMetres - $this->nearMetres < self::LEAST_M;
    }

    public function lengthMetres(): float
    {
        return max(self::LEAST_M, $this->farMetres - $this->nearMetres);
    }
}
