<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Place\Control;
use NobleTurn\Core\Place\WayOut;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Site\Arm;
use NobleTurn\Core\Site\Site;
use NobleTurn\Core\Site\SiteKind;
use NobleTurn\Core\Site\Way;

/** What the tool `priority` is asked of a way: where all have to stop, and where four or more meet and nothing says who goes. Everybody is there at once. */
final class WayTurn
{
    /** Up to so far off straight on it is straight on, degrees. */
    private const AHEAD_DEG = 45.0;

    /** @return ?array<string, mixed> null where lines, lights or an island say whose turn it is, or two come from the same side */
    public static function asked(Way $way, Site $site, RulePack $pack): ?array
    {
        $place = self::place($site);
        if ($place === null || $way->out === WayOut::Back) {
            return null;
        }
        $vehicles = [];
        foreach ($site->before($way->from) as $arm) {
            if (! $arm->leadsIn()) {
                continue;
            }
            $line = self::line($site->turn($way->from, $arm));
            if ($line === null || isset($vehicles[$line])) {
                return null;
            }
            $vehicles[$line] = ['line' => $line, 'goes' => self::goes($site, $arm)];
        }

        return $vehicles === [] ? null : ['pack' => $pack->code(), 'place' => $place, 'goes' => $way->out->value, 'vehicles' => array_values($vehicles)];
    }

    private static function place(Site $site): ?string
    {
        if ($site->kind !== SiteKind::Junction) {
            return null;
        }
        $controls = array_values(array_unique(array_map(static fn (Arm $arm): string => $arm->control->value, array_filter(
            $site->arms, static fn (Arm $arm): bool => $arm->leadsIn() && ! $arm->isAlley,
        ))));

        return match (true) {
            $controls === [Control::AllWayStop->value] => 'all-way-stop',
            // Of three without a line one ends in the other two.
            $controls === [Control::None->value] && $site->mainRoad() === null => 'unmarked',
            default => null,
        };
    }

    /** From which side somebody stands, as we see it; null where that is none of the three. */
    public static function line(float $turn): ?string
    {
        return match (true) {
            abs($turn) <= self::AHEAD_DEG => 'opposite',
            $turn > self::AHEAD_DEG && $turn <= 180.0 - self::AHEAD_DEG => 'right',
            $turn < -self::AHEAD_DEG && $turn >= -180.0 + self::AHEAD_DEG => 'left',
            default => null,
        };
    }

    /** Straight on where that leads anywhere; else the way that there is. */
    private static function goes(Site $site, Arm $from): string
    {
        $ways = [];
        foreach ($site->before($from) as $to) {
            if ($to->leadsOut()) {
                $ways[] = match (self::line($site->turn($from, $to))) {
                    'left' => WayOut::Left, 'right' => WayOut::Right, default => WayOut::Ahead,
                };
            }
        }

        return (in_array(WayOut::Ahead, $ways, true) ? WayOut::Ahead : $ways[0] ?? WayOut::Ahead)->value;
    }
}
