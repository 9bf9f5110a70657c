<?php

namespace App\Http\Controllers;

use App\Contract\Taken;
use App\Http\Resources\Show;
use App\Marks\StandingMarks;
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

    public function __invoke(Request $request, CurrentSchool $current): JsonResponse
    {
        $zone = $current->school()->time_zone;
        $said = $request->validate(Taken::day());
        $day = Carbon::parse($said['day'] ?? now($zone)->toDateString(), $zone);
        $mine = fn () => Lesson::query()->where('instructor_id', $this->user($request)->id);
        $lessons = $mine()->whereBetween('starts_at', [$day->copy()->utc(), $day->copy()->endOfDay()->utc()])->oldest('starts_at')->get();
        // Lessons whose time is over but which were never closed.
        $unfinished = $mine()->where('state', 'planned')->whereRaw(
            'DATE_ADD(starts_at, INTERVAL minutes MINUTE) <= ?', [now()],
        )->latest('starts_at')->limit(5)->get();
        $coming = $mine()->where('state', 'planned')->whereRaw('DATE_ADD(starts_at, INTERVAL minutes MINUTE) > ?', [now()])->oldest('starts_at')->first();
        // Who and what of all of them in one go.
        (new Collection([...$lessons, ...$unfinished, ...($coming === null ? [] : [$coming])]))->load(['learner', 'vehicle']);

        return response()->json([
            'day' => $day->toDateString(),
            'lessons' => $lessons->where('state', '!=', 'cancelled')->map(Show::lessonLine(...))->values(),
            'next' => $coming === null ? null : $this->inMoreWords($coming),
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

    /** @return array<string, mixed> */
    private function inMoreWords(Lesson $lesson): array
    {
        return [
            ...Show::lessonLine($lesson),
            'items' => $lesson->items()->with('place')->get()->map(fn (PlannedItem $item): array => Show::item($item)),
            'promised' => Promise::query()->where('learner_id', $lesson->learner_id)->whereNull('kept_at')->where('lesson_id', '!=', $lesson->id)
                ->latest()->get()->map(fn (Promise $promise): array => Show::promise($promise)),
        ];
    }
}
