<?php

namespace App\Marks;

use App\Http\Resources\Show;
use App\Models\Learner;
use App\Models\Mark;
use App\Models\Round;
use Illuminate\Database\Eloquent\Builder;
use NobleTurn\Core\Record\Decision;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/** The marks behind a figure: of some routines, of one step or all, in some conditions or any; corrections beside what they corrected. */
final class MarksBehind
{
    private const MOST = 60;

    /**
     * @param  ?list<RoutineCode>  $routines  null for all
     * @param  ?string  $condition  such as "busy"
     * @return list<array<string, mixed>> newest first, no more than can be read
     */
    public static function of(Learner $learner, ?array $routines, ?Step $step, ?string $condition = null): array
    {
        $rounds = Round::query()->whereIn('lesson_id', $learner->lessons()->select('id'));
        if ($routines !== null) {
            $rounds->whereIn('routine', array_map(static fn (RoutineCode $code): string => $code->value, $routines));
        }
        // Who held back rightly has looked: that press stands behind the look, unless the look was marked itself.
        $held = Decision::HeldBack->value;
        $marks = Mark::query()->whereIn('round_id', $rounds->select('id'))->tap(StandingMarks::only(...))->where(
            static fn (Builder $of) => $of
                ->where(static fn (Builder $steps) => $steps->where('kind', 'step')->when($step, static fn (Builder $of) => $of->where('step', $step?->value)))
                ->when($step === null || $step === Step::Look, static fn (Builder $says) => $says->orWhere('slot', $held)),
        );
        $shown = $counted = [];
        foreach ($marks->with('round.place', 'round.marks.place')->orderByDesc('pressed_at')->orderByDesc('id')->lazy(self::MOST) as $mark) {
            $standing = StandingMarks::round($mark->round);
            $noted = array_filter($standing?->conditions->noted() ?? []);
            $heldBack = $mark->slot === $held;
            $of = $heldBack ? Step::Look : Step::from((string) $mark->step);
            $says = $standing?->says($of);
            // Of a step that was marked in several stages, the one it comes to.
            $comesTo = $heldBack ? ! isset($standing?->marks[$of->value]) : $says == $mark->ofStep() && ! isset($counted["{$mark->round_id} {$of->value}"]);
            if (($condition !== null && ! in_array($condition, $noted, true)) || ! $comesTo) {
                continue;
            }
            $counted["{$mark->round_id} {$of->value}"] = true;
            $shown[] = [
                'id' => $mark->id, 'lesson' => $mark->round->lesson_id, 'place' => $mark->round->where(),
                'at' => $mark->round->began_at->format('Y-m-d\TH:i:s\Z'),
                'step' => $of->value, 'outcome' => $says?->outcome->value ?? $mark->outcome,
                'held_back' => $heldBack, 'out_of_order' => $mark->out_of_order, 'note' => $mark->note,
                'taught' => $standing?->taught?->value, 'conditions' => (object) $noted,
                'was' => self::was($mark), 'clock_ahead' => Show::isClockAhead($mark),
            ];
            if (count($shown) === self::MOST) {
                break;
            }
        }

        return $shown;
    }

    /** What was said before, where somebody had read it by then: a slip that was put right at once is no history. */
    private static function was(Mark $mark): ?string
    {
        $rows = $mark->round->marks->keyBy('id');
        for ($row = $mark; $row !== null && $row->corrects_id !== null; $row = $before) {
            $before = $rows->get($row->corrects_id);
            if ($row->after_read && $before !== null && ! $before->withdrawn && $before->outcome !== $mark->outcome) {
                return $before->outcome;
            }
        }

        return null;
    }
}
