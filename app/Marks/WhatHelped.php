<?php

namespace App\Marks;

use App\Models\Mark;
use App\Models\Remedy;
use Illuminate\Support\Collection;
use NobleTurn\Core\Record\MarkLog;
use NobleTurn\Core\Skill\RemedyEffect;
use NobleTurn\Core\Trade\Step;

/** Over the learners of a school: whether a remedy or drill that was given for a step and kind of fault has helped. */
final class WhatHelped
{
    /** The latest given: enough to say, and no page waits for more. */
    private const MOST_LEARNERS = 200;

    /** @return array{remedy: RemedyEffect, drill: RemedyEffect} */
    public function of(Step $step, ?string $fault): array
    {
        return $this->each(Remedy::query()->where('step', $step->value)->where('fault', $fault)->with('lesson')->oldest()->get(), [[$step, $fault]])[0];
    }

    /**
     * Of everything that was given: the marks of those it was given to are read once.
     *
     * @param  list<array{Step, ?string}>  $against  step and kind of fault
     * @return list<array{remedy: RemedyEffect, drill: RemedyEffect}> in the same order
     */
    public function all(array $against): array
    {
        return $this->each(Remedy::query()->with('lesson')->oldest()->get(), $against);
    }

    /**
     * @param  Collection<int, Remedy>  $given  the oldest first
     * @param  list<array{Step, ?string}>  $against
     * @return list<array{remedy: RemedyEffect, drill: RemedyEffect}>
     */
    private function each(Collection $given, array $against): array
    {
        $first = array_map(static fn (array $one): array => array_map(
            static fn (string $what): Collection => self::firstTimes($given->where('step', $one[0]->value)->where('fault', $one[1])->where('what', $what)),
            ['remedy' => 'remedy', 'drill' => 'drill'],
        ), $against);
        $rounds = $this->rounds((new Collection($first))->flatten(2)->pluck('learner_id')->unique()->values());

        return array_map(static fn (array $of, array $one): array => [
            'remedy' => self::effect($one[0], $of['remedy'], $rounds), 'drill' => self::effect($one[0], $of['drill'], $rounds),
        ], $first, $against);
    }

    /**
     * Of each learner the first time counts: what came after the second came after the first, too.
     *
     * @param  Collection<int, Remedy>  $given  the oldest first
     * @return Collection<int, Remedy>
     */
    private static function firstTimes(Collection $given): Collection
    {
        return $given->unique('learner_id')->take(-self::MOST_LEARNERS);
    }

    /**
     * @param  Collection<int, Remedy>  $first
     * @param  array<string, Collection<int, array{at: string, steps: array<bool>}>>  $rounds  by learner, oldest first
     */
    private static function effect(Step $step, Collection $first, array $rounds): RemedyEffect
    {
        $changes = $first->map(static function (Remedy $remedy) use ($rounds, $step): ?float {
            $at = $remedy->lesson->starts_at->format('Y-m-d H:i:s');
            $marked = ($rounds[$remedy->learner_id] ?? new Collection)->filter(static fn (array $round): bool => isset($round['steps'][$step->value]));
            // The lesson itself is left out: it was given there because it went badly there.
            $before = $marked->filter(static fn (array $round): bool => $round['at'] < $at)->take(-RemedyEffect::MOST_MARKS);
            $after = $marked->filter(static fn (array $round): bool => $round['at'] > $at)->take(RemedyEffect::MOST_MARKS);
            $own = static fn (Collection $of): array => array_values($of->map(static fn (array $round): bool => $round['steps'][$step->value])->all());
            $others = static fn (Collection $of): array => array_values($of->flatMap(
                static fn (array $round): array => array_values(array_diff_key($round['steps'], [$step->value => true])),
            )->all());

            return RemedyEffect::change($own($before), $own($after), $others($before), $others($after));
        });

        return RemedyEffect::of(array_values(array_filter($changes->all(), static fn (?float $change): bool => $change !== null)));
    }

    /**
     * @param  Collection<int, string>  $learners
     * @return array<string, Collection<int, array{at: string, steps: array<bool>}>> by learner, oldest first: whether each step was clean
     */
    private function rounds(Collection $learners): array
    {
        /** @var array<string, array<string, array{at: string, steps: array<bool>}>> $found */
        $found = [];
        $marks = Mark::query()->toBase()->join('rounds', 'rounds.id', '=', 'marks.round_id')->join('lessons', 'lessons.id', '=', 'rounds.lesson_id')
            ->whereIn('lessons.learner_id', $learners)->whereIn('marks.kind', ['step', 'taught'])->tap(StandingMarks::only(...))
            ->orderBy('lessons.starts_at')->orderBy('rounds.began_at')
            ->get(['lessons.learner_id', 'lessons.starts_at', 'marks.round_id', 'marks.kind', 'marks.step', 'outcome', 'out_of_order', 'fault', 'effect']);
        // What was shown or talked through says nothing of what somebody can do.
        $taught = $marks->where('kind', 'taught')->pluck('round_id')->flip();
        foreach ($marks->reject(static fn (object $mark): bool => $taught->has($mark->round_id)) as $mark) {
            $round = $found[$mark->learner_id][$mark->round_id] ?? ['at' => $mark->starts_at, 'steps' => []];
            // Of several stages the weakest.
            $round['steps'][$mark->step] = ($round['steps'][$mark->step] ?? true) && MarkLog::step($mark)->isClean();
            $found[(string) $mark->learner_id][(string) $mark->round_id] = ['at' => (string) $mark->starts_at, 'steps' => $round['steps']];
        }

        return array_map(static fn (array $rounds): Collection => new Collection(array_values($rounds)), $found);
    }
}
