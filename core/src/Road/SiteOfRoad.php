<?php

declare(strict_types=1);

namespace NobleTurn\Core\Road;

use NobleTurn\Core\Compute\Tool\ArmField;
use NobleTurn\Core\Compute\Tool\PlannedBy;
use NobleTurn\Core\Compute\Tool\RoutineFacts;
use NobleTurn\Core\Compute\Toolbox;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Site\SiteKind;
use NobleTurn\Core\Trade\RoutineCode;

/**
 * A site for a road that was described by itself: the plainest one with a way that is planned exactly as the road was. What the description did
 * not say of the other roads is as usual.
 */
final class SiteOfRoad
{
    /** What an answer says of where its figures come from: other words for the same plan. */
    private const OF_THE_ASKING = ['assumptions' => 0, 'warnings' => 0];

    /**
     * @param  array<string, mixed>  $facts  of the road, as its place keeps them
     * @param  array{string, string}  $names  of the road one comes by, and of the one met or left for
     * @return ?array{kind: string, arms: list<array<string, mixed>>, from: string, to: string} null where no site has quite that way
     */
    public static function of(RoutineCode $routine, array $facts, array $names, RulePack $pack): ?array
    {
        // What the routine does not ask made no difference to its plan, and is no fact of the site.
        $asked = array_diff_key($facts, array_flip(self::notAsked($routine, $pack)));
        foreach (UsualSites::of($pack) as [$kind, $arms]) {
            if (! in_array($kind, self::kinds($routine), true)) {
                continue;
            }
            foreach (self::ways($kind, $arms, $pack) as $way) {
                if ($way['routine'] !== $routine->value || ($asked['exit'] ?? $way['out']) !== $way['out']) {
                    continue;
                }
                $said = self::said($arms, $way, $asked, $names);
                if (self::plansAlike($routine, $facts, self::inputs($kind, $said, $way, $pack), $pack)) {
                    return ['kind' => $kind->value, 'arms' => $said, 'from' => $way['from'], 'to' => $way['to']];
                }
            }
        }

        return null;
    }

    /** @return list<SiteKind> at which the routine can be */
    private static function kinds(RoutineCode $routine): array
    {
        return match (RoadKind::of($routine)) {
            null => [],
            RoadKind::Roundabout => [SiteKind::Roundabout, SiteKind::MiniRoundabout],
            RoadKind::Junction => [SiteKind::Junction],
            RoadKind::Slip => [SiteKind::Slip],
            RoadKind::Stretch => [SiteKind::Stretch],
            RoadKind::Kerb => [SiteKind::Kerb],
        };
    }

    /**
     * @param  array<string, array<string, mixed>>  $arms
     * @return list<array<string, mixed>> none where the pack has no such site
     */
    private static function ways(SiteKind $kind, array $arms, RulePack $pack): array
    {
        try {
            $ways = Toolbox::run('site', ['pack' => $pack->code(), 'kind' => $kind->value, 'arms' => self::named($arms, [])])['ways'];
        } catch (BadInput) {
            return [];
        }
        // From below upwards, as a way is usually drawn.
        usort($ways, static fn (array $one, array $other): int => ($other['from'] === 's') <=> ($one['from'] === 's'));

        return $ways;
    }

    /**
     * @param  array<string, array<string, mixed>>  $arms
     * @param  array<string, mixed>  $way
     * @param  array<string, mixed>  $facts
     * @param  array{string, string}  $names
     * @return list<array<string, mixed>> the arms with all that is known of the way
     */
    private static function said(array $arms, array $way, array $facts, array $names): array
    {
        $driven = $arms[$way['to']]['slip'] ?? false ? $way['to'] : $way['from'];
        $arms[$driven] += array_intersect_key($facts, array_flip(ArmField::ofAnyRoad()));
        if (isset($facts['control'])) {
            $arms[$way['from']]['control'] = $facts['control'];
        }
        if ($facts['one_way'] ?? false) {
            $arms[$way['from']]['lanes_out'] = 0;
        }
        foreach (['mph', 'kmh'] as $unit) {
            foreach (isset($facts["main_speed_{$unit}"]) ? array_keys($arms) : [] as $id) {
                $arms[$id] += $arms[$id]['slip'] ?? false ? [] : ["limit_{$unit}" => $facts["main_speed_{$unit}"]];
            }
        }
        if (isset($facts['lanes'])) {
            $arms[$driven]['lanes_out'] = $facts['lanes'];
        }
        $met = array_filter($way['meets']);
        $arms = self::met($arms, $met, is_array($facts['road_met'] ?? null) ? $facts['road_met'] : []);

        return self::named($arms, self::names($arms, $way, $met, $names));
    }

