<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

/** The likeliest reason why somebody has not gained for some lessons. The order is the order in which they are looked for. */
enum StandstillReason: string
{
    case Seldom = 'seldom';
    case TooMuchNew = 'too-much-new';
    case NotPractised = 'not-practised';
    case SameFault = 'same-fault';
    case OneStep = 'one-step';
    case Unknown = 'unknown';
}
