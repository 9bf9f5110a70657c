<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Toolbox;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Place\ParkedAlong;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Site\Arm;
use NobleTurn\Core\Site\Measured;
use NobleTurn\Core\Site\Way;
use NobleTurn\Core\Trade\Side;

/** What a tool is told of a way: the road that leads in as it was drawn, and what follows from the other arms. */
final class WayFacts
{
    /**
     * @param  array<string, array<string, Measured>>  $measured  by arm
     * @param  array<string, Values>  $arms  by their ids
     * @return array<string, mixed> by the tool's names; empty where no tool plans the routine
     */
    public static function of(Way $way, array $measured, array $arms, RulePack $pack): array
    {
        $in = $arms[$way->from->id];

        return match (PlannedBy::tool($way->routine)) {
            null => [],
            'approach' => self::approach($way, $in, $measured[$way->from->id], $arms, $pack),
            'join', 'leave' => self::saidOfSlip($way, $measured, $arms) + self::assumed($way, $measured, $arms, $pack),
            default => self::taken($way, $in) + WaySight::of($way, $in) + self::usualLimit($in, $pack),
        };
    }

    /**
     * @param  array<string, Measured>  $measured
     * @param  array<string, Values>  $arms
     * @return array<string, mixed>
     */
    private static function approach(Way $way, Values $in, array $measured, array $arms, RulePack $pack): array
    {
        $asked = RoutineFacts::asks($way->routine, $pack);
        $taken = array_diff(ArmField::ofTheRoad(), array_diff(RoutineFacts::ASKED, $asked));
        $facts = array_intersect_key($in->said() + self::lengths($measured), array_flip($taken));
        $worked = [
            'control' => $way->from->control->value,
            'exit' => $way->out->value,
            'junction' => $way->shape?->value,
            'road_met' => self::roadMet($way, $arms),
        ];
        $facts += array_filter(array_intersect_key($worked, array_flip($asked)), static fn (mixed $fact): bool => $fact !== null && $fact !== []);
        $then = $way->then === null ? [] : ['then' => ['routine' => $way->then['routine']->value, 'distance_m' => round($way->then['metres'], 1)]];

        return $facts + $then + ($way->from->leadsOut() ? [] : ['one_way' => true]);
    }

    /**
     * What is said of the slip road, and the speed of the main road as its limit says.
     *
     * @param  array<string, array<string, Measured>>  $measured
     * @param  array<string, Values>  $arms
     * @return array<string, mixed>
     */
    private static function saidOfSlip(Way $way, array $measured, array $arms): array
    {
        $road = $way->road()->id;
        $main = $arms[($way->from->isSlip ? $way->to : $way->from)->id];

        return self::taken($way, $arms[$road]) + array_intersect_key(self::lengths($measured[$road]), ['slip_length_m' => 0])
            + self::limit($main, 'main_speed') + ($way->to->isSlip && $way->to->lanesOut > 1 ? ['lanes' => $way->to->lanesOut] : []);
    }

    /**
     * Figures of an ordinary slip road for those that nobody said and its tool has to have.
     *
     * @param  array<string, mixed>  $said
     * @return array<string, int|string>
     */
    private static function missing(Way $way, array $said, RulePack $pack): array
    {
        $quantity = static fn (string $name): string => (string) preg_replace('/_[a-z]+$/', '', $name);
        $known = array_map($quantity, array_keys($said));
        $shape = Toolbox::input(PlannedBy::tool($way->routine) ?? '');

        return array_filter(
            PlannedBy::ordinary($way->routine, $pack),
            static fn (string $name): bool => $shape->needs($name) && ! in_array($quantity($name), $known, true), ARRAY_FILTER_USE_KEY,
        );
    }

    /** @return array<string, mixed> what is said of an arm that the routine's tool takes, by its names */
    private static function taken(Way $way, Values $arm): array
    {
        return array_intersect_key($arm->said(), array_flip(PlannedBy::fields($way->routine)));
    }

    /** @return array<string, mixed> the limit of an arm under another name, in the unit in which it was said; empty where nobody said it */
    public static function limit(Values $arm, string $name): array
    {
        foreach (['mph', 'kmh'] as $unit) {
            if (isset($arm->said()["limit_{$unit}"])) {
                return ["{$name}_{$unit}" => $arm->said()["limit_{$unit}"]];
            }
        }

        return [];
    }

    /** @return array<string, float> the limit of the town where nobody said another */
    private static function usualLimit(Values $arm, RulePack $pack): array
    {
        $unit = $pack->speedUnit();

        return self::limit($arm, 'limit') === [] ? ["limit_{$unit->value}" => round($unit->number($pack->townLimit()))] : [];
    }

    /**
     * What an ordinary slip road's figures had to stand in for.
     *
     * @param  array<string, array<string, Measured>>  $measured
     * @param  array<string, Values>  $arms
     * @return array<string, int|string> by the tool's names
     */
    public static function assumed(Way $way, array $measured, array $arms, RulePack $pack): array
    {
        return $way->from->isSlip || $way->to->isSlip ? self::missing($way, self::saidOfSlip($way, $measured, $arms), $pack) : [];
    }

    /**
     * @param  array<string, Measured>  $measured
     * @return array<string, float> by the tools' names
     */
    private static function lengths(array $measured): array
    {
        $lengths = [];
        foreach ($measured as $of => $length) {
            $lengths["{$of}_m"] = round($length->metres, 2);
        }

        return $lengths;
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
