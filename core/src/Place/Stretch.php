<?php

declare(strict_types=1);

namespace NobleTurn\Core\Place;

use NobleTurn\Core\Rules\Flank;

/** Something along one side of the approach: an opening, or parked cars. Metres before the line. */
final readonly class Stretch
{
    private function __construct(public Flank $flank, public float $farMetres, public float $nearMetres)
    {
    }

    /** The two ends may come in either order; the end nearer the line counts as near. */
    public static function between(Flank $flank, float $oneEnd, float $otherEnd): self
    {
        return new self($flank, max($oneEnd, $otherEnd), min($oneEnd, $otherEnd));
    }
}
