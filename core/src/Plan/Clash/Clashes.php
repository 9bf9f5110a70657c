<?php

declare(strict_types=1);

namespace NobleTurn\Core\Plan\Clash;

use NobleTurn\Core\Plan\Conflict;
use NobleTurn\Core\Plan\Fitting;

/**
 * Every clash, in the order a reader needs them: first whether the routine fits at all, then the signal,
 * which the learner is told a number for, then speed, gear and looking.
 */
final class Clashes
{
    /** @return non-empty-list<Clash> */
    public static function all(): array
    {
        return [new DoesNotFit, new SignalRuleTooLate, new SignalWaitsForOpening, new TurnSpeedRule, new ClutchTooFast, new NoTimeToLook];
    }

    /** @return list<Conflict> */
    public static function in(Fitting $fitting): array
    {
        return array_values(array_filter(array_map(static fn (Clash $clash): ?Conflict => $clash->in($fitting), self::all())));
    }
}
