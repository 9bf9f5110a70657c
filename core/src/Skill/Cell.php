<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/** A step of a routine as it stands after all marks. */
final readonly class Cell
{
    public function __construct(
        public RoutineCode $routine,
        public Step $step,
        public Belief $belief,
        /** How many marks it rests on, and in how many lessons they were made. */
        public int $marks,
        public int $lessons,
        public \DateTimeImmutable $last,
        public Trend $trend,
        /** Whether its routine was not driven for long. */
        public bool $fading,
        /** Chance lost since it was driven. */
        public float $fadedByChance,
        /** The level of an instructor's own word, and the chance by the marks without it. */
        public ?Level $said,
        public ?float $chanceByMarksAlone,
    ) {
    }

    public function level(): Level
    {
        return Level::of($this->belief->unaided());
    }

    /** Whether the range is so wide that it is a guess. */
    public function isUnsure(): bool
    {
        [$low, $high] = $this->belief->range();

        return $high - $low > Level::GUESS;
    }
}
