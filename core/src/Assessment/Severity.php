<?php

declare(strict_types=1);

namespace NobleTurn\Core\Assessment;

/** How grave a fault is in the words of a scheme. */
enum Severity: string
{
    case Driving = 'driving';
    case Serious = 'serious';
    case Dangerous = 'dangerous';
    case GradeOne = 'grade-1';
    case GradeTwo = 'grade-2';
    case GradeThree = 'grade-3';
    case Scored = 'scored';
    case Critical = 'critical';

    /** As it is said beside a number, or without one: "2 driving faults", "1 fault of grade 2". */
    public function faults(int $number): string
    {
        $faults = $number === 1 ? 'fault' : 'faults';

        return match ($this) {
            self::GradeOne, self::GradeTwo, self::GradeThree => "{$faults} of grade ".substr($this->value, -1),
            self::Scored => $number === 1 ? 'scored error' : 'scored errors',
            self::Critical => $number === 1 ? 'critical error' : 'critical errors',
            default => "{$this->value} {$faults}",
        };
    }
}
