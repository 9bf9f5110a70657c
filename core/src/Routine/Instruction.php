<?php

declare(strict_types=1);

namespace NobleTurn\Core\Routine;

use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\Source;

/**
 * One step of one routine as an instructor explains it at the kerb, with the fault seen most and its
 * likely cause one step earlier. Texts name sides by `{turn}`, `{away}`, `{near}` and `{off}`.
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
        public ?Step $causeIn = null,
    ) {
    }

    /** The step in which the likely cause lies: the one before, unless the routine knows better. */
    public function causeStep(): Step
    {
        return $this->causeIn ?? $this->step->before() ?? $this->step;
    }

    public function source(): Source
    {
        return Source::commonPractice();
    }

    /** The same instruction in the sides of a pack and with or without clutch and gear. */
    public function spoken(RoutineCode $routine, RulePack $pack, bool $hasClutch): self
    {
        $near = $pack->keeps();
        $sides = [
            '{turn}' => $routine->turnSide()->value,
            '{away}' => $routine->turnSide()->other()->value,
            '{near}' => $near->value,
            '{off}' => $near->other()->value,
        ];
        $say = static fn (string $text): string => ucfirst(strtr($text, $sides));

        return new self(
            $this->step,
            $say(trim($this->do.($hasClutch && $this->withClutch !== '' ? ' '.$this->withClutch : ''))),
            $say($this->why),
            $say($this->usualMistake),
            $say($this->likelyCause),
            $say($this->remedy),
            $say($this->drill),
            '',
            $this->causeIn,
        );
    }
}
