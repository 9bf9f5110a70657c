<?php

namespace App\Marks;

use App\Models\Learner;
use App\Models\Lesson;
use App\Models\Mark;
use App\Models\Overruling;
use App\Models\User;
use App\School\ChosenRules;
use App\School\CurrentSchool;
use NobleTurn\Core\Compute\Toolbox;
use NobleTurn\Core\Rules\RulePack;

/**
 * Everything a learner's answer is computed from, as one hash: where any of it changes, the kept answer is no longer found. Read for
 * many learners in a few queries, so that a whole school's stale records are found at once.
 */
final readonly class Basis
{
    public function __construct(private CurrentSchool $current)
    {
    }

    /**
     * @param  ?list<string>  $ids  learners; null for all of the school
     * @return array<string, string> hash by learner
     */
    public function of(?array $ids, \DateTimeImmutable $now): array
    {
        $learners = ($ids === null ? Learner::query() : Learner::withTrashed()->whereKey($ids))->get(['id', 'school_id', 'pack', 'practice', 'transmission']);
        $within = static fn ($rows, string $column) => $ids === null ? $rows : $rows->whereIn($column, $ids);
        $lessons = $within(Lesson::query(), 'learner_id')->orderBy('starts_at')->orderBy('id')->toBase()
            ->get(['id', 'learner_id', 'instructor_id', 'starts_at', 'minutes', 'state', 'self_rating'])->groupBy('learner_id');
        // The school is said of all three: their indexes begin with it.
        $marks = $within(Mark::query()->toBase()->join('rounds', 'rounds.id', '=', 'marks.round_id')->join('lessons', 'lessons.id', '=', 'rounds.lesson_id')
            ->where('rounds.school_id', $this->current->id())->where('lessons.school_id', $this->current->id()), 'lessons.learner_id')
            ->groupBy('lessons.learner_id')->selectRaw(
                'lessons.learner_id, COUNT(*) AS marks, '.self::mixed('marks.id').' AS mixed',
            )->get()->keyBy('learner_id');
        $said = $within(Overruling::query(), 'learner_id')->orderBy('id')->toBase()->get([
            'id', 'learner_id', 'routine', 'step', 'level', 'withdrawn_at', 'created_at',
        ])->groupBy('learner_id');
        $last = $lessons->map(static fn ($of): string => $of->last()->instructor_id);
        $instructors = User::query()->where('school_id', $this->current->id())->whereKey($last->unique()->values())->get()->keyBy('id');
        $school = $this->current->school();
        $found = [];
        foreach ($learners as $learner) {
            $taught = $lessons->get($learner->id);
            $rules = ChosenRules::of($school, $instructors->get($taught?->last()?->instructor_id), $learner);
            // What is practised decides which gap is long enough.
            $found[$learner->id] = self::hash($rules->pack(), $now, [
                $taught, $marks->get($learner->id), $said->get($learner->id), $learner->transmission, $rules->answers,
            ]);
        }

        return $found;
    }

    /** A number that changes with the set of ids, whatever their order. Rows of the log are only ever added: with their count it tells. */
    public static function mixed(string $column): string
    {
        return "BIT_XOR(CRC32({$column}))";
    }

    /** @param  list<mixed>  $rows */
    private static function hash(RulePack $pack, \DateTimeImmutable $now, array $rows): string
    {
        return hash(
            'sha256',
            json_encode([Toolbox::VERSION, $pack->code(), $pack->version(), $now->format('Y-m-d'), $rows], JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE),
        );
    }
}
