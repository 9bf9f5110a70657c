<?php

declare(strict_types=1);

namespace NobleTurn\Core\Motion;

/** What the right foot is doing on a stretch of the approach. */
enum Phase: string
{
    case Steady = 'steady';
    /** Off the gas, or nearly; no brake. */
    case EasingOff = 'easing-off';
    /** Speed held before the next phase, once the speed for the line is reached early. */
    case Holding = 'holding';
    case Gentle = 'gentle';
    case Firm = 'firm';
    /** Brake released little by little so that the car settles without a jerk. */
    case Easing = 'easing';
    case Crawl = 'crawl';
}
