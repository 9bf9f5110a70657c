<?php

declare(strict_types=1);

namespace NobleTurn\Core\Compute\Tool;

use NobleTurn\Core\Plan\Approach;
use NobleTurn\Core\Plan\LateralPath;
use NobleTurn\Core\Plan\NotPlanned;
use NobleTurn\Core\Routine\Card;

/** No plan, and why: the road is there, the steps are not. */
final class NotPlannedPresenter
{
    /** @return array<string, mixed> */
    public static function body(Approach $approach, NotPlanned $not): array
    {
        $card = Card::of($approach->routine, $approach->pack, $approach->practice, $approach->vehicle->hasClutch(), $approach->level, $approach->wayOut);
        $usual = LateralPath::usualMetres($approach);

        return [
            'length_unit' => $approach->pack->lengthUnit()->value,
            'axis' => 'none',
            'routine' => $approach->routine->value,
            'title' => $card->title,
            'turn_side' => $card->side?->value,
            'direction' => $card->direction,
            'fits' => false,
            'speed_to_fit_mps' => null,
            'not_planned' => ['reason' => $not->reason, 'message' => $not->message],
            'steps' => [],
            'groups' => [],
            'stages' => [],
            'gives_way' => WhoWaitsPresenter::rows($approach),
            'place' => ApproachPresenter::road($approach, $usual, $usual),
            'profile' => ['distance_m' => [], 'time_s' => [], 'speed_mps' => [], 'decel_mps2' => [], 'gear' => [], 'clutch' => [], 'lateral_m' => []],
            'conflicts' => [],
            'practice' => ApproachPresenter::choices($card),
            'then' => null,
        ];
    }
}
