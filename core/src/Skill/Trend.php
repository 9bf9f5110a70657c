<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

/** Which way an estimate has gone over the last lessons, by the marks alone. */
enum Trend: string
{
    case Rising = 'rising';
    case Steady = 'steady';
    case Falling = 'falling';
    case Unknown = 'unknown';

    /** Said where the estimate without the last lessons differs by more than this (assumed). */
    private const RISES_BY = 0.05;

    /** @param  ?float  $rose  chance now less chance then; null where there was none */
    public static function of(?float $rose): self
    {
        return match (true) {
            $rose === null => self::Unknown,
            $rose > self::RISES_BY => self::Rising,
            $rose < -self::RISES_BY => self::Falling,
            default => self::Steady,
        };
    }
}
