<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

use NobleTurn\Core\Record\Count;
use NobleTurn\Core\Record\Counted;
use NobleTurn\Core\Record\MarkedRound;
use NobleTurn\Core\Trade\RoutineCode;

/**
 * What is done all the time: rear looks a minute, the gap ahead and what was marked between hazards by lesson; and the gaps let go and taken
 * at junctions.
 */
final readonly class Habits
{
    /**
     * @param  list<LessonCounts>  $lessons  oldest first, those in which something was counted
     * @param  list<JunctionGaps>  $junctions
     */
    private function __construct(public array $lessons, public array $junctions)
    {
    }

    /**
     * @param  list<MarkedRound>  $rounds  oldest first
     * @param  \Closure(RoutineCode): ?float  $needed  the least gap that is enough for a routine, s
     */
    public static function of(array $rounds, \Closure $needed): self
    {
        $byLesson = $byRoutine = [];
        foreach ($rounds as $round) {
            if ($round->counts !== [] || $round->routine === RoutineCode::BetweenHazards) {
                $byLesson[$round->lesson][] = $round;
            }
            if ($round->counts !== []) {
                $byRoutine[$round->routine->value][] = $round;
            }
        }
        $lessons = array_map(self::lesson(...), array_values($byLesson));
        $junctions = array_map(static fn (array $of): ?JunctionGaps => JunctionGaps::of($of[0]->routine, $of, $needed($of[0]->routine)), $byRoutine);

        return new self(array_values(array_filter($lessons)), array_values(array_filter($junctions)));
    }

    /**
     * How rear looks have changed: the older half of what was counted against the newer, in words.
     *
     * @return array{more: ?bool, message: string} null where the ranges have something in common
     */
    public function change(): array
    {
        $rates = array_values(array_filter(array_map(static fn (LessonCounts $one): ?Rate => $one->rearLooks, $this->lessons)));
        if (count($rates) < 2) {
            return ['more' => null, 'message' => $rates === [] ? 'Not counted yet.' : 'Counted in one lesson: the next shows whether it changes.'];
        }
        $half = intdiv(count($rates), 2);
        [$then, $now] = [self::together(array_slice($rates, 0, $half)), self::together(array_slice($rates, $half))];
        $figures = sprintf('%.1f a minute then, %.1f now', $then->estimate, $now->estimate);

        return match (true) {
            $then->isBelow($now) => ['more' => true, 'message' => "More than at first: {$figures}."],
            $now->isBelow($then) => ['more' => false, 'message' => "Fewer than at first: {$figures}."],
            default => ['more' => null, 'message' => "No change that could not be chance: {$figures}."],
        };
    }

    /** @param  non-empty-list<MarkedRound>  $rounds */
    private static function lesson(array $rounds): ?LessonCounts
    {
        $counts = array_merge(...array_map(static fn (MarkedRound $round): array => $round->counts, $rounds));
        $of = static fn (Counted $what): array => array_values(array_filter($counts, static fn (Count $count): bool => $count->what === $what));
        $looks = $of(Counted::RearLooks);
        $ahead = $of(Counted::CountedGap);

        $kept = HabitKept::all($rounds);

        return $looks === [] && $ahead === [] && $kept === [] ? null : new LessonCounts(
            $rounds[0]->lesson, $rounds[0]->at,
            $looks === [] ? null : Rate::of(array_sum(array_column($looks, 'number')), array_sum(array_column($looks, 'seconds'))),
            array_column($ahead, 'seconds'),
            count(array_filter($ahead, static fn (Count $count): bool => $count->seconds < $count->number)),
            $kept,
        );
    }

    /** @param  list<Rate>  $rates  some */
    private static function together(array $rates): Rate
    {
        return Rate::of(array_sum(array_column($rates, 'number')), array_sum(array_column($rates, 'seconds')));
    }
}
