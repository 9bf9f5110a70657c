<?php

declare(strict_types=1);

namespace NobleTurn\Core\Judgement;

/** What a head of traffic lights shows. */
enum Shown: string
{
    case Red = 'red';
    case RedAmber = 'red-amber';
    case Amber = 'amber';
    case Green = 'green';
    /** An arrow that is not lit. */
    case Off = 'off';
}
