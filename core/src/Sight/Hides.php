<?php

declare(strict_types=1);

namespace NobleTurn\Core\Sight;

/** Something on the road that ends the view at some places before it and within it. */
interface Hides
{
    /**
     * How far along our way the road is seen without a break.
     *
     * @param  float  $toGoMetres  to where it begins; negative within it and beyond
     * @return float m; INF where it hides nothing
     */
    public function seenFrom(float $toGoMetres): float;

    /** The least that is seen anywhere on the way to it and through it, m; INF where it hides nothing. */
    public function leastMetres(): float;

    /** How long it is on our way, m: 0 for what moves with us. */
    public function metresLong(): float;
}
