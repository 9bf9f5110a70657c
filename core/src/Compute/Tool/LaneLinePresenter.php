<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Motion\LaneLine;
use NobleTurn\Core\Motion\MiddleLine;
use NobleTurn\Core\Routine\Wording;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Vehicle\Unit;

/** The best line through a lane as aim points: how far from its kerb and from its line, stretch by stretch; and what is said where it is too narrow. */
final class LaneLinePresenter
{
    /** @return array<string, mixed> */
    public static function fields(?LaneLine $line, ?MiddleLine $lane, Values $input, RulePack $pack, Unit $first): array
    {
        if ($line === null || $lane === null) {
            return ['aim' => [], 'cover_two' => null, 'lane' => null];
        }
        $half = ($input->distance('lane_width')?->inMetres() ?? 0.0) / 2.0;
        $free = $half - $first->widthMetres / 2.0;
        $edge = static fn (float $left): array => array_map(
            static fn (array $point): array => [round($point[0], 3), round($point[1], 3)], $lane->edge($left),
        );
        $aim = [];
        foreach (WaysField::names($input->object('path') ?? new Values([])) as $i => $where) {
            [$left, $right] = [$free - $line->asides[$i], $free + $line->asides[$i]];
            [$kerb, $middle] = $pack->keeps()->value === 'left' ? [$left, $right] : [$right, $left];
            $said = sprintf(
                '%s: %s from the {kerb}, %s from the line.', ucfirst($where), $pack->lengthUnit()->place($kerb), $pack->lengthUnit()->place($middle),
            );
            $aim[] = [
                'where' => $where, 'left_m' => round($left, 2), 'right_m' => round($right, 2),
                'message' => Wording::in($pack, $said),
            ];
        }
        $missing = -2.0 * $line->spareMetres();

        return ['aim' => $aim, 'lane' => ['left' => $edge($half), 'right' => $edge(-$half)], 'cover_two' => $missing <= 0.0 ? null : [
            'missing_m' => round($missing, 2),
            'message' => sprintf(
                'The lane is %s too narrow even so: cover two, having looked and signalled, so that nobody comes alongside.',
                $pack->lengthUnit()->place($missing),
            ),
        ]];
    }
}
