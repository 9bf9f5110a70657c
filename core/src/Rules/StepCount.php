<?php

declare(strict_types=1);

namespace NobleTurn\Core\Rules;

/** Into how many steps the routine is cut. */
enum StepCount: string
{
    case Five = 'five';
    /** The gear a step of its own between speed and look. */
    case Six = 'six';
    /** Mirrors, signal, manoeuvre: shown as a summary of the five. */
    case Three = 'three';
}
