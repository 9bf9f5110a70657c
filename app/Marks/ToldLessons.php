<?php

namespace App\Marks;

use App\Models\Learner;
use App\Models\Overruling as Said;
use App\Models\Round;
use App\Models\ToldLesson;
use NobleTurn\Core\Compute\Toolbox;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Skill\Calibration;
use NobleTurn\Core\Skill\Foretold;
use NobleTurn\Core\Skill\LessonTold;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/**
 * What each lesson of a learner told. Two fits a lesson are more than a page may take, so it is kept, and found again by a hash of all it hangs on: the
 * marks of that lesson and of those before it, and the words said by then. A mark that comes late, or is corrected, makes anew what follows it.
 */
final class ToldLessons
{
    /** @var ?array<string, string> what each lesson hangs on, as a hash, in the order in which they began */
    private ?array $stands = null;

    /** @var array<string, int> by lesson */
    private array $marks = [];

    public function __construct(private readonly Learner $learner, private readonly RulePack $pack)
    {
    }

    /** @return list<LessonTold> the latest in which there was enough to mark, oldest first */
    public function latest(): array
    {
        $all = array_keys($this->stands());

        return $this->of(array_slice(array_filter($all, fn (string $id): bool => $this->marks[$id] >= Calibration::WORTH_COUNTING), -Calibration::LESSONS));
    }

    /** @return list<LessonTold> the latest that marked a step of a routine, oldest first */
    public function ofCell(RoutineCode $routine, Step $step, int $lessons): array
    {
        $marked = Round::query()->toBase()->join('marks', 'marks.round_id', '=', 'rounds.id')->join('lessons', 'lessons.id', '=', 'rounds.lesson_id')
            ->where('rounds.school_id', $this->learner->school_id)->where('marks.school_id', $this->learner->school_id)
            ->where('lessons.school_id', $this->learner->school_id)->where('lessons.learner_id', $this->learner->id)->where('rounds.routine', $routine->value)
            // Who rightly held back has looked.
            ->where(static fn ($marks) => $marks->where('marks.step', $step->value)->when($step === Step::Look,
                static fn ($marks) => $marks->orWhere('marks.kind', 'decision')))
            ->distinct()->pluck('rounds.lesson_id')->flip()->all();

        return $this->of(array_slice(array_keys(array_intersect_key($this->stands(), $marked)), -$lessons));
    }

    /**
     * @param  list<string>  $lessons
     * @return list<LessonTold> oldest first, those in which something was marked
     */
    public function of(array $lessons): array
    {
        $stands = array_intersect_key($this->stands(), array_flip($lessons));
        $kept = ToldLesson::query()->whereKey(array_keys($stands))->get()
            ->filter(static fn (ToldLesson $one): bool => $one->stands_for === $stands[$one->lesson_id])->keyBy('lesson_id');
        $missing = array_diff_key($stands, $kept->all());
        $made = $missing === [] ? [] : $this->make($missing);

        return array_values(array_filter(array_map(
            static fn (string $id): ?LessonTold => $kept->has($id) ? LessonTold::fromArray($kept[$id]->body) : $made[$id] ?? null, array_keys($stands),
        )));
    }

    /**
     * Of the whole school, as last found: what was foretold of the latest lessons of each learner who is there.
     *
     * @return array<string, list<Foretold>> by learner, oldest lesson first
     */
    public static function ofSchool(): array
    {
        $there = Learner::query()->pluck('id')->flip();

        return ToldLesson::query()->orderBy('ended_at')->orderBy('lesson_id')->get(['lesson_id', 'learner_id', 'foretold'])
            ->filter(static fn (ToldLesson $one): bool => ($one->foretold['marks'] ?? 0) >= Calibration::WORTH_COUNTING && $there->has($one->learner_id))
            ->groupBy('learner_id')
            ->map(static fn ($of): array => array_map(
                static fn (ToldLesson $one): Foretold => Foretold::fromArray($one->foretold ?? []), array_values($of->slice(-Calibration::LESSONS)->all()),
            ))->all();
    }

    /**
     * @param  array<string, string>  $lessons
     * @return array<string, LessonTold> by lesson
     */
    private function make(array $lessons): array
    {
        $evidence = SkillEvidence::of($this->learner, StandingMarks::of($this->learner), $this->pack);
        $words = SkillEvidence::words($this->learner);
        $made = $rows = [];
        foreach ($lessons as $id => $stands) {
            $told = LessonTold::of($id, $evidence, $words, $this->pack);
            if ($told === null) {
                continue;
            }
            $made[$id] = $told;
            $rows[] = [
                'lesson_id' => $id, 'school_id' => $this->learner->school_id, 'learner_id' => $this->learner->id, 'stands_for' => $stands,
                'ended_at' => $told->ended->format('Y-m-d H:i:s'), 'body' => json_encode($told->toArray(), JSON_THROW_ON_ERROR),
                'foretold' => $told->foretold === null ? null : json_encode($told->foretold, JSON_THROW_ON_ERROR),
            ];
        }
        // In one go: a page and the worker may both have found it old.
        ToldLesson::query()->upsert($rows, ['lesson_id'], ['stands_for', 'ended_at', 'body', 'foretold']);

        return $made;
    }

    /** @return array<string, string> */
    private function stands(): array
    {
        if ($this->stands !== null) {
            return $this->stands;
        }
        // From the learner's lessons inwards, the school said of every table: each index begins with it.
        $lessons = Round::query()->toBase()->join('lessons', 'lessons.id', '=', 'rounds.lesson_id')->join('marks', 'marks.round_id', '=', 'rounds.id')
            ->where('rounds.school_id', $this->learner->school_id)->where('marks.school_id', $this->learner->school_id)
            ->where('lessons.school_id', $this->learner->school_id)->where('lessons.learner_id', $this->learner->id)
            ->groupBy('rounds.lesson_id', 'lessons.instructor_id')->selectRaw(
                'rounds.lesson_id, lessons.instructor_id, MIN(rounds.began_at) AS began, MAX(rounds.began_at) AS ended, COUNT(*) AS marks, '
                .Basis::mixed('marks.id').' AS mixed',
            )->get()->sortBy(static fn (object $one): array => [$one->began, $one->lesson_id])->values();
        $words = Said::query()->where('learner_id', $this->learner->id)->whereNull('withdrawn_at')->orderBy('created_at')->orderBy('id')->toBase()
            ->get(['id', 'routine', 'step', 'level', 'created_at']);
        $hash = Toolbox::VERSION." {$this->pack->code()} {$this->pack->version()}";
        $this->stands = [];
        foreach ($lessons as $one) {
            $said = $words->filter(static fn (object $word): bool => $word->created_at <= $one->ended);
            $hash = hash('sha256', $hash.json_encode([$one, $said->values()], JSON_THROW_ON_ERROR));
            $this->stands[$one->lesson_id] = $hash;
            $this->marks[$one->lesson_id] = (int) $one->marks;
        }

        return $this->stands;
    }
}
