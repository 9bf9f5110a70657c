<?php

namespace App\Marks;

use App\Models\Learner;
use App\Models\Mark;
use App\Models\Round;
use Illuminate\Contracts\Database\Query\Builder;
use NobleTurn\Core\Record\Conditions;
use NobleTurn\Core\Record\MarkedRound;
use NobleTurn\Core\Record\Outcome;
use NobleTurn\Core\Record\StepMark;
use NobleTurn\Core\Record\Taught;
use NobleTurn\Core\Routine\RoutineCode;

/**
 * From the append-only log to the marks that stand: in each slot of a round the latest press, unless it takes back what was there.
 * The same rule stands in the interface (queue/standing.ts).
 */
final class StandingMarks
{
    /** Narrows a query of `marks` to those that stand. */
    public static function only(Builder $marks): void
    {
        $marks->where('marks.withdrawn', false)->whereNotExists(static fn (Builder $later) => $later->from('marks', 'later')
            ->whereColumn('later.round_id', 'marks.round_id')->whereColumn('later.slot', 'marks.slot')
            ->where(static fn (Builder $after) => $after->whereColumn('later.pressed_at', '>', 'marks.pressed_at')
                ->orWhere(static fn (Builder $same) => $same->whereColumn('later.pressed_at', 'marks.pressed_at')->whereColumn('later.id', '>', 'marks.id'))));
    }

    /** Narrows a query of `rounds` to those in which something happened: one that was emptied by undoing is none. */
    public static function driven(Builder $rounds): void
    {
        $rounds->whereExists(static function (Builder $marks): void {
            $marks->from('marks')->whereColumn('marks.round_id', 'rounds.id')->where('marks.kind', '!=', 'conditions');
            self::only($marks);
        });
    }

    /** A round as the core reads it; its marks must be loaded. Null where nothing that was said of it stands. */
    public static function round(Round $round): ?MarkedRound
    {
        return self::marked($round->lesson_id, $round->began_at->toDateTimeImmutable(), $round->routine, $round->place_id, $round->conditions, self::latest($round->marks));
    }

    /**
     * Every driven round of a learner, oldest first. Read as plain rows: a long record has thousands of marks.
     *
     * @return list<MarkedRound>
     */
    public static function of(Learner $learner): array
    {
        $rounds = Round::query()->whereIn('lesson_id', $learner->lessons()->select('id'))->orderBy('began_at')->orderBy('id')
            ->toBase()->get(['id', 'lesson_id', 'place_id', 'routine', 'conditions', 'began_at']);
        $marks = Mark::query()->toBase()->whereIn('round_id', $rounds->pluck('id'))->orderBy('pressed_at')->orderBy('id')
            ->get(['round_id', 'kind', 'slot', 'step', 'outcome', 'taught', 'out_of_order', 'conditions', 'withdrawn'])->groupBy('round_id');
        $utc = new \DateTimeZone('UTC');

        return array_values(array_filter($rounds->map(static fn (object $round): ?MarkedRound => self::marked(
            $round->lesson_id, new \DateTimeImmutable($round->began_at, $utc), $round->routine, $round->place_id, (array) json_decode((string) $round->conditions, true), self::latest($marks->get($round->id, [])),
        ))->all()));
    }

    /**
     * @template T of Mark|\stdClass
     *
     * @param  iterable<T>  $marks  of one round, in the order of the presses
     * @return list<T> those that stand
     */
    public static function latest(iterable $marks): array
    {
        $latest = [];
        foreach ($marks as $mark) {
            $latest[$mark->slot] = $mark;
        }

        return array_values(array_filter($latest, static fn (object $mark): bool => ! $mark->withdrawn));
    }

    /**
     * @param  array<array-key, mixed>  $conditions  as noted when the round began; a later mark of them stands instead
     * @param  iterable<Mark|\stdClass>  $standing
     */
    private static function marked(string $lesson, \DateTimeImmutable $at, string $routine, string $place, array $conditions, iterable $standing): ?MarkedRound
    {
        $steps = [];
        $taught = null;
        $heldBack = $moment = false;
        foreach ($standing as $mark) {
            match ($mark->kind) {
                'step' => $steps[(string) $mark->step] = new StepMark(Outcome::from((string) $mark->outcome), (bool) $mark->out_of_order),
                'taught' => $taught = Taught::from((string) $mark->taught),
                'held-back-rightly' => $heldBack = true,
                'moment' => $moment = true,
                'conditions' => $conditions = is_array($mark->conditions) ? $mark->conditions : (array) json_decode((string) $mark->conditions, true),
                default => null,
            };
        }

        return $steps === [] && $taught === null && ! $heldBack && ! $moment ? null
            : new MarkedRound($lesson, $at, RoutineCode::from($routine), $steps, $taught, $heldBack, Conditions::of($conditions), $place);
    }
}
