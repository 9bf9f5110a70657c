<?php

namespace App\Marks;

use App\Models\Learner;
use App\Models\Lesson;
use App\Models\SkillAnswer;
use App\School\ChosenRules;
use App\School\CurrentSchool;
use NobleTurn\Core\Compute\Tool\SkillPresenter;
use NobleTurn\Core\Record\MarkedRound;
use NobleTurn\Core\Record\Outcome;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Skill\Calibration;
use NobleTurn\Core\Skill\Changed;
use NobleTurn\Core\Skill\Foretold;
use NobleTurn\Core\Skill\History;
use NobleTurn\Core\Skill\Leant;
use NobleTurn\Core\Skill\LessonTold;
use NobleTurn\Core\Skill\Record;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;
use NobleTurn\Core\Vehicle\Transmission;

/**
 * What a learner's marks say today. Fitting a long record takes longer than a page may, so the answer is kept, and found again by a
 * hash of everything it was computed from.
 */
final readonly class LearnerSkill
{
    public function __construct(private CurrentSchool $current, private Basis $basis)
    {
    }

    /** Somebody reads what the marks say: from now on a correction of one of them is history. Where none came since the last reading nothing is written. */
    public static function isRead(Learner $learner): void
    {
        [$read, $came] = [$learner->marks_read_at, $learner->marks_came_at];
        if ($came !== null && ($read === null || $read <= $came)) {
            Learner::withTrashed()->whereKey($learner->id)->toBase()->update(['marks_read_at' => now()->format('Y-m-d H:i:s.v')]);
        }
    }

    /** @return array<string, mixed> as the tool answers, with the counts of the record */
    public function of(Learner $learner, \DateTimeImmutable $now): array
    {
        $standsFor = $this->basis->of([$learner->id], $now)[$learner->id];
        $kept = SkillAnswer::query()->find($learner->id);
        if ($kept !== null && $kept->stands_for === $standsFor) {
            return $kept->body;
        }
        $pack = $this->pack($learner);
        $marked = StandingMarks::of($learner);
        $record = new Record(
            SkillEvidence::of($learner, $marked, $pack), $pack, $now, SkillEvidence::words($learner), $this->ratings($learner),
            transmission: Transmission::from($learner->transmission), gaps: $this->gaps($learner, $marked),
        );
        $body = SkillPresenter::body($record) + ['counts' => LearnerCounts::of($learner, $marked)];
        $glance = SkillPresenter::glance($body) + ['marking' => $record->fit->marking()];
        // In one go: a page and the worker may both have found it old.
        SkillAnswer::query()->upsert([[
            'learner_id' => $learner->id, 'school_id' => $learner->school_id, 'stands_for' => $standsFor, 'day' => $now->format('Y-m-d'),
            'body' => json_encode($body, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE),
            'glance' => json_encode($glance, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE),
        ]], ['learner_id'], ['stands_for', 'day', 'body', 'glance']);

        return $body;
    }

    /** @return list<array<string, mixed>> one step of one routine, lesson by lesson */
    public function history(Learner $learner, RoutineCode $routine, Step $step): array
    {
        $pack = $this->pack($learner);

        return array_map(static fn (History $one): array => [
            'lesson' => $one->lesson, 'at' => $one->at->format('Y-m-d\TH:i:s\Z'), 'unaided' => $one->unaided, 'of' => $one->of,
            ...SkillPresenter::belief($one->belief),
        ], History::of((new ToldLessons($learner, $pack))->ofCell($routine, $step, History::LESSONS), $routine, $step));
    }

    /** @return list<array<string, mixed>> what a lesson changed, most first */
    public function changed(Lesson $lesson): array
    {
        $told = (new ToldLessons($lesson->learner, $this->pack($lesson->learner)))->of([$lesson->id])[0] ?? null;

        return array_map(static fn (Changed $one): array => [
            'routine' => $one->routine->value, 'step' => $one->step->value, 'marks' => $one->marks, 'unaided' => $one->unaided,
            'before' => $one->before === null ? null : SkillPresenter::belief($one->before), 'after' => SkillPresenter::belief($one->after),
            'by' => round($one->by(), 4),
        ], $told->changed ?? []);
    }

    /** How well the latest lessons were foretold; null where there is nothing yet to hold against. */
    public function calibration(Learner $learner): ?Calibration
    {
        $told = (new ToldLessons($learner, $this->pack($learner)))->latest();

        return Calibration::of(array_values(array_filter(array_map(static fn (LessonTold $one): ?Foretold => $one->foretold, $told))));
    }

    /** The rules of whoever teaches: a record says the same to every colleague who reads it. */
    public function pack(Learner $learner): RulePack
    {
        return ChosenRules::of($this->current->school(), $learner->lessons()->latest('starts_at')->with('instructor')->first()?->instructor, $learner)->pack();
    }

    /**
     * What the gaps that were counted tell of leaning.
     *
     * @param  list<MarkedRound>  $marked
     * @return list<Leant>
     */
    private function gaps(Learner $learner, array $marked): array
    {
        $counted = array_filter($marked, static fn (MarkedRound $round): bool => $round->counts !== []);
        if ($counted === []) {
            return [];
        }
        $needed = (new LearnerHabits($this->current))->gapsNeeded($learner);

        return array_merge(...array_map(static fn (MarkedRound $round): array => Leant::ofGaps($round, $needed($round->routine)), array_values($counted)));
    }

    /** @return array<string, array<string, Outcome>> by lesson and step, oldest first */
    private function ratings(Learner $learner): array
    {
        return $learner->lessons()->orderBy('starts_at')->get(['id', 'self_rating'])
            ->mapWithKeys(
                static fn (Lesson $lesson): array => [
                    $lesson->id => array_map(static fn (string $said): Outcome => Outcome::from($said), $lesson->self_rating),
                ],
            )->all();
    }
}
