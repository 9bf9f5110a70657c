<?php

namespace App\Marks;

use App\Models\Mark;
use App\Models\Place;
use App\Models\Round;
use App\Models\Site;
use Illuminate\Support\Collection;
use NobleTurn\Core\Record\MarkLog;
use NobleTurn\Core\Record\Outcome;

/** What went wrong on the ways through a site, over all who drove them: counts only, beside how many they were and how far they had come. */
final class PastOfSite
{
    /** The latest: what happened before says little of who comes next. */
    private const MOST_ROUNDS = 500;

    /** Of a way: whoever measures looks for the one just driven. */
    private const MOST_LENGTHS = 10;

    /**
     * @return list<array{
     *     from: string, to: string, routine: string, rounds: int, taught: int, learners: int, levels: array<string, int>, last_on: string,
     *     wrong: list<array{step: string, fault: ?string, rounds: int, learners: int}>,
     *     lengths: list<array{on: string, length_m: int, seconds: float}>,
     * }> the most driven first; ways that nobody has driven are left out
     */
    public static function of(Site $site): array
    {
        // An archived way has its past all the same: the site says what became of it.
        $places = Place::withTrashed()->where('site_id', $site->id)->get()->keyBy('id');
        // What was driven at a drawing of the same that is no more was driven here.
        $here = Place::withTrashed()->whereIn('same_as_id', $places->keys())->pluck('same_as_id', 'id')->all()
            + array_combine($places->modelKeys(), $places->modelKeys());
        $rounds = Round::query()->toBase()->join('lessons', 'lessons.id', '=', 'rounds.lesson_id')->join('learners', 'learners.id', '=', 'lessons.learner_id')
            ->whereIn('rounds.place_id', array_keys($here))->where('rounds.school_id', $site->school_id)
            ->orderByDesc('rounds.began_at')->limit(self::MOST_ROUNDS)
            ->get(['rounds.id', 'rounds.place_id', 'rounds.began_at', 'lessons.learner_id', 'learners.level'])->keyBy('id');
        $marks = Mark::query()->toBase()->whereIn('marks.round_id', $rounds->keys())
            ->whereIn('marks.kind', ['step', 'taught', 'count'])->tap(StandingMarks::only(...))
            ->get(['marks.round_id', 'marks.kind', 'marks.step', 'outcome', 'out_of_order', 'fault', 'effect', 'what', 'number', 'seconds']);
        $timed = [];
        foreach ($marks->where('what', 'length') as $mark) {
            $timed[$mark->round_id][] = [
                'on' => substr((string) $rounds[$mark->round_id]->began_at, 0, 10), 'length_m' => (int) $mark->number, 'seconds' => (float) $mark->seconds,
            ];
        }
        // What was shown or talked through says nothing of what somebody can do.
        $taught = $marks->where('kind', 'taught')->pluck('round_id')->flip();
        $wrong = $marks->where('kind', 'step')->filter(static fn (object $mark): bool => ! $taught->has($mark->round_id)
            && MarkLog::step($mark)->support() >= Outcome::Prompted->stepsFromUnaided())->groupBy('round_id');

        $byPlace = $rounds->groupBy(static fn (object $round): string => $here[$round->place_id]);

        return array_values($byPlace->map(static fn (Collection $of, string $place): array => [
            'from' => (string) $places[$place]->from_arm, 'to' => (string) $places[$place]->to_arm, 'routine' => $places[$place]->routine,
            'rounds' => $of->count(), 'taught' => $of->filter(static fn (object $round): bool => $taught->has($round->id))->count(),
            'learners' => $of->unique('learner_id')->count(), 'levels' => $of->unique('learner_id')->countBy('level')->all(),
            'last_on' => substr((string) $of->max('began_at'), 0, 10), 'wrong' => self::wrong($of, $wrong),
            'lengths' => array_slice(
                array_merge(...$of->map(static fn (object $round): array => $timed[$round->id] ?? [])->values()->all()), 0, self::MOST_LENGTHS,
            ),
        ])->sortByDesc('rounds')->all());
    }

    /**
     * @param  Collection<int, \stdClass>  $rounds
     * @param  Collection<int|string, Collection<int, \stdClass>>  $marks  that say of something that it went wrong, by round
     * @return list<array{step: string, fault: ?string, rounds: int, learners: int}> the most often first
     */
    private static function wrong(Collection $rounds, Collection $marks): array
    {
        $seen = $rounds->flatMap(static fn (object $round): array => ($marks[$round->id] ?? new Collection)
            ->map(static fn (object $mark): array => ['of' => $mark, 'learner' => $round->learner_id])->all());

        return array_values($seen->groupBy(static fn (array $one): string => "{$one['of']->step} {$one['of']->fault}")->map(
            static fn (Collection $alike): array => [
                'step' => $alike[0]['of']->step, 'fault' => $alike[0]['of']->fault,
                'rounds' => $alike->unique(static fn (array $one): string => $one['of']->round_id)->count(),
                'learners' => $alike->unique('learner')->count(),
            ],
        )->sortBy([['rounds', 'desc'], ['step', 'asc']])->all());
    }
}
