<?php

declare(strict_types=1);

namespace NobleTurn\Core\Vehicle;

/** What the right foot does while the clutch is down, so that the revs meet the next gear. */
enum Foot: string
{
    case Nothing = 'nothing';
    case Hold = 'hold';
    case Add = 'add';
    case Blip = 'blip';
}
