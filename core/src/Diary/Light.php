<?php

declare(strict_types=1);

namespace NobleTurn\Core\Diary;

/** By the sun, as marks note it: dusk is the twilight of morning and evening. */
enum Light: string
{
    case Day = 'day';
    case Dusk = 'dusk';
    case Night = 'night';
}
