<?php

declare(strict_types=1);

namespace NobleTurn\Core\Routine\Catalogue;

use NobleTurn\Core\Routine\Instruction;
use NobleTurn\Core\Trade\Step;

/** Short hand for the catalogue's authors: a step's texts in the order do, why, usual mistake, likely cause, remedy, drill. */
final class Write
{
    public static function mirrors(string $do, string $why, string $mistake, string $cause, string $remedy, string $drill, string $watch = ''): Instruction
    {
        return new Instruction(Step::Mirrors, $do, $why, $mistake, $cause, $remedy, $drill, watch: $watch);
    }

    public static function signal(string $do, string $why, string $mistake, string $cause, string $remedy, string $drill, ?Step $causeIn = null): Instruction
    {
        return new Instruction(Step::Signal, $do, $why, $mistake, $cause, $remedy, $drill, causeIn: $causeIn);
    }

    public static function position(string $do, string $why, string $mistake, string $cause, string $remedy, string $drill, ?Step $causeIn = null): Instruction
    {
        return new Instruction(Step::Position, $do, $why, $mistake, $cause, $remedy, $drill, causeIn: $causeIn);
    }

    public static function speed(
        string $do, string $why, string $mistake, string $cause, string $remedy, string $drill, string $withClutch = '', ?Step $causeIn = null,
        string $forBeginner = '',
    ): Instruction {
        return new Instruction(Step::Speed, $do, $why, $mistake, $cause, $remedy, $drill, $withClutch, $causeIn, $forBeginner);
    }

    public static function look(
        string $do, string $why, string $mistake, string $cause, string $remedy, string $drill, ?Step $causeIn = null, string $forBeginner = '',
        string $watch = '',
    ): Instruction {
        return new Instruction(Step::Look, $do, $why, $mistake, $cause, $remedy, $drill, causeIn: $causeIn, forBeginner: $forBeginner, watch: $watch);
    }
}
