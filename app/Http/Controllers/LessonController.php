<?php

namespace App\Http\Controllers;

use App\Contract\TakenOfLessons;
use App\Http\Resources\Show;
use App\Lessons\LessonPage;
use App\Models\Learner;
use App\Models\Lesson;
use App\Models\Vehicle;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Gate;

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
        $lesson = new Lesson([...$said, 'starts_at' => Carbon::parse($said['starts_at'])->utc()]);
        $lesson->instructor_id = $this->user($request)->id;
        $lesson->save();

        return response()->json(Show::lessonLine($lesson->load(['learner', 'vehicle'])), 201);
    }

    public function update(Request $request, Lesson $lesson, LessonPage $page): JsonResponse
    {
        Gate::authorize('update', $lesson);
        $said = $request->validate(TakenOfLessons::lessonChanges());
        if (isset($said['starts_at'])) {
            $said['starts_at'] = Carbon::parse($said['starts_at'])->utc();
        }
        $lesson->update($said);

        return response()->json($page->of($lesson));
    }
}
