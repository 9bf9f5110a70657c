<?php

declare(strict_types=1);

namespace NobleTurn\Core\Site;

use NobleTurn\Core\Place\WayOut;
use NobleTurn\Core\Trade\RoutineCode as R;

/**
 * Ways at a slip: on to the fast road, off it, or past. Rules of the trade (`trade/routines.md`, G), common practice, no source.
 */
final class SlipWays
{
    /** @return list<Way> by the arm one comes in by, from the left round */
    public static function all(Site $site): array
    {
        $ways = [];
        foreach ($site->arms as $from) {
            foreach ($site->before($from) as $to) {
                // Straight from a slip on to the next one off nobody joins anything.
                if ($from->leadsIn() && $to->leadsOut() && ! ($from->isSlip && $to->isSlip)) {
                    $ways[] = self::way($site, $from, $to);
                }
            }
        }

        return $ways;
    }

    private static function way(Site $site, Arm $from, Arm $to): Way
    {
        [$routine, $because] = match (true) {
            $from->isSlip => [R::Join, 'Your {slip road} ends in theirs: you fit in, at their speed.'],
            $to->isSlip => [R::Leave, 'The {slip road} leads off: your speed is theirs until you are on it.'],
            default => [R::BetweenHazards, 'You stay on the main road: who joins needs room, who leaves slows on the {slip road}.'],
        };

        return new Way($from, $to, $routine, WayOut::Ahead, $site->turn($from, $to), $because);
    }
}
