<?php

declare(strict_types=1);

namespace NobleTurn\Core\Next;

/** Why something is the aim of a lesson. */
enum AimReason: string
{
    case Gain = 'gain';
    case Fading = 'fading';
    case Agreed = 'agreed';
    case NeverDone = 'never-done';
    case Pinned = 'pinned';
    case TestSoon = 'test-soon';
}
