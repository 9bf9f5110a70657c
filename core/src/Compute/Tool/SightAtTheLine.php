<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Judgement\Manoeuvre;
use NobleTurn\Core\Judgement\SideGap;
use NobleTurn\Core\Place\TooLittleSeen;
use NobleTurn\Core\Quantity\Distance;
use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Rules\AsksOfOthers;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Side;

/** How far one sees along the road met, held against what the gap tool asks for there. */
final class SightAtTheLine
{
    /** @return list<TooLittleSeen> */
    public static function read(Values $input, RulePack $pack, RoutineCode $routine, Speed $limit): array
    {
        $manoeuvre = match ($routine) {
            RoutineCode::EmergeLeft => Manoeuvre::EmergeLeft,
            RoutineCode::EmergeRight => Manoeuvre::EmergeRight,
            RoutineCode::Cross => Manoeuvre::Cross,
            default => null,
        };
        $seen = ['left' => $input->distance('sight_left')?->inMetres(), 'right' => $input->distance('sight_right')?->inMetres()];
        if ($manoeuvre === null || array_filter($seen, is_float(...)) === []) {
            return [];
        }
        $gap = GapReader::read($input->and(new Values([
            'manoeuvre' => $manoeuvre->value, 'other_distance' => Distance::ofMetres(0.0),
            'other_speed' => RoadMetField::read($input)->limit ?? $limit,
        ])), $pack);

        return array_values(array_filter(array_map(static function (SideGap $side) use ($seen, $gap): ?TooLittleSeen {
            $metres = $seen[$side->from] ?? null;
            $needed = $side->neededSeconds(AsksOfOthers::OffGas) * $gap->otherMps;

            return $metres === null || $metres >= $needed ? null : new TooLittleSeen(Side::from($side->from), $metres, $needed);
        }, $gap->sides)));
    }
}
