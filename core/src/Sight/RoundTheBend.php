<?php

declare(strict_types=1);

namespace NobleTurn\Core\Sight;

/**
 * A bend with something high along its inside: a hedge, a wall, parked cars. We come along a straight and leave along one,
 * the hedge beside both as far from our path as in the bend; eye and target are on the path.
 */
final readonly class RoundTheBend implements Hides
{
    public function __construct(
        /** Of our path, m; more than the offset. */
        public float $radiusMetres,
        /** From our path to what stands along the inside of it, m. */
        public float $offsetMetres,
        /** How far the road turns, radians, more than 0 and at most pi. */
        public float $angleRadians,
    ) {
    }

    /**
     * The line of sight touches the arc of the hedge and meets the path again beyond: on the arc, or on the straight after it.
     * Deep within a long bend this is 2 R acos(1 - M / R), the sight line of road design round a horizontal curve (AASHTO Green
     * Book, M = R (1 - cos(S / 2 R)), from memory).
     */
    public function seenFrom(float $toGoMetres): float
    {
        $before = max(0.0, $toGoMetres);
        $within = max(0.0, -$toGoMetres);
        // As angles seen from the middle of the bend, 0 where it begins: the eye, and where its line touches the hedge.
        $eye = $before > 0.0 ? -atan2($before, $this->radiusMetres) : $within / $this->radiusMetres;
        $touches = $eye + acos($this->insideMetres() / hypot($before, $this->radiusMetres));
        if ($touches >= $this->angleRadians) {
            return INF;
        }

        return $before - $within + $this->metBeyond($touches);
    }

    public function leastMetres(): float
    {
        // The view is symmetrical about the middle of the bend and its two halves are convex: it is least where it touches there.
        $steady = 2.0 * $this->radiusMetres * $this->reach();

        return $steady <= $this->metresLong() ? $steady : 2.0 * $this->metBeyond($this->angleRadians / 2.0) - $this->metresLong();
    }

    public function metresLong(): float
    {
        return $this->radiusMetres * $this->angleRadians;
    }

    private function insideMetres(): float
    {
        return $this->radiusMetres - $this->offsetMetres;
    }

    /** From where a line touches the hedge to where it leaves the path, where both are round, radians. */
    private function reach(): float
    {
        return acos($this->insideMetres() / $this->radiusMetres);
    }

    /** How far from the beginning of the bend a line that touches the hedge at this angle meets the path again, m. */
    private function metBeyond(float $touches): float
    {
        $left = $this->angleRadians - $touches;
        if ($this->reach() <= $left) {
            return $this->radiusMetres * ($touches + $this->reach());
        }

        return $this->metresLong() + ($this->radiusMetres * cos($left) - $this->insideMetres()) / sin($left);
    }
}
