<?php

namespace App\Http\Controllers;

use App\Contract\TakenOfLessons;
use App\Http\Resources\Show;
use App\Models\Lesson;
use App\Models\Promise;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;

/** What was promised for next time, and homework. */
final class PromiseController extends Controller
{
    public function store(Request $request, Lesson $lesson): JsonResponse
    {
        Gate::authorize('update', $lesson);
        $said = $request->validate(TakenOfLessons::promise());
        if (isset($said['step']) && ! isset($said['routine'])) {
            throw ValidationException::withMessages(['routine' => 'must be said with the step: of which routine it is.']);
        }
        // Written without signal it has a number already, and may arrive twice.
        $known = isset($said['id']) ? Promise::query()->withoutGlobalScopes()->whereKey($said['id'])->first() : null;
        if ($known !== null && $known->lesson_id !== $lesson->id) {
            throw ValidationException::withMessages(['id' => 'This number is taken.']);
        }
        $promise = $known ?? Promise::query()->create([...$said, 'lesson_id' => $lesson->id, 'learner_id' => $lesson->learner_id]);

        return response()->json(Show::promise($promise), 201);
    }

    public function update(Request $request, Promise $promise): JsonResponse
    {
        Gate::authorize('update', $promise);
        $said = $request->validate(TakenOfLessons::promiseKept());
        $promise->update(['kept_at' => $said['kept'] ? now() : null]);

        return response()->json(Show::promise($promise));
    }

    public function destroy(Promise $promise): Response
    {
        Gate::authorize('update', $promise);
        $promise->delete();

        return response()->noContent();
    }

    public function restore(string $promise): JsonResponse
    {
        $found = Promise::withTrashed()->findOrFail($promise);
        Gate::authorize('update', $found);
        $found->restore();

        return response()->json(Show::promise($found));
    }
}
