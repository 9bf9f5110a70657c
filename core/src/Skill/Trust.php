<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

/** Whether what is said of a learner is to be relied on, by what came of what was foretold. */
enum Trust: string
{
    case TooEarly = 'too-early';
    case Trusted = 'trusted';
    case Surprised = 'surprised';
    case BehindCounting = 'behind-counting';

    public function isDoubted(): bool
    {
        return $this === self::Surprised || $this === self::BehindCounting;
    }

    /** As a sentence to the instructor. */
    public function message(): string
    {
        return match ($this) {
            self::TooEarly => 'Too few lessons yet to say how well the record foretells.',
            self::Trusted => 'What was foretold came about as often as was said.',
            self::Surprised => 'Not to be relied on just now: the marks surprise the record more than it says they should. Go by what you see.',
            self::BehindCounting => 'Not to be relied on just now: counting the latest marks would have told you more. Go by what you see.',
        };
    }
}
