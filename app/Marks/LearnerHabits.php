<?php

namespace App\Marks;

use App\Models\Learner;
use App\School\ChosenRules;
use App\School\CurrentSchool;
use App\School\ServersMemory;
use Illuminate\Contracts\Database\Query\Builder;
use NobleTurn\Core\Compute\Tool\RoutineFacts;
use NobleTurn\Core\Compute\Toolbox;
use NobleTurn\Core\Skill\GapThreshold;
use NobleTurn\Core\Skill\HabitKept;
use NobleTurn\Core\Skill\Habits;
use NobleTurn\Core\Skill\JunctionGaps;
use NobleTurn\Core\Skill\LessonCounts;
use NobleTurn\Core\Skill\Rate;
use NobleTurn\Core\Trade\RoutineCode;

/** What the key counted of a learner: habits lesson by lesson, and gaps at junctions beside what is needed. */
final readonly class LearnerHabits
{
    /** Long enough to say nothing of itself: only the least gap is asked for. */
    private const FAR_M = 200.0;

    public function __construct(private CurrentSchool $current)
    {
    }

    /** @return array<string, mixed> */
    public function of(Learner $learner): array
    {
        $habits = Habits::of(StandingMarks::of($learner, self::allTheTime(...)), $this->gapsNeeded($learner));

        return [
            'lessons' => array_map(self::lesson(...), $habits->lessons), 'change' => $habits->change(),
            'junctions' => array_map(self::junction(...), $habits->junctions),
        ];
    }

    /** @return \Closure(RoutineCode): ?float the least gap that is enough for a routine, s, by the rules of whoever teaches */
    public function gapsNeeded(Learner $learner): \Closure
    {
        $last = $learner->lessons()->latest('starts_at')->with('instructor')->first();
        $rules = ChosenRules::of($this->current->school(), $last?->instructor, $learner);

        return fn (RoutineCode $routine): ?float => $this->needed($routine, $rules);
    }

    /** What the key counted, and whatever was said of a stretch between hazards. */
    private static function allTheTime(Builder $marks): void
    {
        $marks->where('marks.kind', 'count')->orWhere('rounds.routine', RoutineCode::BetweenHazards->value);
    }

    /** At the limit of the town, on the flat, from rest; s. */
    private function needed(RoutineCode $routine, ChosenRules $rules): ?float
    {
        $pack = $rules->pack();
        $manoeuvre = RoutineFacts::manoeuvre($routine, $pack);
        if ($manoeuvre === null) {
            return null;
        }

        return ServersMemory::of("gap needed: {$manoeuvre->value}", $rules, static fn (): ?float => Toolbox::run('gap', [
            'pack' => $pack->code(), 'practice' => $rules->answers, 'manoeuvre' => $manoeuvre->value, 'other_distance_m' => self::FAR_M,
            'other_speed_mps' => $pack->townLimit()->inMetresPerSecond(),
        ])['critical_gap_s']);
    }

    /** @return array<string, mixed> */
    private static function lesson(LessonCounts $one): array
    {
        return [
            'lesson' => $one->lesson, 'at' => $one->at->format('Y-m-d\TH:i:s\Z'), 'rear_looks' => $one->rearLooks === null ? null : self::rate($one->rearLooks),
            'ahead_s' => $one->ahead, 'short' => $one->short, 'kept' => array_map(static fn (HabitKept $kept): array => [
                'step' => $kept->step->value, 'clean' => $kept->clean, 'of' => $kept->of, 'faults' => (object) $kept->faults,
            ], $one->kept),
        ];
    }

    /** @return array<string, mixed> */
    private static function rate(Rate $rate): array
    {
        return [
            'number' => $rate->number, 'seconds' => round($rate->seconds, 1), 'a_minute' => round($rate->estimate, 2), 'low' => round($rate->low, 2),
            'high' => round($rate->high, 2),
        ];
    }

    /** @return array<string, mixed> */
    private static function junction(JunctionGaps $one): array
    {
        return [
            'routine' => $one->routine->value, 'let_go' => $one->letGo, 'would_have_done' => $one->wouldHaveDone, 'taken' => $one->taken,
            'too_short' => $one->tooShort, 'needed_s' => $one->needed, 'threshold' => $one->threshold === null ? null : self::threshold($one->threshold),
            'message' => $one->message(),
        ];
    }

    /** @return array<string, mixed> */
    private static function threshold(GapThreshold $threshold): array
    {
        return [
            'estimate_s' => round($threshold->estimate, 1), 'low_s' => round($threshold->low, 1), 'high_s' => round($threshold->high, 1),
            'gaps' => $threshold->evidence,
        ];
    }
}
