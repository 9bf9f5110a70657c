<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Place\ParkedAlong;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Site\Arm;
use NobleTurn\Core\Site\Measured;
use NobleTurn\Core\Site\Way;
use NobleTurn\Core\Trade\Side;

/** What the approach tool is told of a way: the road that leads in as it was drawn, and what follows from the other arms. */
final class WayFacts
{
    /**
     * @param  Values  $in  of the arm one comes in by
     * @param  array<string, Measured>  $measured  of the same arm
     * @param  array<string, Values>  $arms  by their ids
     * @return array<string, mixed> by the tool's names; empty where no tool plans the routine
     */
    public static function of(Way $way, Values $in, array $measured, array $arms, RulePack $pack): array
    {
        if (PlannedBy::tool($way->routine) === null) {
            return [];
        }
        $asked = RoutineFacts::asks($way->routine, $pack);
        $taken = array_diff(ArmField::ofTheRoad(), array_diff(RoutineFacts::ASKED, $asked));
        $lengths = [];
        foreach ($measured as $of => $length) {
            $lengths["{$of}_m"] = round($length->metres, 2);
        }
        $facts = array_intersect_key($in->said() + $lengths, array_flip($taken));
        $worked = [
            'control' => $way->from->control->value,
            'exit' => $way->out->value,
            'junction' => $way->shape?->value,
            'road_met' => self::roadMet($way, $arms),
        ];
        $facts += array_filter(array_intersect_key($worked, array_flip($asked)), static fn (mixed $fact): bool => $fact !== null && $fact !== []);

        return $facts + ($way->from->leadsOut() ? [] : ['one_way' => true]);
    }

    /**
     * The road one comes out into, as fast and as wide as the faster and the wider of its two arms; one-way where both say so.
     *
     * @param  array<string, Values>  $arms
     * @return array<string, mixed>
     */
    private static function roadMet(Way $way, array $arms): array
    {
        $met = array_values($way->meets);
        $fastest = null;
        foreach ($met as $arm) {
            if ($arm->limit !== null && $arm->limit->inMetresPerSecond() > ($fastest?->limit?->inMetresPerSecond() ?? 0.0)) {
                $fastest = $arm;
            }
        }
        $limit = $fastest === null ? [] : array_intersect_key($arms[$fastest->id]->said(), array_flip(['limit_mph', 'limit_kmh', 'limit_mps']));
        $lanes = max([1, ...array_map(static fn (Arm $arm): int => $arm->lanesEachWay(), $met)]);
        $parked = self::parked($way->meets);

        return $limit + ($lanes === 1 ? [] : ['lanes' => $lanes])
            + (($to = self::runsTo($way->meets)) === null ? [] : ['runs_to' => $to->value])
            + ($parked === ParkedAlong::None ? [] : ['parked' => $parked->value]);
    }

    /** @param  array{left?: Arm, right?: Arm}  $meets */
    private static function runsTo(array $meets): ?Side
    {
        [$left, $right] = [$meets['left'] ?? null, $meets['right'] ?? null];

        return match (true) {
            $left === null || $right === null => null,
            ! $left->leadsIn() && ! $right->leadsOut() => Side::Left,
            ! $right->leadsIn() && ! $left->leadsOut() => Side::Right,
            default => null,
        };
    }

    /**
     * Our side of the road met: left of who comes along it from the right, right of who comes from the left.
     *
     * @param  array{left?: Arm, right?: Arm}  $meets
     */
    private static function parked(array $meets): ParkedAlong
    {
        $on = static fn (?Arm $arm, Side $side): bool => $arm !== null && in_array($side, $arm->parkedOn, true);
        [$left, $right] = [$meets['left'] ?? null, $meets['right'] ?? null];
        $near = $on($right, Side::Left) || $on($left, Side::Right);
        $far = $on($right, Side::Right) || $on($left, Side::Left);

        return match (true) {
            $near && $far => ParkedAlong::Both,
            $near => ParkedAlong::Near,
            $far => ParkedAlong::Far,
            default => ParkedAlong::None,
        };
    }
}
