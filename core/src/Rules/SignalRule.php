<?php

declare(strict_types=1);

namespace NobleTurn\Core\Rules;

/** Where a school of instructors puts the signal for a turn. */
enum SignalRule: string
{
    /** The limit's number in metres before the line. */
    case LimitNumber = 'limit-number';
    /** Eight to ten car lengths; nine are used. */
    case CarLengths = 'car-lengths';
    /** As late as the brake lights and the sideways move allow. */
    case BrakingLead = 'braking-lead';
}
