<?php

namespace App\Diary;

use App\Http\Resources\Show;
use App\Http\Resources\ShowDiary;
use App\Models\BusyTime;
use App\Models\Lesson;
use App\Models\School;
use App\Models\User;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Carbon;
use NobleTurn\Core\Diary\Between;
use NobleTurn\Core\Diary\Sun;

/** Some days of one instructor, from midnight to midnight by the school’s clock: lessons, the drives between, and when it gets dark. */
final readonly class WeekPage
{
    public function __construct(private School $school)
    {
    }

    /**
     * @param  User  $person  whose days they are
     * @param  User  $reader  who looks at them
     * @param  list<array{id: string, name: string}>  $people  whose diaries that one may look at
     * @return array<string, mixed>
     */
    public function of(User $person, User $reader, Carbon $from, int $days, array $people): array
    {
        $first = Carbon::parse($from->toDateString(), $this->school->time_zone);
        $end = $first->copy()->addDays($days);
        $lessons = Lesson::query()->with(['learner', 'vehicle'])->where('instructor_id', $person->id)
            ->where('starts_at', '>=', $first->copy()->utc())->where('starts_at', '<', $end->copy()->utc())->oldest('starts_at')->orderBy('id')->get();
        $busy = BusyTime::query()->with(['learner', 'vehicle', 'centre', 'instructor'])
            ->where(static fn ($whose) => $whose->where('instructor_id', $person->id)->orWhere('kind', 'away'))
            ->where('starts_at', '<', $end->copy()->utc())->where('ends_at', '>', $first->copy()->utc())->oldest('starts_at')->orderBy('id')->get();
        $onDay = $lessons->groupBy(fn (Lesson $lesson): string => $lesson->starts_at->setTimezone($this->school->time_zone)->toDateString());
        $sun = Told::sun($this->school);
        $told = [];
        for ($day = $first; $day < $end; $day = $day->copy()->addDay()) {
            $next = $day->copy()->addDay();
            $told[] = $this->day(
                $day, $onDay->get($day->toDateString()) ?? new Collection,
                $busy->filter(static fn (BusyTime $one): bool => $one->starts_at < $next && $one->ends_at > $day)->values(), $reader, $sun,
            );
        }

        return [
            'from' => $first->toDateString(), 'person' => $person->only(['id', 'name']), 'people' => $people, 'days' => $told,
            'clashes' => $this->clashes($reader),
        ];
    }

    /**
     * @param  Collection<int, Lesson>  $lessons
     * @param  Collection<int, BusyTime>  $busy  the person’s, and every car that is away
     * @return array<string, mixed>
     */
    private function day(Carbon $day, Collection $lessons, Collection $busy, User $reader, ?Sun $sun): array
    {
        $holding = $lessons->filter(static fn (Lesson $lesson): bool => $lesson->state()->holds());
        $own = $busy->filter(static fn (BusyTime $one): bool => $one->kind !== 'away');
        $between = Appointments::day([...$holding, ...$own], $this->school)->between();

        return [
            'day' => $day->toDateString(),
            'sun' => $sun === null ? null : array_map(Told::moment(...), $sun->day($day->copy()->setTime(12, 0)->getTimestamp())),
            'lessons' => $lessons->map(static fn (Lesson $lesson): array => [...ShowDiary::lesson($lesson), ...Told::light($sun, $lesson->period())])->all(),
            'busy' => $busy->map(static fn (BusyTime $one): array => ShowDiary::busyTime($one, $reader))->all(),
            'between' => array_map(Told::between(...), $between),
            'taught_minutes' => $holding->sum(static fn (Lesson $lesson): int => $lesson->lasts()),
            'travel_minutes' => (int) ceil(array_sum(array_map(static fn (Between $one): int => $one->travel ?? 0, $between)) / 60),
        ];
    }

    /**
     * Lessons to come that lie on top of another and so hold no time: the owner sees the whole school’s, others their own.
     *
     * @return list<array<string, mixed>>
     */
    private function clashes(User $reader): array
    {
        $lessons = Lesson::query()->with(['learner', 'vehicle', 'instructor'])->tap(Appointments::holding(...))->where('starts_at', '>', now())
            ->whereNotExists(static fn ($booked) => $booked->from('bookings')->whereColumn('bookings.lesson_id', 'lessons.id'))
            ->when(! $reader->isOwner(), static fn ($own) => $own->where('instructor_id', $reader->id))->oldest('starts_at')->limit(50)->get();

        return array_map(static fn (Lesson $lesson, array $why): array => [
            'lesson' => Show::lessonLine($lesson), 'instructor' => $lesson->instructor->name, 'why' => $why,
        ], $lessons->all(), Clash::ofEach(array_values($lessons->all())));
    }
}
