<?php

declare(strict_types=1);

namespace NobleTurn\Core\Routine;

/** The kind of place seen from above; the side comes from the routine. */
enum Sketch: string
{
    case Road = 'road';
    case SideRoad = 'side-road';
    case TJunction = 't-junction';
    case Crossroads = 'crossroads';
    case Lights = 'lights';
    case Roundabout = 'roundabout';
    case Mini = 'mini';
    case Lanes = 'lanes';
    case LaneEnds = 'lane-ends';
    case SlipOn = 'slip-on';
    case SlipOff = 'slip-off';
    case Parked = 'parked';
    case Narrow = 'narrow';
    case Bus = 'bus';
    case Crossing = 'crossing';
    case Hump = 'hump';
    case Kerb = 'kerb';
    case FarKerb = 'far-kerb';
    case Queue = 'queue';
    case Bay = 'bay';
    case Ramp = 'ramp';
    case Slow = 'slow';
    case CentreLane = 'centre-lane';
    case Rail = 'rail';
    case Alley = 'alley';
    case Bridge = 'bridge';
    /** Something done in or at the car itself. */
    case Car = 'car';
}
