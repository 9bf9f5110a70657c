<?php

declare(strict_types=1);

namespace NobleTurn\Core\Next;

/** What is still missing before a test. */
enum MissingKind: string
{
    /** It does not go alone often enough. */
    case Routine = 'routine';
    /** It has hardly been driven in what a test can bring. */
    case Condition = 'condition';
    /** It would go, by what is known; lately too little of it was seen. */
    case Evidence = 'evidence';
    case Hours = 'hours';
    case MockTest = 'mock-test';
}
