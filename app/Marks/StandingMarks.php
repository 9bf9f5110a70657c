<?php

namespace App\Marks;

use App\Models\Learner;
use App\Models\Mark;
use App\Models\Round;
use Illuminate\Contracts\Database\Query\Builder;
use Illuminate\Contracts\Database\Query\Expression;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use NobleTurn\Core\Record\MarkedRound;
use NobleTurn\Core\Record\MarkLog;

/**
 * From the append-only log to the marks that stand, as the core's MarkLog says; in the words of a query too, for what is counted by the
 * database.
 */
final class StandingMarks
{
    /** At the same moment as everybody else orders ids: letter by letter. The database would turn those that are no UUIDv7 round. */
    public static function id(string $table): string
    {
        return "CAST({$table}.id AS CHAR)";
    }

    /** Narrows a query of `marks` to those that stand. */
    public static function only(Builder $marks): void
    {
        $marks->where('marks.withdrawn', false)->whereNotExists(static fn (Builder $later) => $later->from('marks', 'later')
            ->whereColumn('later.round_id', 'marks.round_id')->whereColumn('later.slot', 'marks.slot')
            ->where(static fn (Builder $after) => $after->whereColumn('later.pressed_at', '>', 'marks.pressed_at')
                ->orWhere(static fn (Builder $same) => $same->whereColumn('later.pressed_at', 'marks.pressed_at')
                    ->whereRaw(self::id('later').' > '.self::id('marks')))));
    }

    /** A round as the core reads it; its marks must be loaded. Null where nothing that was said of it stands. */
    public static function round(Round $round): ?MarkedRound
    {
        return MarkLog::round($round->lesson_id, $round->began_at->toDateTimeImmutable(), $round->routine, $round->place_id, $round->conditions, $round->marks,
            $round->side);
    }

    /**
     * Every driven round of a learner, oldest first. Read as plain rows: a long record has thousands of marks.
     *
     * @param  ?\Closure(Builder): mixed  $only  narrows the marks, and with them the rounds that have some; null for all
     * @return list<MarkedRound>
     */
    public static function of(Learner $learner, ?\Closure $only = null): array
    {
        // From the learner's lessons inwards, the school said of every table: each index begins with it.
        $rounds = Round::query()->toBase()->join('lessons', 'lessons.id', '=', 'rounds.lesson_id')
            ->where('lessons.school_id', $learner->school_id)->where('lessons.learner_id', $learner->id)
            ->leftJoin('places', 'places.id', '=', 'rounds.place_id')
            ->orderBy('rounds.began_at')->orderByRaw(self::id('rounds'))
            ->get(['rounds.id', 'rounds.lesson_id', self::place('rounds'), 'rounds.routine', 'rounds.conditions', 'rounds.began_at', 'rounds.side']);
        $log = Mark::query()->toBase()->join('rounds', 'rounds.id', '=', 'marks.round_id')->join('lessons', 'lessons.id', '=', 'rounds.lesson_id')
            ->leftJoin('places', 'places.id', '=', 'marks.place_id')
            ->where('rounds.school_id', $learner->school_id)->where('lessons.school_id', $learner->school_id)->where('lessons.learner_id', $learner->id)
            ->orderBy('marks.pressed_at')->orderByRaw(self::id('marks'));
        if ($only !== null) {
            $log->where($only);
        }
        /** @var array<string, list<\stdClass>> $marks */
        $marks = $log->get([self::place('marks'), ...array_map(static fn (string $column): string => "marks.{$column}", [
            'round_id', 'kind', 'slot', 'step', 'outcome', 'taught', 'decision', 'what', 'number', 'seconds', 'out_of_order', 'fault', 'effect',
            'conditions', 'withdrawn',
        ])])->groupBy('round_id')->map(static fn (Collection $of): array => $of->all())->all();
        $utc = new \DateTimeZone('UTC');

        return array_values(array_filter($rounds->map(static fn (object $round): ?MarkedRound => MarkLog::round(
            $round->lesson_id, new \DateTimeImmutable($round->began_at, $utc), $round->routine, $round->place_id,
            (array) json_decode((string) $round->conditions, true), $marks[$round->id] ?? [], $round->side,
        ))->all()));
    }

    /** The place of a row, joined as `places`: where that turned out to be another, the other. */
    private static function place(string $table): Expression
    {
        return DB::raw("COALESCE(places.same_as_id, {$table}.place_id) AS place_id");
    }
}
