<?php

declare(strict_types=1);

namespace NobleTurn\Core\Rules;

use NobleTurn\Core\Place\Surface;
use NobleTurn\Core\Quantity\Distance;
use NobleTurn\Core\Quantity\Duration;
use NobleTurn\Core\Quantity\Speed;

/** Great Britain: traffic keeps left, limits in mph, short distances in metres in class and yards on signs. */
final readonly class GreatBritain implements RulePack
{
    public function code(): string
    {
        return 'gb';
    }

    public function version(): string
    {
        return '2026.1';
    }

    public function keeps(): Side
    {
        return Side::Left;
    }

    public function speedUnit(): SpeedUnit
    {
        return SpeedUnit::MilesPerHour;
    }

    public function townLimit(): Speed
    {
        return Speed::ofMilesPerHour(30.0);
    }

    /** Two seconds, at least doubled in the wet, up to ten times on ice: the upper end is used there. */
    public function followingGap(Surface $surface): Duration
    {
        return match ($surface) {
            Surface::Dry => Duration::ofSeconds(2.0),
            Surface::Wet => Duration::ofSeconds(4.0),
            Surface::Ice => Duration::ofSeconds(20.0),
        };
    }

    public function followingGapSource(Surface $surface): Source
    {
        return Source::published('Highway Code, rule 126');
    }

    /** The limit's number, read as metres: 30 mph -> 30 m. */
    public function numberRuleForSignal(Speed $limit): Distance
    {
        return Distance::ofMetres($limit->inMilesPerHour());
    }

    public function numberRuleSource(): Source
    {
        return Source::commonPractice();
    }
}
