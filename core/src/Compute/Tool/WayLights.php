<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Place\Control;
use NobleTurn\Core\Rules\Assumption;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\Source;
use NobleTurn\Core\Site\Arm;
use NobleTurn\Core\Site\Site;
use NobleTurn\Core\Site\SiteKind;
use NobleTurn\Core\Site\Way;

/**
 * What the tool `lights` is asked of a way that turns across those who come towards it: how much room there is to wait inside and how far everybody has,
 * from the lanes of the roads that meet. As wide as lanes are on the whole: nobody measures the middle of a crossroads.
 */
final class WayLights
{
    /** A lane is so wide, m (assumed). */
    private const LANE_M = 3.25;

    /** A line stands so far back from the road it meets, people cross in between, m (assumed). */
    private const BACK_M = 3.5;

    /** A car in the middle of its lane leaves so much of it on either side, m (assumed: 1.75 m wide). */
    private const BESIDE_M = 0.75;

    /**
     * @param  array<string, Values>  $said  of each arm, by its id
     * @return ?array<string, mixed> null where there are no lights, or the way crosses nobody who comes towards it
     */
    public static function asked(Way $way, Site $site, array $said, RulePack $pack): ?array
    {
        if ($site->kind !== SiteKind::Junction || $way->from->control !== Control::Signals || $way->out->value !== $pack->keeps()->other()->value) {
            return null;
        }
        $towards = array_values(array_filter(self::at('opposite', $way->from, $site), static fn (Arm $arm): bool => $arm->leadsIn()));
        if ($towards === []) {
            return null;
        }
        // Of the road we cross one half lies before us: that of those who come from the side we turn to.
        $into = self::at($pack->keeps()->other()->value, $way->from, $site);
        $other = self::at($pack->keeps()->value, $way->from, $site);
        $half = static fn (array $in, array $out): int => max([1, ...array_column($in, 'lanesIn'), ...array_column($out, 'lanesOut')]);
        [$near, $far] = [$half($into, $other), $half($other, $into)];

        return [
            'pack' => $pack->code(), 'goes' => $way->out->value, ...self::speed($towards, $said),
            'room_m' => self::BACK_M + self::LANE_M * $near,
            'across_m' => 2.0 * self::BACK_M + self::LANE_M * ($near + $far),
            // We wait beside the middle of our road: those from one side come to us across our own lanes, those from the other across theirs who come
            // towards us.
            'side_m' => self::BACK_M + self::LANE_M * min($way->from->lanesIn, max(array_column($towards, 'lanesIn'))) + self::BESIDE_M,
        ];
    }

    /** @return list<Assumption> */
    public static function assumed(): array
    {
        return [
            new Assumption('a lane under lights is wide', self::LANE_M, 'm', Source::assumed()),
            new Assumption('a line under lights stands back', self::BACK_M, 'm', Source::assumed()),
            new Assumption('beside a car in its lane', self::BESIDE_M, 'm', Source::assumed()),
        ];
    }

    /** @return list<Arm> those that lie so as who comes in by an arm sees it */
    private static function at(string $line, Arm $from, Site $site): array
    {
        return array_values(array_filter($site->before($from), static fn (Arm $arm): bool => WayTurn::line($site->turn($from, $arm)) === $line));
    }

    /**
     * @param  non-empty-list<Arm>  $towards
     * @param  array<string, Values>  $said  of each arm, by its id
     * @return array<string, mixed> the limit of the fastest, in the unit in which it was said; empty where nobody said one
     */
    private static function speed(array $towards, array $said): array
    {
        $fastest = $towards[0];
        foreach ($towards as $arm) {
            if (($arm->limit?->inMetresPerSecond() ?? 0.0) > ($fastest->limit?->inMetresPerSecond() ?? 0.0)) {
                $fastest = $arm;
            }
        }

        return WayFacts::limit($said[$fastest->id], 'other_speed');
    }
}
