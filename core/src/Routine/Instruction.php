<?php

declare(strict_types=1);

namespace NobleTurn\Core\Routine;

use NobleTurn\Core\Rules\Source;
use NobleTurn\Core\Trade\LearnerLevel;
use NobleTurn\Core\Trade\Step;

/**
 * One step of one routine as an instructor explains it at the kerb, with the fault seen most and its likely cause one
 * step earlier. Texts name sides by `{turn}`, `{away}`, `{near}` and `{off}`, and the pack's own words in braces too.
 */
final readonly class Instruction
{
    public function __construct(
        public Step $step,
        public string $do,
        public string $why,
        public string $usualMistake,
        public string $likelyCause,
        public string $remedy,
        public string $drill,
        /** What clutch and gear add to `do`; left out where the car has none. */
        public string $withClutch = '',
        /** The step in which the likely cause lies; filled in by the routine: the one before. Null for its first step. */
        public ?Step $causeIn = null,
        /** What is asked of a beginner here beyond the rest, or instead of it. */
        public string $forBeginner = '',
        /** What the instructor watches to mark it; the step's own where the routine has nothing special. */
        public string $watch = '',
    ) {
    }

    public function causedIn(?Step $cause): self
    {
        return new self(
            $this->step, $this->do, $this->why, $this->usualMistake, $this->likelyCause, $this->remedy, $this->drill,
            $this->withClutch, $cause, $this->forBeginner, $this->watch !== '' ? $this->watch : $this->step->watched(),
        );
    }

    public function source(): Source
    {
        return Source::commonPractice();
    }

    /** The same instruction in the words of a place, with or without clutch and gear, for a learner of a level. */
    public function spoken(Wording $wording, bool $hasClutch, ?LearnerLevel $level = null): self
    {
        $do = trim($this->do.($hasClutch && $this->withClutch !== '' ? ' '.$this->withClutch : ''));
        if ($level === LearnerLevel::Beginner && $this->forBeginner !== '') {
            $do .= ' '.$this->forBeginner;
        }

        $say = static fn (string $text): string => $wording->say(Wording::forCar($text, $hasClutch));

        return new self(
            $this->step, $say($do), $say($this->why), $say($this->usualMistake), $say($this->likelyCause), $say($this->remedy), $say($this->drill), '',
            $this->causeIn, $say($this->forBeginner), $say($this->watch),
        );
    }
}
