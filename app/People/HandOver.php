<?php

namespace App\People;

use App\Models\Learner;
use App\Models\Lesson;
use App\Models\User;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Carbon;
use Illuminate\Validation\ValidationException;

/** Gives the lessons somebody has ahead to a colleague. What was driven stays under the name of who sat there. */
final class HandOver
{
    /**
     * @return array{learners: list<array{id: string, name: string, lessons: int, next_at: string}>, clashes: list<array{starts_at: string,
     *     learner: string, with: string}>}
     *
     *     whose lessons there are, and which would lie on top of a lesson of the colleague's own
     */
    public function plan(User $from, ?User $to): array
    {
        $lessons = self::ahead($from)->with('learner')->orderBy('starts_at')->get();
        $learners = $lessons->groupBy('learner_id')->map(static fn (Collection $of): array => [
            'id' => $of[0]->learner_id, 'name' => $of[0]->learner->name, 'lessons' => $of->count(), 'next_at' => $of[0]->starts_at->toIso8601ZuluString(),
        ]);

        return ['learners' => array_values($learners->sortBy('name')->all()), 'clashes' => $to === null ? [] : self::clashes($lessons, $to)];
    }

    /**
     * @param  ?list<string>  $learners  only these; null for all
     * @return int how many lessons were given over
     */
    public function move(User $from, User $to, ?array $learners): int
    {
        if ($learners !== null && Learner::withTrashed()->whereKey(array_unique($learners))->count() !== count(array_unique($learners))) {
            throw ValidationException::withMessages(['learners' => 'One of them is no learner of this school.']);
        }

        return self::ahead($from)->when(
            $learners !== null, fn (Builder $ahead) => $ahead->whereIn('learner_id', $learners ?? []),
        )->toBase()->update(['instructor_id' => $to->id, 'updated_at' => now()]);
    }

    /** @return Builder<Lesson> */
    private static function ahead(User $of): Builder
    {
        return Lesson::query()->where('instructor_id', $of->id)->where('state', 'planned')->where('starts_at', '>', now());
    }

    /**
     * @param  Collection<int, Lesson>  $lessons
     * @return list<array{starts_at: string, learner: string, with: string}>
     */
    private static function clashes(Collection $lessons, User $to): array
    {
        $end = static fn (Lesson $lesson): Carbon => $lesson->starts_at->copy()->addMinutes($lesson->minutes);
        $own = Lesson::query()->with('learner')->where('instructor_id', $to->id)->where('state', 'planned')->whereRaw(
            'starts_at + INTERVAL minutes MINUTE > ?', [now()],
        )->orderBy('starts_at')->get();
        $clashes = [];
        foreach ($lessons as $lesson) {
            $on = $own->first(static fn (Lesson $mine): bool => $mine->starts_at < $end($lesson) && $lesson->starts_at < $end($mine));
            if ($on !== null) {
                $clashes[] = ['starts_at' => $lesson->starts_at->toIso8601ZuluString(), 'learner' => $lesson->learner->name, 'with' => $on->learner->name];
            }
        }

        return $clashes;
    }
}
