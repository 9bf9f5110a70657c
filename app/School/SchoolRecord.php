<?php

namespace App\School;

use App\Models\Learner;
use App\Models\Place;
use App\Models\Round;
use App\Models\SkillAnswer;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\School\Failure;
use NobleTurn\Core\School\PlaceDriven;
use NobleTurn\Core\School\RoutineTaught;
use NobleTurn\Core\School\Share;

/** What the marks of all learners say of the school: who stands where, what is taught worst or never, where and why help is needed. */
final readonly class SchoolRecord
{
    public function __construct(private CurrentSchool $current)
    {
    }

    /** @return list<array<string, mixed>> every learner with what their marks were last found to say */
    public function learners(): array
    {
        $answers = SkillAnswer::query()->get(['learner_id', 'day', 'glance'])->keyBy('learner_id');

        return array_values(Learner::query()->withCount(['lessons as lessons_done' => fn ($lessons) => $lessons->where('state', 'done')])
            ->withMax(['lessons as last_lesson_at' => fn ($lessons) => $lessons->where('state', 'done')], 'starts_at')->orderBy('name')->get()
            ->map(function (Learner $learner) use ($answers): array {
                $answer = $answers->get($learner->id);
                $last = $learner->getAttribute('last_lesson_at');

                return [
                    ...$learner->only(['id', 'name', 'level']),
                    'lessons_done' => (int) $learner->getAttribute('lessons_done'),
                    'last_lesson_at' => is_string($last) ? str_replace(' ', 'T', $last).'Z' : null,
                    'skill' => $answer === null ? null : ['day' => $answer->day, ...array_diff_key($answer->glance, ['cells' => 0, 'only_shown' => 0])],
                ];
            })->all());
    }

    /** @return list<array<string, mixed>> */
    public function routines(): array
    {
        $pack = $this->pack();
        $there = Learner::query()->pluck('id')->flip();
        $answers = SkillAnswer::query()->get(['learner_id', 'glance'])->filter(static fn (SkillAnswer $answer): bool => $there->has($answer->learner_id));
        $learners = array_values($answers->map(static fn (SkillAnswer $answer): array => ['cells' => $answer->glance['cells'], 'shown' => $answer->glance['only_shown']])->all());

        return array_map(static fn (RoutineTaught $one): array => [
            'routine' => $one->routine->value, 'learners' => $one->learners, 'only_shown' => $one->onlyShown, 'never' => $one->never, 'enough' => $one->isEnough(),
            'average' => self::rounded($one->average), 'low' => self::rounded($one->low), 'high' => self::rounded($one->high), 'weakest' => $one->weakest,
        ], RoutineTaught::of(Catalogue::codes($pack), $learners));
    }

    /** @return list<array<string, mixed>> */
    public function failures(): array
    {
        $steps = $this->stepMarks()->groupBy('rounds.routine', 'marks.step')
            ->selectRaw('rounds.routine, marks.step, COUNT(*) AS marks, SUM('.self::HELPED.') AS helped, COUNT(DISTINCT lessons.learner_id) AS learners')->get();
        $each = fn (): Builder => $this->stepMarks()->select(['marks.round_id', 'rounds.routine', 'marks.step'])->selectRaw(self::HELPED.' AS helped');
        $pairs = DB::query()->fromSub($each(), 'one')->joinSub($each(), 'other', fn ($join) => $join->on('other.round_id', '=', 'one.round_id')->on('other.step', '!=', 'one.step'))
            ->groupBy('one.routine', 'one.step', 'other.step', 'one.helped')
            ->selectRaw('one.routine, one.step, other.step AS other, one.helped, COUNT(*) AS rounds, SUM(other.helped) AS other_helped')->get();

        return array_map(static fn (Failure $one): array => [
            'routine' => $one->routine->value, 'step' => $one->step->value, 'helped' => self::share($one->helped), 'learners' => $one->learners, 'enough' => $one->isEnough(),
            'cause' => $one->cause?->value, 'with' => $one->with === null ? null : self::share($one->with), 'without' => $one->without === null ? null : self::share($one->without),
        ], Failure::of(
            array_values($steps->map(static fn (object $row): array => ['routine' => $row->routine, 'step' => $row->step, 'marks' => (int) $row->marks, 'helped' => (int) $row->helped, 'learners' => (int) $row->learners])->all()),
            array_values($pairs->map(static fn (object $row): array => ['routine' => $row->routine, 'step' => $row->step, 'other' => $row->other, 'helped' => (bool) $row->helped, 'rounds' => (int) $row->rounds, 'other_helped' => (int) $row->other_helped])->all()),
            $this->pack(),
        ));
    }

    /** @return list<array<string, mixed>> */
    public function places(): array
    {
        $byRound = $this->stepMarks()->groupBy('marks.round_id', 'rounds.place_id', 'rounds.routine', 'lessons.learner_id')
            ->selectRaw('rounds.place_id, rounds.routine, lessons.learner_id, MAX('.self::FAILED.') AS failed');
        $rows = DB::query()->fromSub($byRound, 'driven')->groupBy('place_id', 'routine')
            ->selectRaw('place_id, routine, COUNT(*) AS rounds, SUM(failed) AS failed, COUNT(DISTINCT learner_id) AS learners')->get();
        $steps = $this->stepMarks()->groupBy('rounds.place_id', 'rounds.routine', 'marks.step')->selectRaw('rounds.place_id, rounds.routine, marks.step, SUM('.self::FAILED.') AS failed')->get();
        $names = Place::withTrashed()->pluck('name', 'id');

        return array_map(static fn (PlaceDriven $one): array => [
            'place' => $one->place, 'name' => $names[$one->place] ?? '', 'routine' => $one->routine->value, 'failed' => self::share($one->failed), 'learners' => $one->learners,
            'enough' => $one->isEnough(), 'fails_more' => $one->failsMore(), 'elsewhere' => self::share($one->elsewhere), 'step' => $one->step?->value, 'step_rounds' => $one->stepRounds,
        ], PlaceDriven::of(
            array_values($rows->map(static fn (object $row): array => ['place' => $row->place_id, 'routine' => $row->routine, 'rounds' => (int) $row->rounds, 'failed' => (int) $row->failed, 'learners' => (int) $row->learners])->all()),
            array_values($steps->map(static fn (object $row): array => ['place' => $row->place_id, 'routine' => $row->routine, 'step' => $row->step, 'failed' => (int) $row->failed])->all()),
        ));
    }

    /** Failed, where a step was missed or the instructor stepped in. */
    private const FAILED = "(marks.outcome IN ('missed', 'intervened'))";

    /** A step was helped where it was not unaided, or out of order. */
    private const HELPED = "(marks.outcome <> 'unaided' OR marks.out_of_order)";

    /** Every standing mark of a step in a round that is evidence. */
    private function stepMarks(): Builder
    {
        $standing = static fn (Builder $of, string $marks) => $of->whereNotExists(static fn (Builder $later) => $later->from('marks', "later_{$marks}")->whereColumn("later_{$marks}.corrects_id", "{$marks}.id"))->where("{$marks}.withdrawn", false);

        return $standing(Round::query()->toBase()->join('marks', 'marks.round_id', '=', 'rounds.id')->join('lessons', 'lessons.id', '=', 'rounds.lesson_id')->where('marks.kind', 'step'), 'marks')
            ->whereNotExists(static fn (Builder $taught) => $standing($taught->from('marks', 'taught')->whereColumn('taught.round_id', 'rounds.id')->where('taught.kind', 'taught'), 'taught'));
    }

    private function pack(): RulePack
    {
        return Doctrine::of($this->current->school())->pack();
    }

    /** @return array{count: int, of: int, low: float, high: float} */
    private static function share(Share $share): array
    {
        return ['count' => $share->count, 'of' => $share->of, 'low' => round($share->low, 4), 'high' => round($share->high, 4)];
    }

    private static function rounded(?float $value): ?float
    {
        return $value === null ? null : round($value, 4);
    }
}
