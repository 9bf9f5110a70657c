<?php

declare(strict_types=1);

namespace NobleTurn\Core\Site;

use NobleTurn\Core\Place\WayOut;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Trade\RoutineCode as R;

/**
 * Ways along a stretch of road or to a kerb: each direction teaches whatever lies along it, a way for each routine. Rules of the trade
 * (`trade/routines.md`, A, F, H, I), common practice, no source.
 */
final class AlongWays
{
    /** @return list<Way> by the arm one comes in by, as its features are listed */
    public static function all(Site $site, RulePack $pack): array
    {
        $ways = [];
        foreach ($site->arms as $from) {
            // Out of a car park one comes by the road one came in by.
            $to = $site->before($from)[0] ?? $from;
            if ($from->leadsIn() && $to->leadsOut()) {
                $ways = [...$ways, ...self::along($site, $from, $to, $pack)];
            }
        }

        return $ways;
    }

    /** @return list<Way> */
    private static function along(Site $site, Arm $from, Arm $to, RulePack $pack): array
    {
        $because = [];
        foreach (Feature::of($site->kind) as $feature) {
            foreach (in_array($feature, $from->holds, true) ? $feature->teaches($pack) : [] as $routine) {
                $because[$routine->value][] = $feature->because();
            }
        }
        if ($site->kind === SiteKind::Stretch && $from->lanesIn > 1) {
            foreach ([R::LaneChangeRight, R::LaneChangeLeft] as $routine) {
                $because[$routine->value][] = 'More than one lane goes your way.';
            }
        }
        $because = $because === [] ? [R::BetweenHazards->value => ['Nothing is said to lie along it: the steady round of looks.']] : $because;

        return array_map(
            static fn (string $routine, array $sentences): Way => new Way(
                $from, $to, R::from($routine), WayOut::Ahead, $from === $to ? 0.0 : $site->turn($from, $to), implode(' ', array_unique($sentences)),
            ),
            array_keys($because), $because,
        );
    }
}
