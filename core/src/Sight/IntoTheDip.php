<?php

declare(strict_types=1);

namespace NobleTurn\Core\Sight;

/** A hollow in a level road that can swallow a car: a parabola between two edges. Beyond it the road is seen again. */
final readonly class IntoTheDip implements Hides
{
    /** Halvings of the stretch in which the least view is looked for. */
    private const STEPS = 80;

    public function __construct(
        /** From edge to edge, m; more than 0. */
        public float $lengthMetres,
        /** At its middle, m; more than 0. */
        public float $depthMetres,
        public float $eyeMetres,
        public float $targetMetres,
    ) {
    }

    public function seenFrom(float $toGoMetres): float
    {
        $hidden = $this->hiddenFrom($toGoMetres);

        return $hidden === null ? INF : $toGoMetres + $hidden['from'];
    }

    /**
     * What of the dip is hidden from before it: the target's top, at h2 - 4 D s (L - s) / L^2, lies below the line from the eye
     * over the near edge, at -h1 s / d.
     *
     * @return array{from: float, to: float}|null m beyond the near edge
     */
    public function hiddenFrom(float $toGoMetres): ?array
    {
        if ($toGoMetres <= 0.0) {
            return null;
        }
        $bow = 4.0 * $this->depthMetres / $this->lengthMetres ** 2;
        $fall = $bow * $this->lengthMetres - $this->eyeMetres / $toGoMetres;
        $discriminant = $fall ** 2 - 4.0 * $bow * $this->targetMetres;
        if ($fall <= 0.0 || $discriminant <= 0.0) {
            return null;
        }
        $half = sqrt($discriminant);

        return ['from' => ($fall - $half) / (2.0 * $bow), 'to' => ($fall + $half) / (2.0 * $bow)];
    }

    /** It hides nothing from nearer than this, m to its edge; INF where it is too shallow to hide anything. */
    public function hidesBeyondMetres(): float
    {
        $slope = 4.0 * ($this->depthMetres - sqrt($this->depthMetres * $this->targetMetres)) / $this->lengthMetres;

        return $slope <= 0.0 ? INF : $this->eyeMetres / $slope;
    }

    public function leastMetres(): float
    {
        $from = $this->leastFromMetres();

        return $from === null ? INF : $this->seenFrom($from);
    }

    /** From where the least is seen, m to its edge; null where it is too shallow to hide anything. */
    public function leastFromMetres(): ?float
    {
        $near = $this->hidesBeyondMetres();
        if (is_infinite($near)) {
            return null;
        }
        // What is seen is convex in the distance: a fall where the dip begins to hide, then a rise with the distance itself.
        [$low, $high] = [$near, 2.0 * $near + $this->lengthMetres];
        for ($i = 0; $i < self::STEPS; $i++) {
            [$one, $other] = [$low + ($high - $low) / 3.0, $high - ($high - $low) / 3.0];
            if ($this->seenFrom($one) < $this->seenFrom($other)) {
                $high = $other;
            } else {
                $low = $one;
            }
        }

        return $high;
    }

    public function metresLong(): float
    {
        return $this->lengthMetres;
    }
}
