<?php

namespace App\People;

use App\Diary\Appointments;
use App\Diary\Bookings;
use App\Models\BusyTime;
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
     *     whose lessons there are, and which would lie on top of what the colleague has
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
     * @return array{moved: int, stayed: int} how many lessons were given over, and how many stay because the colleague is taken
     */
    public function move(User $from, User $to, ?array $learners): array
    {
        if ($learners !== null && Learner::withTrashed()->whereKey(array_unique($learners))->count() !== count(array_unique($learners))) {
            throw ValidationException::withMessages(['learners' => 'One of them is no learner of this school.']);
        }

        $lessons = self::ahead($from)->when($learners !== null, static fn (Builder $ahead) => $ahead->whereIn('learner_id', $learners ?? []))
            ->orderBy('starts_at')->get();
        $stayed = 0;
        foreach ($lessons as $lesson) {
            $stayed += Bookings::giveTo($lesson, $to) ? 0 : 1;
        }
        // Whoever teaches them goes to the test with them, where they can.
        $tests = BusyTime::query()->where('instructor_id', $from->id)->where('kind', 'test')->where('starts_at', '>', now())
            ->when($learners !== null, static fn (Builder $ahead) => $ahead->whereIn('learner_id', $learners ?? []))->get();
        foreach ($tests as $test) {
            Bookings::giveTo($test, $to);
        }

        return ['moved' => $lessons->count() - $stayed, 'stayed' => $stayed];
    }

    /** @return Builder<Lesson> */
    private static function ahead(User $of): Builder
    {
        return Lesson::query()->where('instructor_id', $of->id)->where('state', 'booked')->where('starts_at', '>', now());
    }

    /**
     * @param  Collection<int, Lesson>  $lessons
     * @return list<array{starts_at: string, learner: string, with: string}>
     */
    private static function clashes(Collection $lessons, User $to): array
    {
        $end = static fn (Lesson $lesson): Carbon => $lesson->starts_at->copy()->addMinutes($lesson->minutes);
        $own = Lesson::query()->with('learner')->where('instructor_id', $to->id)->tap(Appointments::holding(...))->whereRaw(
            'starts_at + INTERVAL minutes MINUTE > ?', [now()],
        )->orderBy('starts_at')->get();
        $held = BusyTime::query()->with('learner')->where('instructor_id', $to->id)->where('ends_at', '>', now())->orderBy('starts_at')->get();
        $clashes = [];
        foreach ($lessons as $lesson) {
            $on = $own->first(static fn (Lesson $mine): bool => $mine->starts_at < $end($lesson) && $lesson->starts_at < $end($mine));
            $on ??= $held->first(static fn (BusyTime $mine): bool => $mine->starts_at < $end($lesson) && $lesson->starts_at < $mine->ends_at);
            if ($on !== null) {
                $clashes[] = [
                    'starts_at' => $lesson->starts_at->toIso8601ZuluString(), 'learner' => $lesson->learner->name, 'with' => Appointments::name($on),
                ];
            }
        }

        return $clashes;
    }
}
