<?php

namespace App\School;

use App\Marks\Basis;
use App\Models\BusyTime;
use App\Models\Learner;
use App\Models\Lesson;
use App\Models\Mark;
use App\Models\Place;
use App\Models\SkillAnswer;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Cache;
use NobleTurn\Core\Compute\Toolbox;
use NobleTurn\Core\Diary\LessonState;
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
        $answers = SkillAnswer::query()->get(['learner_id', 'day', 'glance', 'outlook'])->keyBy('learner_id');
        $booked = $this->booked();
        $tests = BusyTime::query()->where('kind', 'test')->where('starts_at', '>', now())
            ->toBase()->groupBy('learner_id')->selectRaw('learner_id, MIN(starts_at) AS at')->pluck('at', 'learner_id');

        return array_values(Learner::query()->withCount(['lessons as lessons_done' => fn ($lessons) => $lessons->whereIn('state', ['done', 'cut-short'])])
            ->withMax(['lessons as last_lesson_at' => fn ($lessons) => $lessons->whereIn('state', ['done', 'cut-short'])], 'starts_at')->orderBy('name')->get()
            ->map(function (Learner $learner) use ($answers, $booked, $tests): array {
                $answer = $answers->get($learner->id);
                $last = $learner->getAttribute('last_lesson_at');

                return [
                    ...$learner->only(['id', 'name', 'level']),
                    'lessons_done' => (int) $learner->getAttribute('lessons_done'),
                    'last_lesson_at' => self::moment($last), 'next_lesson_at' => self::moment($booked->get($learner->id)),
                    'test_at' => self::moment($tests->get($learner->id)), 'outlook' => $answer?->outlook,
                    'skill' => $answer === null ? null : [
                        'day' => $answer->day, 'steps' => (object) $answer->glance['steps'],
                    ] + array_diff_key($answer->glance, ['cells' => 0, 'only_shown' => 0, 'marking' => 0]),
                ];
            })->all());
    }

    /**
     * @return array<string, list<array<string, mixed>>> routines, failures by cause and by place; counted anew where anything they are counted from has changed
     */
    public function teaching(): array
    {
        $stands = 'teaching '.hash('sha256', json_encode([
            $this->current->id(), $this->pack()->code(), $this->pack()->version(), Toolbox::VERSION,
            Mark::query()->toBase()->selectRaw('COUNT(*) AS marks, '.Basis::mixed('id').' AS mixed')->first(),
            Learner::query()->orderBy('id')->pluck('id'), Place::withTrashed()->orderBy('id')->toBase()->get(['id', 'name']),
            SkillAnswer::query()->orderBy('learner_id')->pluck('stands_for'),
        ], JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE));

        return Cache::remember($stands, now()->addDay(), function (): array {
            $driven = new DrivenRounds($this->current->id());

            return ['routines' => $this->routines(), 'failures' => $this->failures($driven), 'places' => $this->places($driven)];
        });
    }

    /** @return list<array<string, mixed>> */
    private function routines(): array
    {
        $pack = $this->pack();
        $there = Learner::query()->pluck('id')->flip();
        $answers = SkillAnswer::query()->get(['learner_id', 'glance'])->filter(static fn (SkillAnswer $answer): bool => $there->has($answer->learner_id));
        $learners = array_values(
            $answers->map(static fn (SkillAnswer $answer): array => ['cells' => $answer->glance['cells'], 'shown' => $answer->glance['only_shown']])->all(),
        );

        return array_map(static fn (RoutineTaught $one): array => [
            'routine' => $one->routine->value, 'learners' => $one->learners, 'only_shown' => $one->onlyShown, 'never' => $one->never,
            'enough' => $one->isEnough(),
            'average' => self::rounded($one->average), 'low' => self::rounded($one->low), 'high' => self::rounded($one->high), 'weakest' => $one->weakest,
        ], RoutineTaught::of(Catalogue::codes($pack), $learners));
    }

    /** @return list<array<string, mixed>> */
    private function failures(DrivenRounds $driven): array
    {
        return array_map(static fn (Failure $one): array => [
            'routine' => $one->routine->value, 'step' => $one->step->value, 'helped' => self::share($one->helped), 'learners' => $one->learners,
            'enough' => $one->isEnough(),
            'cause' => $one->cause?->value, 'cause_shows' => $one->causeShows(), 'with' => $one->with === null ? null : self::share($one->with),
            'without' => $one->without === null ? null : self::share($one->without),
        ], Failure::of($driven->steps(), $driven->pairs(), $this->pack()));
    }

    /** @return list<array<string, mixed>> */
    private function places(DrivenRounds $driven): array
    {
        $names = Place::withTrashed()->pluck('name', 'id');

        return array_map(static fn (PlaceDriven $one): array => [
            'place' => $one->place, 'name' => $names[$one->place] ?? '', 'routine' => $one->routine->value, 'failed' => self::share($one->failed),
            'learners' => $one->learners,
            'enough' => $one->isEnough(), 'fails_more' => $one->failsMore(), 'elsewhere' => self::share($one->elsewhere),
            'step' => $one->step?->value, 'step_rounds' => $one->stepRounds,
        ], PlaceDriven::of($driven->places(), $driven->failedSteps()));
    }

    /** @return Collection<array-key, mixed> when the next lesson is, by learner */
    private function booked(): Collection
    {
        return Lesson::query()->where('starts_at', '>', now())->where('state', LessonState::Booked->value)->toBase()
            ->groupBy('learner_id')->selectRaw('learner_id, MIN(starts_at) AS at')->pluck('at', 'learner_id');
    }

    private static function moment(mixed $at): ?string
    {
        return is_string($at) ? str_replace(' ', 'T', $at).'Z' : null;
    }

    private function pack(): RulePack
    {
        return ChosenRules::of($this->current->school())->pack();
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
