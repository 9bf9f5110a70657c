<?php

declare(strict_types=1);

namespace NobleTurn\Core\Routine;

/** The five steps, in the order they are taught. The gear belongs to Speed. */
enum Step: string
{
    case Mirrors = 'mirrors';
    case Signal = 'signal';
    case Position = 'position';
    case Speed = 'speed';
    case Look = 'look';

    /** The step whose neglect most often shows as a fault in this one. */
    public function before(): ?self
    {
        return match ($this) {
            self::Mirrors => null,
            self::Signal => self::Mirrors,
            self::Position => self::Signal,
            self::Speed => self::Position,
            self::Look => self::Speed,
        };
    }
}
