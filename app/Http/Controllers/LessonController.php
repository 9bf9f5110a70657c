<?php

namespace App\Http\Controllers;

use App\Contract\TakenOfLessons;
use App\Diary\Bookings;
use App\Diary\WhoGives;
use App\Http\Resources\Show;
use App\Lessons\LessonPage;
use App\Models\Learner;
use App\Models\Lesson;
use App\Models\Vehicle;
use App\Sites\WholePosition;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Arr;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;
use NobleTurn\Core\Diary\LessonState;

/** Lessons: booked, read as one page, and written on before and after. Rounds and marks come through the queue. */
final class LessonController extends Controller
{
    public function show(Lesson $lesson, LessonPage $page): JsonResponse
    {
        Gate::authorize('view', $lesson);

        return response()->json($page->of($lesson));
    }

    public function store(Request $request): JsonResponse
    {
        $said = $request->validate(TakenOfLessons::lesson());
        // Narrowed to the school by their scopes: another school's learner is simply not there.
        Learner::query()->findOrFail($said['learner_id']);
        Vehicle::query()->findOrFail($said['vehicle_id']);
        WholePosition::of($said, 'pick_up_');
        WholePosition::of($said, 'drop_off_');
        if (isset($said['moved_from_id'])) {
            Gate::authorize('view', Lesson::query()->findOrFail($said['moved_from_id']));
        }
        $lesson = new Lesson([...Arr::except($said, 'instructor_id'), 'starts_at' => Carbon::parse($said['starts_at'])->utc()]);
        $lesson->instructor_id = WhoGives::of($this->user($request), $said['instructor_id'] ?? null)->id;
        Bookings::with($lesson, static fn (Lesson $lesson): bool => $lesson->save());

        return response()->json(Show::lessonLine($lesson->load(['learner', 'vehicle'])), 201);
    }

    public function update(Request $request, Lesson $lesson, LessonPage $page): JsonResponse
    {
        Gate::authorize('update', $lesson);
        $said = $request->validate(TakenOfLessons::lessonChanges());
        if (isset($said['starts_at'])) {
            $said['starts_at'] = Carbon::parse($said['starts_at'])->utc();
        }
        if (! isset($said['state']) && ($lesson->cut_to_minutes ?? 0) > ($said['minutes'] ?? $lesson->minutes)) {
            throw ValidationException::withMessages(['minutes' => 'must not be less than the minutes it was cut to.']);
        }
        if (isset($said['state'])) {
            $said = [...$said, ...self::ending($said, $lesson)];
        }
        WholePosition::of($said, 'pick_up_');
        WholePosition::of($said, 'drop_off_');
        Bookings::with($lesson, static fn (Lesson $lesson): bool => $lesson->update($said));

        return response()->json($page->of($lesson));
    }

    /**
     * What goes with what has become of a lesson; what went with what it was before is forgotten.
     *
     * @param  array<string, mixed>  $said
     * @return array<string, mixed>
     */
    private static function ending(array $said, Lesson $lesson): array
    {
        $state = $said['state'] === 'planned' ? LessonState::Booked : LessonState::from($said['state']);
        if (($said['cut_to_minutes'] ?? 0) > ($said['minutes'] ?? $lesson->minutes)) {
            throw ValidationException::withMessages(['cut_to_minutes' => 'must not be more than the lesson has.']);
        }

        return [
            'state' => $state->value, 'cut_to_minutes' => $said['cut_to_minutes'] ?? null, 'ended_by' => $said['ended_by'] ?? null,
            'ended_at' => $state === LessonState::Cancelled ? now() : null, 'ended_why' => $said['ended_why'] ?? null, 'charged' => $said['charged'] ?? null,
        ];
    }
}
