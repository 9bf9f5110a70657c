<?php

declare(strict_types=1);

namespace NobleTurn\Core\Circuit;

use NobleTurn\Core\Routine\Direction;

/** One direction along a circuit: of a way, or of several that lie so close together that they are said in one breath. */
final readonly class Told
{
    /**
     * @param  non-empty-list<Stop>  $stops  in the order driven
     * @param  ?Stop  $after  the one driven before them; null at the start
     * @param  float  $metres  from there to the first of them, as the road leads
     */
    public function __construct(public array $stops, public ?Stop $after, public float $metres)
    {
    }

    /** So far before the line of the first of them it must have been said, m. */
    public function sayAtMetres(): float
    {
        return $this->stops[0]->sayAtMetres;
    }

    public function words(): string
    {
        return Direction::inOneBreath(array_map(static fn (Stop $stop): string => $stop->direction ?? '', $this->stops));
    }

    /** Why they are said together; null where there is only one. */
    public function message(): ?string
    {
        $behind = array_slice($this->stops, 1);
        if ($behind === []) {
            return null;
        }
        $names = implode(' and ', array_map(static fn (Stop $stop): string => $stop->name, $behind));

        return "{$names}: too close behind to be said after {$this->stops[0]->name}. Said together, before it.";
    }
}
