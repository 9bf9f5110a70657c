<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

/** How often a step would be unaided, in words a learner can use. The bounds are assumed. */
enum Level: string
{
    case NotYet = 'not-yet';
    case Seldom = 'seldom';
    case HalfTheTime = 'half-the-time';
    case Mostly = 'mostly';
    case NearlyAlways = 'nearly-always';

    /** A range of chances wider than this is no more than a guess (assumed). */
    public const GUESS = 0.5;

    public static function of(float $chance): self
    {
        return match (true) {
            $chance < 0.15 => self::NotYet,
            $chance < 0.4 => self::Seldom,
            $chance < 0.65 => self::HalfTheTime,
            $chance < 0.85 => self::Mostly,
            default => self::NearlyAlways,
        };
    }

    /** What somebody means who says the word. */
    public function chance(): float
    {
        return match ($this) {
            self::NotYet => 0.07,
            self::Seldom => 0.27,
            self::HalfTheTime => 0.52,
            self::Mostly => 0.75,
            self::NearlyAlways => 0.93,
        };
    }
}
