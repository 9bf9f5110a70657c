<?php

namespace App\Marks;

use App\Models\Learner;
use App\Models\Overruling as Said;
use NobleTurn\Core\Record\MarkedRound;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Skill\Evidence;
use NobleTurn\Core\Skill\Level;
use NobleTurn\Core\Skill\Overruling;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/** A learner's standing marks as the skill model reads them, each with who marked it. */
final class SkillEvidence
{
    /**
     * @param  list<MarkedRound>  $rounds  of the learner, oldest first
     * @return list<Evidence>
     */
    public static function of(Learner $learner, array $rounds, RulePack $pack): array
    {
        $markers = $learner->lessons()->pluck('instructor_id', 'id');
        // The catalogue writes a whole card to answer: each routine is asked for once. One of another pack has no place here.
        $known = [];
        foreach (Catalogue::all($pack) as $routine) {
            $known[$routine->code->value] = $routine;
        }
        $evidence = [];
        foreach ($rounds as $round) {
            $routine = $known[$round->routine->value] ?? null;
            if ($routine !== null) {
                array_push($evidence, ...Evidence::ofRound($round, $routine, $markers[$round->lesson] ?? null));
            }
        }

        return $evidence;
    }

    /** @return list<Overruling> that stand, oldest first */
    public static function words(Learner $learner): array
    {
        return array_values(Said::query()->where('learner_id', $learner->id)->whereNull('withdrawn_at')->orderBy('created_at')->orderBy('id')->get()
            ->map(
                static fn (Said $said): Overruling => new Overruling(
                    $said->created_at->toDateTimeImmutable(), RoutineCode::from($said->routine), Step::from($said->step),
                    Level::from($said->level)->chance(),
                ),
            )
            ->all());
    }
}
