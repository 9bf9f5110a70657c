<?php

namespace App\Http\Controllers;

use App\Contract\TakenOfLessons;
use App\Lessons\Proposed;
use App\Marks\LearnerSkill;
use App\Models\Lesson;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

/** What a lesson could be for, and what it could drive for that. */
final class ProposalController extends Controller
{
    public function show(Request $request, Lesson $lesson, Proposed $proposed): JsonResponse
    {
        Gate::authorize('view', $lesson);
        $said = $request->validate(TakenOfLessons::proposal());
        LearnerSkill::isRead($lesson->learner);

        $named = static fn (string $field): array => array_values(array_unique(array_filter(explode(',', (string) ($said[$field] ?? '')))));

        return response()->json($proposed->for($lesson, $named('pinned'), $named('excluded')));
    }
}
