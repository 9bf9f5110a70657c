<?php

declare(strict_types=1);

namespace NobleTurn\Core\Routine;

use NobleTurn\Core\Trade\RoutineCode as R;
use NobleTurn\Core\Trade\Stage;

/** The parts of a routine that are marked apart: pulling up and moving off again, both stages of an exercise, rejoining. */
final class Stages
{
    /** @return array<string, string> words by stage, in the order of the drive; empty where a routine is marked as one */
    public static function of(R $routine): array
    {
        return match ($routine) {
            R::PullUpLeft => [Stage::Approach->value => 'Pulling up', Stage::MoveOff->value => 'Moving off'],
            R::PullUpRight => [Stage::First->value => 'To the middle', Stage::Second->value => 'Across', Stage::Rejoin->value => 'Rejoining'],
            R::PullUpRightReverse => [Stage::First->value => 'Pulling up', Stage::Second->value => 'Reversing', Stage::Rejoin->value => 'Rejoining'],
            R::BackUp => [Stage::First->value => 'Pulling over', Stage::Second->value => 'Backing up', Stage::MoveOff->value => 'Moving off'],
            default => [],
        };
    }
}
