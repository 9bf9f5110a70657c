<?php

declare(strict_types=1);

namespace NobleTurn\Core\FastRoad;

/** What comes on the way off a fast road; where two stand at one place, in this order. */
enum LeaveEventKind: string
{
    case Sign = 'sign';
    case NearLane = 'near-lane';
    case Marker = 'marker';
    case Mirrors = 'mirrors';
    case Signal = 'signal';
    case Slip = 'slip';
    case Cancel = 'cancel';
    case Brake = 'brake';
    case LowerLimit = 'lower-limit';
    case Bend = 'bend';
    case NextMirrors = 'next-mirrors';
    case NextSignal = 'next-signal';
    case Gear = 'gear';
    case End = 'end';
}
