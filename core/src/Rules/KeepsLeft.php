<?php

declare(strict_types=1);

namespace NobleTurn\Core\Rules;

use NobleTurn\Core\Quantity\Acceleration;
use NobleTurn\Core\Quantity\Duration;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Trade\Side;
use NobleTurn\Core\Trade\Surface;

/** What Great Britain and Ireland have in common; each says for itself where a figure of it comes from. */
trait KeepsLeft
{
    public function keeps(): Side
    {
        return Side::Left;
    }

    public function lengthUnit(): LengthUnit
    {
        return LengthUnit::Metres;
    }

    /** Two seconds, at least doubled in the wet, up to ten times on ice: the upper end is used there. */
    public function followingGap(Surface $surface): Duration
    {
        return Duration::ofSeconds(match ($surface) {
            Surface::Dry => 2.0,
            Surface::Wet => 4.0,
            Surface::Ice => 20.0,
        });
    }

    public function longGap(): LongGap
    {
        return LongGap::ByBrakes;
    }

    public function stoppingFigures(): StoppingFigures
    {
        return StoppingFigures::HighwayCode;
    }

    public function amber(Speed $approach): Duration
    {
        return Duration::ofSeconds(3.0);
    }

    public function amberReaction(): Duration
    {
        return Duration::ofSeconds(1.0);
    }

    public function amberDeceleration(): Acceleration
    {
        return Acceleration::ofMetresPerSecondSquared(3.0);
    }

    public function amberDecisionSource(): Source
    {
        return Source::assumed();
    }

    public function turnOnRed(): bool
    {
        return false;
    }

    public function walkingSpeed(): Speed
    {
        return Speed::ofMetresPerSecond(1.2);
    }

    public function walkingSpeedSource(): Source
    {
        return Source::assumed();
    }

    public function signalsOnApproachToRoundabout(): bool
    {
        return true;
    }

    public function turnsAcrossInto(): Flank
    {
        return Flank::Near;
    }

    public function turnersShare(): bool
    {
        return false;
    }

    public function numberRuleIsLeast(): bool
    {
        return false;
    }

    public function wheelTaught(Flank $towards): array
    {
        // Half to three quarters, off a main road to either side.
        return [0.5, 0.75];
    }

    public function looksOverTheShoulderBeforeTurns(): bool
    {
        return false;
    }
}
