<?php

declare(strict_types=1);

namespace NobleTurn\Core\Plan;

/** How two hazards close together are taken. */
enum Between: string
{
    case OneAfterTheOther = 'one-after-the-other';
    /** The second has to be thought of, and its lane and signal chosen, before the first. */
    case PlanSecondFirst = 'plan-second-first';
    /** There is no room for the car between them. */
    case BothInOne = 'both-in-one';

    public function message(string $speed): string
    {
        return match ($this) {
            self::OneAfterTheOther => "There is room for both, one after the other: up to {$speed} between them.",
            self::PlanSecondFirst => 'There is room to stand between them, but not for a whole second routine: mirrors, lane and way of the second are '
                .'settled before the first; the signal comes right after it.',
            self::BothInOne => 'No whole car fits between them: go only when both can be done in one.',
        };
    }
}
