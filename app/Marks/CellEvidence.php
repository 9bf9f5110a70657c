<?php

namespace App\Marks;

use App\Models\Learner;
use App\Models\Mark;
use App\Models\Round;
use Illuminate\Database\Query\Builder;
use NobleTurn\Core\Routine\RoutineCode;
use NobleTurn\Core\Routine\Step;

/** Every mark behind one step of one routine, corrections beside what they corrected. */
final class CellEvidence
{
    private const MOST = 60;

    /** @return list<array<string, mixed>> newest first */
    public static function of(Learner $learner, RoutineCode $routine, Step $step): array
    {
        $marks = Mark::query()->where('kind', 'step')->where('step', $step->value)
            ->whereIn('round_id', Round::query()->whereIn('lesson_id', $learner->lessons()->select('id'))->where('routine', $routine->value)->select('id'))
            ->whereNotExists(fn (Builder $later) => $later->from('marks', 'later')->whereColumn('later.corrects_id', 'marks.id'))
            ->where('withdrawn', false)->with('round.place', 'round.marks')->orderByDesc('device_at')->orderByDesc('id')->limit(self::MOST)->get();

        return array_values($marks->map(static function (Mark $mark): array {
            $standing = StandingMarks::round($mark->round);
            $replaced = $mark->corrects_id === null ? null : $mark->round->marks->firstWhere('id', $mark->corrects_id);

            return [
                'id' => $mark->id, 'lesson' => $mark->round->lesson_id, 'place' => $mark->round->place->name, 'at' => $mark->round->device_at->format('Y-m-d\TH:i:s\Z'),
                'outcome' => $mark->outcome, 'out_of_order' => $mark->out_of_order, 'note' => $mark->note,
                'taught' => $standing->taught?->value, 'conditions' => (object) array_filter($standing->conditions->noted()),
                'was' => $replaced?->outcome,
            ];
        })->all());
    }
}
