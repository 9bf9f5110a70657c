<?php

declare(strict_types=1);

namespace NobleTurn\Core\Rules;

/** Where in the lane the car stands when it emerges towards the kerb. */
enum NearPlace: string
{
    case ByWidth = 'by-width';
    case Middle = 'middle';
    case ToKerb = 'to-kerb';
}
