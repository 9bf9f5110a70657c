<?php

declare(strict_types=1);

namespace NobleTurn\Core\Trade;

/** The five steps, in the order they are taught. The gear belongs to Speed. */
enum Step: string
{
    case Mirrors = 'mirrors';
    case Signal = 'signal';
    case Position = 'position';
    case Speed = 'speed';
    case Look = 'look';

    /** What the instructor watches to mark it, in the routine's own order from the end of the direction on (common practice). */
    public function watched(): string
    {
        return match ($this) {
            self::Mirrors => 'Whether the mirrors came before the {indicator} was heard, and which ones.',
            self::Signal => 'When it starts, against the first brake light and the first move to one side; whether it is cancelled.',
            self::Position => 'The place in the road before the brake becomes firm.',
            self::Speed => '[Brake before clutch; how|How] fast the car is when there is something to be seen.',
            self::Look => 'Both ways, more than once; where the eyes are when the wheel begins to turn.',
        };
    }
}
