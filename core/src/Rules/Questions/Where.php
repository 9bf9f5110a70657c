<?php

declare(strict_types=1);

namespace NobleTurn\Core\Rules\Questions;

use NobleTurn\Core\Trade\RoutineCode as R;

/** Groups of routines that questions of practice are about. */
final class Where
{
    public const TURNS = [R::TurnLeft, R::TurnRight, R::EmergeLeft, R::EmergeRight, R::LightsLeft, R::LightsRight, R::RightOnRed, R::CentreLaneLeft];

    public const LINES = [R::EmergeLeft, R::EmergeRight, R::Cross];

    public const GAPS = [
        ...self::LINES, R::TurnLeft, R::TurnRight, R::LightsLeft, R::LightsRight, R::CentreLaneLeft, R::RightOnRed,
    ];

    public const LANES = [R::LaneChangeLeft, R::LaneChangeRight, R::Merge, R::Join];

    public const LIGHTS = [R::LightsAhead, R::LightsLeft, R::LightsRight];
}
