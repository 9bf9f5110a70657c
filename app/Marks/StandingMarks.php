<?php

namespace App\Marks;

use App\Models\Learner;
use App\Models\Mark;
use App\Models\Round;
use NobleTurn\Core\Record\Conditions;
use NobleTurn\Core\Record\MarkedRound;
use NobleTurn\Core\Record\Outcome;
use NobleTurn\Core\Record\StepMark;
use NobleTurn\Core\Record\Taught;
use NobleTurn\Core\Routine\RoutineCode;

/** From the append-only log to the marks that stand: rows that no later row corrects and that were not withdrawn. */
final class StandingMarks
{
    /** A round as the core reads it; its marks must be loaded. */
    public static function round(Round $round): MarkedRound
    {
        $corrected = $round->marks->pluck('corrects_id')->filter()->flip();

        return self::marked($round->lesson_id, $round->device_at->toDateTimeImmutable(), $round->routine, $round->place_id, $round->conditions, $round->marks->reject(
            fn (Mark $mark): bool => $mark->withdrawn || $corrected->has($mark->id),
        ));
    }

    /**
     * Every round of a learner, oldest first. Read as plain rows: a long record has thousands of marks.
     *
     * @return list<MarkedRound>
     */
    public static function of(Learner $learner): array
    {
        $rounds = Round::query()->whereIn('lesson_id', $learner->lessons()->select('id'))->orderBy('device_at')->orderBy('id')
            ->toBase()->get(['id', 'lesson_id', 'place_id', 'routine', 'conditions', 'device_at']);
        // What is corrected is left out here: the database would look for a correction of each mark by itself.
        $all = Mark::query()->toBase()->whereIn('round_id', $rounds->pluck('id'))->orderBy('server_at')->orderBy('id')
            ->get(['id', 'round_id', 'kind', 'step', 'outcome', 'taught', 'out_of_order', 'conditions', 'corrects_id', 'withdrawn']);
        $corrected = [];
        foreach ($all as $mark) {
            $corrected[(string) $mark->corrects_id] = true;
        }
        $marks = [];
        foreach ($all as $mark) {
            if (! $mark->withdrawn && ! isset($corrected[$mark->id])) {
                $marks[$mark->round_id][] = $mark;
            }
        }
        $utc = new \DateTimeZone('UTC');

        return array_values($rounds->map(fn (object $round): MarkedRound => self::marked(
            $round->lesson_id, new \DateTimeImmutable($round->device_at, $utc), $round->routine, $round->place_id, (array) json_decode((string) $round->conditions, true), $marks[$round->id] ?? [],
        ))->all());
    }

    /**
     * @param  array<array-key, mixed>  $conditions  as noted when the round began; a later mark of them stands instead
     * @param  iterable<Mark|\stdClass>  $standing
     */
    private static function marked(string $lesson, \DateTimeImmutable $at, string $routine, string $place, array $conditions, iterable $standing): MarkedRound
    {
        $steps = [];
        $taught = null;
        $heldBack = false;
        foreach ($standing as $mark) {
            match ($mark->kind) {
                'step' => $steps[(string) $mark->step] = new StepMark(Outcome::from((string) $mark->outcome), (bool) $mark->out_of_order),
                'taught' => $taught = Taught::from((string) $mark->taught),
                'held-back-rightly' => $heldBack = true,
                'conditions' => $conditions = is_array($mark->conditions) ? $mark->conditions : (array) json_decode((string) $mark->conditions, true),
                default => null,
            };
        }

        return new MarkedRound($lesson, $at, RoutineCode::from($routine), $steps, $taught, $heldBack, Conditions::of($conditions), $place);
    }
}