    /**
     * A road that goes on has one name at both its ends.
     *
     * @param  array<string, array<string, mixed>>  $arms
     * @param  array<string, mixed>  $way
     * @param  array<string, string>  $met
     * @param  array{string, string}  $names
     * @return array<string, string> by arm
     */
    private static function names(array $arms, array $way, array $met, array $names): array
    {
        [$from, $to] = [$way['from'], $way['to']];
        $ours = [$from => $names[0]];
        $isMain = static fn (string $id): bool => ! isset($arms[$id]['slip']) && ! isset($arms[$id]['alley']) && ($arms[$id]['control'] ?? 'none') === 'none';
        $others = array_filter(array_keys($arms), static fn (string $id): bool => $id !== $from && $id !== $to && $isMain($id));
        $named = $ours + array_fill_keys($met === [] ? [$to] : array_values($met), $names[1]);

        return match (true) {
            // Off a main road, or off a fast one: it goes on as it was.
            $met === [] && $isMain($from) && ! $isMain($to) => $named + array_fill_keys($others, $names[0]),
            // Along one road.
            $met === [] && $isMain($from) && $isMain($to) => array_fill_keys([$from, $to], $names[0]),
            // On to a fast one.
            $met === [] && isset($arms[$from]['slip']) => $named + array_fill_keys($others, $names[1]),
            default => $named,
        };
    }

    /**
     * The road met as it was described, laid on its two arms.
     *
     * @param  array<string, array<string, mixed>>  $arms
     * @param  array<string, string>  $met  arms by the side on which they are seen from our line
     * @param  array<string, mixed>  $road
     * @return array<string, array<string, mixed>>
     */
    private static function met(array $arms, array $met, array $road): array
    {
        foreach ($met as $side => $id) {
            $arms[$id] += array_intersect_key($road, ['limit_mph' => 0, 'limit_kmh' => 0]);
            $lanes = $road['lanes'] ?? 1;
            $isOneWay = isset($road['runs_to']);
            $runs = ['lanes_in' => $isOneWay && $road['runs_to'] === $side ? 0 : $lanes, 'lanes_out' => $isOneWay && $road['runs_to'] !== $side ? 0 : $lanes];
            $arms[$id] += array_filter($runs, static fn (int|float $number): bool => $number != 1);
            // Our side of it lies to the left of who comes from the right.
            $near = $side === 'right' ? 'left' : 'right';
            $far = $side === 'right' ? 'right' : 'left';
            $parked = ['near' => $near, 'far' => $far, 'both' => 'both'][$road['parked'] ?? ''] ?? null;
            $arms[$id] += $parked === null ? [] : ['parked_along' => $parked];
        }

        return $arms;
    }

    /**
     * @param  array<string, array<string, mixed>>  $arms
     * @param  array<string, string>  $names  by arm, as far as they are known
     * @return list<array<string, mixed>>
     */
    private static function named(array $arms, array $names): array
    {
        $usual = static fn (string $id): string => $id === 'w' || $id === 'e' ? 'Main road' : 'Side road';

        return array_map(
            static fn (string $id, array $arm): array => ['id' => $id, 'name' => $names[$id] ?? $usual($id)] + $arm, array_keys($arms), array_values($arms),
        );
    }

    /**
     * @param  list<array<string, mixed>>  $arms
     * @param  array<string, mixed>  $way
     * @return ?array<string, mixed> what is asked of that way through the site; null where it has none by then
     */
    private static function inputs(SiteKind $kind, array $arms, array $way, RulePack $pack): ?array
    {
        try {
            $ways = Toolbox::run('site', ['pack' => $pack->code(), 'kind' => $kind->value, 'arms' => $arms])['ways'];
        } catch (BadInput) {
            return null;
        }
        foreach ($ways as $found) {
            if ([$found['from'], $found['to'], $found['routine']] === [$way['from'], $way['to'], $way['routine']]) {
                return $found['inputs'];
            }
        }

        return null;
    }

    /**
     * @param  array<string, mixed>  $facts
     * @param  ?array<string, mixed>  $inputs
     */
    private static function plansAlike(RoutineCode $routine, array $facts, ?array $inputs, RulePack $pack): bool
    {
        if ($inputs === null) {
            return false;
        }
        $tool = PlannedBy::tool($routine) ?? '';
        try {
            return self::plan($tool, $routine, PlannedBy::inputs($routine, $facts, $pack), $pack) == self::plan($tool, $routine, $inputs, $pack);
        } catch (BadInput) {
            return false;
        }
    }

    /**
     * @param  array<string, mixed>  $inputs
     * @return array<string, mixed> without what is only said again of what was asked
     *
     * @throws BadInput
     */
    private static function plan(string $tool, RoutineCode $routine, array $inputs, RulePack $pack): array
    {
        $plan = array_diff_key(Toolbox::run($tool, $inputs), self::OF_THE_ASKING);
        if (is_array($plan['place'] ?? null)) {
            $plan['place'] = array_diff_key($plan['place'], array_flip(self::notAsked($routine, $pack)));
        }

        return $plan;
    }

    /** @return list<string> facts that make no difference to the routine's plan */
    private static function notAsked(RoutineCode $routine, RulePack $pack): array
    {
        return array_values(array_diff(RoutineFacts::ASKED, RoutineFacts::asks($routine, $pack)));
    }
}
