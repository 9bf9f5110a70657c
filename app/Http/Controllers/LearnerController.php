<?php

namespace App\Http\Controllers;

use App\Http\Requests\LearnerRequest;
use App\Http\Resources\Show;
use App\Marks\LearnerSkill;
use App\Marks\StandingMarks;
use App\Models\Learner;
use App\Models\Lesson;
use App\Models\Promise;
use App\School\ChosenRules;
use App\School\CurrentSchool;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;
use NobleTurn\Core\Record\Need;

/** Learners and their records. A learner is archived, never erased by a press; it can be undone. */
final class LearnerController extends Controller
{
    public function index(): JsonResponse
    {
        $learners = Learner::query()->withCount([
            'lessons as lessons_done' => fn ($lessons) => $lessons->whereIn('state', ['done', 'cut-short']),
        ])->withMax('lessons as last_lesson_at', 'starts_at')->get()->sortBy('name')->values();

        return response()->json($learners->map(fn (Learner $learner): array => [
            ...$learner->only(['id', 'name', 'level', 'transmission', 'pick_up', 'pick_up_latitude_deg', 'pick_up_longitude_deg']),
            'lessons_done' => (int) $learner->getAttribute('lessons_done'),
        ]));
    }

    public function store(LearnerRequest $request): JsonResponse
    {
        return response()->json(Show::learner(Learner::query()->create($request->facts())), 201);
    }

    public function show(Learner $learner, LearnerSkill $skill): JsonResponse
    {
        LearnerSkill::isRead($learner);
        $counts = $skill->of($learner, now()->toDateTimeImmutable())['counts'];

        return response()->json([
            ...Show::learner($learner),
            'lessons' => $learner->lessons()->latest('starts_at')->get()->map(fn (Lesson $lesson): array => [
                ...$lesson->only(['id', 'minutes', 'state', 'instructor_id']), 'aim' => Gate::allows('view', $lesson) ? $lesson->aim : null,
                'starts_at' => $lesson->starts_at->toIso8601ZuluString(), 'rounds' => $counts['by_lesson'][$lesson->id] ?? 0,
            ]),
            'promises' => $learner->promises()->get()->sortByDesc('created_at')->values()->map(fn (Promise $promise): array => Show::promise($promise)),
            ...array_diff_key($counts, ['by_lesson' => 0]),
        ]);
    }

    /** Routines in the order in which the record asks for them. */
    public function needs(Request $request, Learner $learner, CurrentSchool $current): JsonResponse
    {
        $pack = ChosenRules::of($current->school(), $this->user($request), $learner)->pack();

        return response()->json(array_map(static fn (Need $need): array => [
            'routine' => $need->routine->value,
            'need' => $need->kind->value,
            'step' => $need->step?->value,
            'helped' => $need->helped,
            'of' => $need->of,
            'last_at' => $need->lastAt?->format('Y-m-d\TH:i:s\Z'),
        ], Need::all(StandingMarks::of($learner), $pack, now()->toDateTimeImmutable())));
    }

    public function update(LearnerRequest $request, Learner $learner): JsonResponse
    {
        $learner->update($request->facts());

        return response()->json(Show::learner($learner));
    }

    public function destroy(Learner $learner): Response
    {
        $learner->delete();

        return response()->noContent();
    }

    public function restore(string $learner): JsonResponse
    {
        $found = Learner::withTrashed()->whereNull('erased_at')->findOrFail($learner);
        $found->restore();

        return response()->json(Show::learner($found));
    }
}
