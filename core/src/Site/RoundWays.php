<?php

declare(strict_types=1);

namespace NobleTurn\Core\Site;

use NobleTurn\Core\Place\Control;
use NobleTurn\Core\Place\WayOut;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Trade\RoutineCode as R;
use NobleTurn\Core\Trade\Side;

/** Ways round a roundabout: which exit in driving order, and where the clock says it lies. */
final class RoundWays
{
    /** From straight over a roundabout so far to either side the clock says twelve, degrees (assumed): before it early, after it late. */
    public const TWELVE = 10.0;

    public static function way(Site $site, Arm $from, Arm $to, RulePack $pack): Way
    {
        $turn = $site->turn($from, $to);
        $keepsLeft = $pack->keeps() === Side::Left;
        $inOrder = $keepsLeft ? $site->before($from) : array_reverse($site->before($from));
        $exits = array_values(array_filter($inOrder, static fn (Arm $arm): bool => $arm->leadsOut()));
        $number = (int) array_search($to, $exits, true) + 1;
        // Seen as if one kept left.
        $clock = abs($turn) <= self::TWELVE ? 0 : ($keepsLeft ? $turn : -$turn) <=> 0;
        $out = match (true) {
            $clock > 0 => $keepsLeft ? WayOut::Right : WayOut::Left,
            $clock < 0 && $number === 1 => $keepsLeft ? WayOut::Left : WayOut::Right,
            default => WayOut::Ahead,
        };
        $mini = $site->kind === SiteKind::MiniRoundabout && ! in_array(R::MiniRoundabout, $pack->lacks(), true);
        $because = $from->control === Control::Signals ? 'Lights let you on to it' : 'You {give way} to all on it';

        return new Way(
            $from, $to, $mini ? R::MiniRoundabout : R::Roundabout, $out, $turn, "{$because}; {$to->name} is the ".self::nth($number).' exit.',
            exitNumber: $number,
        );
    }

    private static function nth(int $number): string
    {
        return ['', 'first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh'][$number] ?? "{$number}th";
    }
}
