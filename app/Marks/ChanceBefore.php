<?php

namespace App\Marks;

use App\Models\Learner;
use Illuminate\Contracts\Database\Query\Builder;
use Illuminate\Support\Carbon;
use NobleTurn\Core\Assessment\Scheme;
use NobleTurn\Core\Next\Learner as Known;
use NobleTurn\Core\Next\Ready;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Vehicle\Transmission;

/** How likely a test was to be passed by what was marked before it: from marks alone, for a word said after it knows how it went. */
final class ChanceBefore
{
    /** @return ?float 0 to 1; null where nothing was marked before */
    public static function of(Learner $learner, Carbon $takenAt, Scheme $scheme, RulePack $pack): ?float
    {
        $before = static fn (Builder $marks) => $marks->where('marks.pressed_at', '<', $takenAt);
        $known = new Known(
            SkillEvidence::of($learner, StandingMarks::of($learner, $before), $pack), $pack, $takenAt->toDateTimeImmutable(), [],
            Transmission::from($learner->transmission),
        );
        $chance = Ready::chance($known, $scheme, Transmission::from($learner->transmission));

        return $chance === null ? null : round($chance, 4);
    }
}
