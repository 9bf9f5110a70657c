<?php

namespace App\Http\Controllers;

use App\Contract\TakenOfLessons;
use App\Http\Resources\Show;
use App\Marks\WhatHelped;
use App\Models\Lesson;
use App\Models\Remedy;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;
use NobleTurn\Core\Routine\Faults;
use NobleTurn\Core\Trade\Step;

/** Remedies and drills that were given in a lesson, and whether they have helped. */
final class RemedyController extends Controller
{
    public function store(Request $request, Lesson $lesson): JsonResponse
    {
        Gate::authorize('update', $lesson);
        $said = $request->validate(TakenOfLessons::remedy());
        if (isset($said['fault']) && ! Faults::isOf($said['fault'], Step::from($said['step']))) {
            throw ValidationException::withMessages(['fault' => "That is no kind of fault of {$said['step']}."]);
        }
        // Given once in a lesson, however often it is pressed.
        $remedy = Remedy::withTrashed()->firstOrCreate(
            ['fault' => null, ...$said, 'lesson_id' => $lesson->id], ['learner_id' => $lesson->learner_id, 'user_id' => $this->user($request)->id],
        );
        $remedy->restore();

        return response()->json(Show::remedy($remedy), 201);
    }

    public function destroy(Remedy $remedy): Response
    {
        Gate::authorize('update', $remedy);
        $remedy->delete();

        return response()->noContent();
    }

    public function restore(string $remedy): JsonResponse
    {
        $found = Remedy::withTrashed()->findOrFail($remedy);
        Gate::authorize('update', $found);
        $found->restore();

        return response()->json(Show::remedy($found));
    }

    /** Over the school's learners: whether what helps a step and kind of fault did. */
    public function helped(Request $request, Step $step, WhatHelped $helped): JsonResponse
    {
        $said = $request->validate(TakenOfLessons::helped());

        return response()->json(array_map(Show::remedyEffect(...), $helped->of($step, $said['fault'] ?? null)));
    }
}
