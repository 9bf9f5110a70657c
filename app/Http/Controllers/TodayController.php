<?php

namespace App\Http\Controllers;

use App\Contract\Taken;
use App\Diary\Appointments;
use App\Diary\Told;
use App\Http\Resources\Show;
use App\Http\Resources\ShowDiary;
use App\Marks\StandingMarks;
use App\Models\BusyTime;
use App\Models\Lesson;
use App\Models\Mark;
use App\Models\PlannedItem;
use App\Models\Promise;
use App\Models\Round;
use App\School\CurrentSchool;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;

/** The day of the signed-in instructor: lessons in order, the next one in more words, and what the last left open. */
final class TodayController extends Controller
{
    /** By then nobody knows any more what a moment was (assumed). */
    private const FORGOTTEN_DAYS = 14;

    /** More lessons than a day holds. */
    private const AHEAD = 20;

    public function __invoke(Request $request, CurrentSchool $current): JsonResponse
    {
        $zone = $current->school()->time_zone;
        $said = $request->validate(Taken::day());
        $day = Carbon::parse($said['day'] ?? now($zone)->toDateString(), $zone);
        $mine = fn () => Lesson::query()->where('instructor_id', $this->user($request)->id);
        $lessons = $mine()->whereBetween('starts_at', [$day->copy()->utc(), $day->copy()->endOfDay()->utc()])->oldest('starts_at')->get();
        // Lessons whose time is over but which were never closed.
        $unfinished = $mine()->where('state', 'booked')->whereRaw(
            'DATE_ADD(starts_at, INTERVAL minutes MINUTE) <= ?', [now()],
        )->latest('starts_at')->limit(5)->get();
        // Of a day to come the first is the next one: whoever looks ahead stands at its beginning.
        $from = $day->isFuture() ? $day->copy()->utc() : now();
        $coming = $mine()->where('state', 'booked')->whereRaw('DATE_ADD(starts_at, INTERVAL minutes MINUTE) > ?', [$from])->oldest('starts_at')
            ->limit(self::AHEAD)->get();
        // Who and what of all of them in one go.
        (new Collection([...$lessons, ...$unfinished, ...$coming]))->load(['learner', 'vehicle']);
        $busy = Appointments::busy($this->user($request)->id, $day->copy()->utc(), $day->copy()->endOfDay()->utc());
        [$next, $later] = $this->inMoreWords($coming, $day->copy()->endOfDay());

        return response()->json([
            'day' => $day->toDateString(),
            'lessons' => $lessons->whereNotIn('state', ['cancelled', 'wished'])->map(Show::lessonLine(...))->values(),
            'busy' => $busy->map(fn (BusyTime $one): array => ShowDiary::busyTime($one, $this->user($request))),
            'between' => array_map(Told::between(...), Appointments::day(
                [...$lessons->filter(static fn (Lesson $lesson): bool => $lesson->state()->holds()), ...$busy], $current->school(),
            )->between()),
            'next' => $next,
            'later' => $later,
            'unfinished' => $unfinished->map(Show::lessonLine(...)),
            'untold' => $this->untold($mine()),
        ]);
    }

    /**
     * Lessons in which moments were marked while moving that nobody has told yet.
     *
     * @param  Builder<Lesson>  $mine
     * @return list<array{lesson: string, learner: string, starts_at: string, moments: int}> newest first
     */
    private function untold(Builder $mine): array
    {
        // By the ids of what few lessons there are: joined, the database would walk all marks of the school.
        $lessons = $mine->whereBetween('starts_at', [now()->subDays(self::FORGOTTEN_DAYS), now()])->where('state', '!=', 'cancelled')->pluck('id');
        $rounds = Round::query()->toBase()->whereIn('lesson_id', $lessons)->pluck('lesson_id', 'id');
        $moments = Mark::query()->toBase()->whereIn('round_id', $rounds->keys())->where('kind', 'moment')->tap(StandingMarks::only(...))->pluck('round_id')
            ->countBy(static fn (string $round): string => $rounds[$round]);

        return array_values(Lesson::query()->with('learner')->whereKey($moments->keys())->latest('starts_at')->get()->map(static fn (Lesson $lesson): array => [
            'lesson' => $lesson->id, 'learner' => $lesson->learner->name, 'starts_at' => $lesson->starts_at->toIso8601ZuluString(),
            'moments' => $moments[$lesson->id],
        ])->all());
    }

    /**
     * The next lesson, and those that follow it on the same day: a page without signal goes on to them by itself.
     *
     * @param  Collection<int, Lesson>  $coming  in the order of the day
     * @return array{array<string, mixed>|null, list<array<string, mixed>>}
     */
    private function inMoreWords(Collection $coming, Carbon $end): array
    {
        $told = $coming->filter(static fn (Lesson $lesson, int $i): bool => $i === 0 || $lesson->starts_at <= $end)->load('items.place');
        $promises = Promise::query()->whereIn('learner_id', $told->pluck('learner_id'))->whereNull('kept_at')->latest()->get();
        $words = $told->map(static fn (Lesson $lesson): array => [
            ...Show::lessonLine($lesson),
            'items' => $lesson->items->map(static fn (PlannedItem $item): array => Show::item($item)),
            'promised' => $promises->where('learner_id', $lesson->learner_id)->where('lesson_id', '!=', $lesson->id)
                ->map(static fn (Promise $promise): array => Show::promise($promise))->values(),
        ])->values()->all();

        return [$words[0] ?? null, array_slice($words, 1)];
    }
}
