<?php

declare(strict_types=1);

namespace NobleTurn\Core\Judgement;

/** Whose turn it is. */
enum Turn: string
{
    case Ours = 'go';
    case Theirs = 'wait';
    /** By rule nobody's: eyes meet, and one goes. */
    case Nobodys = 'agree';
}
