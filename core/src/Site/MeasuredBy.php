<?php

declare(strict_types=1);

namespace NobleTurn\Core\Site;

/**
 * How a length was measured, and how far that is to be trusted (all assumed, adjustable by saying the error). Each has an error of its own
 * every time, and one that it makes every time alike: whoever's pace is shorter than they think is wrong twice in the same way.
 */
enum MeasuredBy: string
{
    /** With a tape or wheel, or from a plan. */
    case Tape = 'tape';
    case Paces = 'paces';
    /** Two presses at a steady speed. */
    case Driven = 'driven';
    /** By eye, in lengths of a car. */
    case CarLengths = 'car-lengths';
    /** By eye, in metres. */
    case Eye = 'eye';

    /** Of one measure, m. */
    public function ownErrorMetres(float $metres): float
    {
        return match ($this) {
            self::Tape => hypot(0.2, 0.005 * $metres),
            self::Paces => hypot(0.5, 0.03 * $metres),
            self::Driven => 0.04 * $metres,
            self::CarLengths => hypot(1.5, 0.12 * $metres),
            self::Eye => hypot(1.5, 0.2 * $metres),
        };
    }

    /** Of all measures made like this, as a share of the length. */
    public function sharedError(): float
    {
        return match ($this) {
            self::Tape => 0.002,
            self::Paces => 0.05,
            // A speedometer that reads high.
            self::Driven => 0.03,
            self::CarLengths, self::Eye => 0.1,
        };
    }

    public function words(): string
    {
        return match ($this) {
            self::Tape => 'with a tape',
            self::Paces => 'paced',
            self::Driven => 'driven',
            self::CarLengths => 'in car lengths, by eye',
            self::Eye => 'by eye',
        };
    }
}
