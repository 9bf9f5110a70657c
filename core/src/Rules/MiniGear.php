<?php

declare(strict_types=1);

namespace NobleTurn\Core\Rules;

/** In which gear one goes round a mini-roundabout. */
enum MiniGear: string
{
    /** Second where it turns freely at the speed the circle allows, else first. */
    case BySpeed = 'by-speed';
    /** First only where the car has all but stopped. */
    case Second = 'second';
    /** First wherever the circle is tight. */
    case FirstWhereTight = 'first-where-tight';
}
