<?php

namespace App\Marks;

use App\Models\Learner;
use App\Models\Mark;
use App\Models\Round;
use Illuminate\Contracts\Database\Query\Builder;
use Illuminate\Support\Collection;
use NobleTurn\Core\Record\MarkedRound;
use NobleTurn\Core\Record\MarkLog;

/**
 * From the append-only log to the marks that stand, as the core's MarkLog says; in the words of a query too, for what is counted by the
 * database.
 */
final class StandingMarks
{
    /** At the same moment as everybody else orders ids: letter by letter. The database would turn those that are no UUIDv7 round. */
    public const BY_ID = 'CAST(id AS CHAR)';

    /** Narrows a query of `marks` to those that stand. */
    public static function only(Builder $marks): void
    {
        $marks->where('marks.withdrawn', false)->whereNotExists(static fn (Builder $later) => $later->from('marks', 'later')
            ->whereColumn('later.round_id', 'marks.round_id')->whereColumn('later.slot', 'marks.slot')
            ->where(static fn (Builder $after) => $after->whereColumn('later.pressed_at', '>', 'marks.pressed_at')
                ->orWhere(static fn (Builder $same) => $same->whereColumn('later.pressed_at', 'marks.pressed_at')->whereRaw('CAST(later.id AS CHAR) > '
                    .'CAST(marks.id AS CHAR)'))));
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
        return MarkLog::round($round->lesson_id, $round->began_at->toDateTimeImmutable(), $round->routine, $round->place_id, $round->conditions, $round->marks);
    }

    /**
     * Every driven round of a learner, oldest first. Read as plain rows: a long record has thousands of marks.
     *
     * @return list<MarkedRound>
     */
    public static function of(Learner $learner): array
    {
        $rounds = Round::query()->whereIn('lesson_id', $learner->lessons()->select('id'))->orderBy('began_at')->orderByRaw(self::BY_ID)
            ->toBase()->get(['id', 'lesson_id', 'place_id', 'routine', 'conditions', 'began_at']);
        /** @var array<string, list<\stdClass>> $marks */
        $marks = Mark::query()->toBase()->whereIn('round_id', $rounds->pluck('id'))->orderBy('pressed_at')->orderByRaw(self::BY_ID)
            ->get([
                'round_id', 'kind', 'slot', 'step', 'outcome', 'taught', 'out_of_order', 'fault', 'effect', 'conditions', 'withdrawn',
            ])->groupBy('round_id')->map(static fn (Collection $of): array => $of->all())->all();
        $utc = new \DateTimeZone('UTC');

        return array_values(array_filter($rounds->map(static fn (object $round): ?MarkedRound => MarkLog::round(
            $round->lesson_id, new \DateTimeImmutable($round->began_at, $utc), $round->routine, $round->place_id,
            (array) json_decode((string) $round->conditions, true), $marks[$round->id] ?? [],
        ))->all()));
    }
}
