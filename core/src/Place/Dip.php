<?php

declare(strict_types=1);

namespace NobleTurn\Core\Place;

use NobleTurn\Core\Sight\IntoTheDip;
use NobleTurn\Core\Sight\Sight;

/** A hollow in the road on the way to the line, deep enough to swallow a car. */
final readonly class Dip
{
    /** None is shorter, m (assumed). */
    public const LEAST_M = 5.0;

    private function __construct(
        /** Where it begins, metres to the line. */
        public float $farMetres,
        /** Where it ends. */
        public float $nearMetres,
        /** At its middle, m; more than 0. */
        public float $depthMetres,
    ) {
    }

    /** The two ends may come in either order; the one nearer the line is where it ends. */
    public static function between(float $oneEnd, float $otherEnd, float $depthMetres): self
    {
        return new self(max($oneEnd, $otherEnd), min($oneEnd, $otherEnd), $depthMetres);
    }

    /**
     * The least that is seen of the road before it; INF where it hides nothing.
     *
     * @param  float  $eyeMetres  above the road
     */
    public function seenMetres(float $eyeMetres): float
    {
        return $this->hides($eyeMetres)->leastMetres();
    }

    /**
     * From where the least is seen: from nearer it is more, and then all of it.
     *
     * @param  float  $eyeMetres  above the road
     * @return ?float metres to the line; null where it hides nothing
     */
    public function leastFromMetres(float $eyeMetres): ?float
    {
        $toGo = $this->hides($eyeMetres)->leastFromMetres();

        return $toGo === null ? null : $this->farMetres + $toGo;
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

    private function hides(float $eyeMetres): IntoTheDip
    {
        return new IntoTheDip($this->lengthMetres(), $this->depthMetres, $eyeMetres, Sight::TARGET_M);
    }
}
