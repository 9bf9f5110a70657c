<?php

namespace App\Http\Controllers;

use App\Http\Resources\Show;
use App\Models\Drawing;
use App\Models\Lesson;
use App\Models\Place;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;

/** Pages of the bench kept with a place, or for one lesson's brief at that place. */
final class DrawingController extends Controller
{
    public function store(Request $request, Place $place): JsonResponse
    {
        $said = $request->validate([
            'title' => ['required', 'string', 'max:120'],
            'tool' => ['required', 'string', 'max:40', 'regex:/^[a-z][a-z-]*$/'],
            'state' => ['present', 'nullable', 'string', 'max:2000'],
            'lesson_id' => ['nullable', 'uuid'],
        ]);
        if (isset($said['lesson_id'])) {
            $lesson = Lesson::query()->whereKey($said['lesson_id'])->firstOrFail();
            Gate::authorize('update', $lesson);
            if (! $lesson->items()->where('place_id', $place->id)->exists()) {
                throw ValidationException::withMessages(['lesson_id' => 'must have this place on its plan.']);
            }
        }

        return response()->json(Show::drawing(Drawing::query()->create([...$said, 'state' => $said['state'] ?? '', 'place_id' => $place->id])), 201);
    }

    /** Lessons to come of the signed-in instructor that have this place on their plan. */
    public function lessons(Request $request, Place $place): JsonResponse
    {
        $lessons = Lesson::query()->where('state', 'planned')->where('starts_at', '>=', now()->subHours(12))
            ->when(! $request->user()?->isOwner(), fn ($own) => $own->where('instructor_id', $request->user()?->id))
            ->whereHas('items', fn ($items) => $items->where('place_id', $place->id))->with(['learner', 'vehicle'])->orderBy('starts_at')->limit(20)->get();

        return response()->json($lessons->map(fn (Lesson $lesson): array => Show::lessonLine($lesson)));
    }

    public function destroy(Drawing $drawing): Response
    {
        Gate::authorize('update', $drawing);
        $drawing->delete();

        return response()->noContent();
    }

    public function restore(string $drawing): JsonResponse
    {
        $found = Drawing::withTrashed()->findOrFail($drawing);
        Gate::authorize('update', $found);
        $found->restore();

        return response()->json(Show::drawing($found));
    }
}
