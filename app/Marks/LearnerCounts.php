<?php

namespace App\Marks;

use App\Models\Learner;
use NobleTurn\Core\Diary\LessonState;
use NobleTurn\Core\Record\Hours;
use NobleTurn\Core\Record\MarkedRound;
use NobleTurn\Core\Record\Tally;

/** What is simply counted of a record: rounds, hours by conditions, outcomes by routine and step. */
final class LearnerCounts
{
    /**
     * @param  list<MarkedRound>  $marked
     * @return array{
     *     rounds: int, by_lesson: array<string, int>, hours: array{total: float, minutes: array<string, array<string, float>>},
     *     tallies: list<array<string, mixed>>,
     * }
     */
    public static function of(Learner $learner, array $marked): array
    {
        return ['rounds' => count($marked), 'by_lesson' => array_count_values(
            array_map(static fn (MarkedRound $round): string => $round->lesson, $marked),
        ), 'hours' => self::hours($learner, $marked), 'tallies' => array_map(static fn (Tally $tally): array => [
            'routine' => $tally->routine->value, 'step' => $tally->step->value, 'counts' => $tally->counts, 'marked' => $tally->marked(),
            'out_of_order' => $tally->outOfOrder, 'taught' => $tally->taught,
        ], Tally::all($marked))];
    }

    /**
     * Minutes at the wheel by what it was driven in.
     *
     * @param  list<MarkedRound>  $marked
     * @return array{total: float, minutes: array<string, array<string, float>>}
     */
    private static function hours(Learner $learner, array $marked): array
    {
        $rounds = [];
        foreach ($marked as $round) {
            $rounds[$round->lesson][] = $round->conditions;
        }
        // A lesson that is over but was never closed was driven all the same where rounds were marked in it.
        $driven = $learner->lessons()->toBase()->get(['id', 'minutes', 'cut_to_minutes', 'state'])->filter(
            static fn (object $lesson): bool => LessonState::from($lesson->state)->isDriven() || isset($rounds[$lesson->id]),
        );
        $hours = Hours::of(
            array_values(
                $driven->map(static fn (object $lesson): array => [
                    'minutes' => (float) ($lesson->cut_to_minutes ?? $lesson->minutes), 'rounds' => $rounds[$lesson->id] ?? [],
                ])->all(),
            ),
        );

        return [
            'total' => $hours->totalHours,
            'minutes' => array_map(
                static fn (array $kind): array => array_map(static fn (float $minutes): float => round($minutes, 1), $kind), $hours->minutes,
            ),
        ];
    }
}
