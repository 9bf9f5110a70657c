<?php

namespace App\Marks;

use App\Models\Learner;
use NobleTurn\Core\Record\MarkedRound;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Routine\Step;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Skill\Conditions;
use NobleTurn\Core\Skill\Evidence;

/** A learner's standing marks as the skill model reads them, each with who marked it. */
final class SkillEvidence
{
    /** @return list<Evidence> oldest first */
    public static function of(Learner $learner, RulePack $pack): array
    {
        $markers = $learner->lessons()->pluck('instructor_id', 'id');
        $known = array_flip(array_map(fn ($code): string => $code->value, Catalogue::codes($pack)));
        $evidence = [];
        foreach (StandingMarks::of($learner) as $round) {
            // A routine of another pack has no place in this one's catalogue.
            if (! isset($known[$round->routine->value])) {
                continue;
            }
            foreach (self::steps($round, $pack) as [$step, $mark]) {
                $evidence[] = new Evidence($round->lesson, $round->at, $round->routine, $step, $mark, new Conditions, $markers[$round->lesson] ?? null, ! $round->isEvidence());
            }
        }

        return $evidence;
    }

    /** @return iterable<array{Step, \NobleTurn\Core\Record\StepMark}> marks of steps the routine has */
    private static function steps(MarkedRound $round, RulePack $pack): iterable
    {
        foreach (Step::cases() as $step) {
            $mark = $round->mark($step);
            if ($mark !== null && Catalogue::routine($round->routine, $pack)->has($step)) {
                yield [$step, $mark];
            }
        }
    }
}
