<?php

declare(strict_types=1);

namespace NobleTurn\Core\Lanes;

/** What is met, or due, on the way to a junction and through it. */
enum MetKind: string
{
    case DirectionSign = 'direction-sign';
    case LaneSign = 'lane-sign';
    case Markings = 'markings';
    case ChangeLane = 'change-lane';
    case Mirrors = 'mirrors';
    case Signal = 'signal';
    case Line = 'line';
    case Move = 'move';
    case Spiral = 'spiral';
    case Leave = 'leave';
}
