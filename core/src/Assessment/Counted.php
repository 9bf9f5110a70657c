<?php

declare(strict_types=1);

namespace NobleTurn\Core\Assessment;

/** What a limit counts: faults of one severity in the whole drive, under one heading, or of one kind under one heading. */
enum Counted: string
{
    case Drive = 'drive';
    case Heading = 'heading';
    case Aspect = 'aspect';
}
