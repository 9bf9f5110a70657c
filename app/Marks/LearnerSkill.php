<?php

namespace App\Marks;

use App\Models\Learner;
use App\Models\Mark;
use App\Models\Round;
use Illuminate\Support\Facades\Cache;
use NobleTurn\Core\Compute\Tool\SkillPresenter;
use NobleTurn\Core\Compute\Toolbox;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Skill\Evidence;

/**
 * What a learner's marks say today. Fitting a long record takes longer than a page may, so the answer is kept until the day
 * or the record changes: marks are only ever added, so their number tells.
 */
final class LearnerSkill
{
    /** A device's clock may be ahead: marks of the coming day count. */
    private const AHEAD = '+1 day';

    /** @return array{cells: list<array<string, mixed>>, holds_back: list<array<string, mixed>>} */
    public static function of(Learner $learner, RulePack $pack, \DateTimeImmutable $now): array
    {
        $rounds = Round::query()->whereIn('lesson_id', $learner->lessons()->select('id'))->select('id');
        $marks = Mark::query()->whereIn('round_id', $rounds)->count();
        $key = implode(':', ['skill', $learner->id, $pack->code(), $pack->version(), Toolbox::VERSION, $now->format('Y-m-d'), $marks]);

        return Cache::remember($key, $now->modify(self::AHEAD), static function () use ($learner, $pack, $now): array {
            $until = $now->modify(self::AHEAD);
            $evidence = array_values(array_filter(SkillEvidence::of($learner, $pack), static fn (Evidence $one): bool => $one->at <= $until));

            return SkillPresenter::body($evidence, $pack, $now);
        });
    }
}
