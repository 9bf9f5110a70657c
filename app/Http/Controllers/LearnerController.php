<?php

namespace App\Http\Controllers;

use App\Http\Requests\LearnerRequest;
use App\Http\Resources\Show;
use App\Marks\StandingMarks;
use App\Models\Learner;
use App\Models\Lesson;
use App\Models\Promise;
use App\School\CurrentSchool;
use App\School\Doctrine;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use NobleTurn\Core\Record\Hours;
use NobleTurn\Core\Record\MarkedRound;
use NobleTurn\Core\Record\Need;
use NobleTurn\Core\Record\Tally;

/** Learners and their records. A learner is put away, never erased by a press; it can be undone. */
final class LearnerController extends Controller
{
    public function index(): JsonResponse
    {
        $learners = Learner::query()->withCount(['lessons as lessons_done' => fn ($lessons) => $lessons->where('state', 'done')])->withMax('lessons as last_lesson_at', 'starts_at')->get()->sortBy('name')->values();

        return response()->json($learners->map(fn (Learner $learner): array => [
            ...$learner->only(['id', 'name', 'level', 'transmission', 'pick_up']),
            'lessons_done' => (int) $learner->getAttribute('lessons_done'),
        ]));
    }

    public function store(LearnerRequest $request): JsonResponse
    {
        return response()->json(Show::learner(Learner::query()->create($request->facts())), 201);
    }

    public function show(Learner $learner): JsonResponse
    {
        $marked = StandingMarks::of($learner);

        return response()->json([
            ...Show::learner($learner),
            'lessons' => $learner->lessons()->with(['learner', 'vehicle'])->withCount('rounds')->get()->sortByDesc('starts_at')->values()
                ->map(fn (Lesson $lesson): array => [...Show::lessonLine($lesson), 'rounds' => (int) $lesson->getAttribute('rounds_count')]),
            'promises' => $learner->promises()->get()->sortByDesc('created_at')->values()->map(fn (Promise $promise): array => Show::promise($promise)),
            'rounds' => count($marked),
            'hours' => self::hours($learner, $marked),
            'tallies' => array_map(self::tally(...), Tally::all($marked)),
        ]);
    }

    /** Routines in the order in which the record asks for them. */
    public function needs(Request $request, Learner $learner, CurrentSchool $current): JsonResponse
    {
        $pack = Doctrine::of($current->school(), $this->user($request), $learner)->pack();

        return response()->json(array_map(static fn (Need $need): array => [
            'routine' => $need->routine->value,
            'need' => $need->kind->value,
            'step' => $need->step?->value,
            'helped' => $need->helped,
            'of' => $need->of,
            'last_at' => $need->lastAt?->format('Y-m-d\TH:i:s\Z'),
        ], Need::all(StandingMarks::of($learner), $pack, new \DateTimeImmutable)));
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
        $found = Learner::withTrashed()->findOrFail($learner);
        $found->restore();

        return response()->json(Show::learner($found));
    }

    /**
     * Time at the wheel by what it was driven in, minutes.
     *
     * @param  list<MarkedRound>  $marked
     * @return array{total: float, minutes: array<string, array<string, float>>}
     */
    private static function hours(Learner $learner, array $marked): array
    {
        $rounds = [];
        foreach ($marked as $round) {
            $rounds[$round->lesson][] = $round->conditions;
        }
        // A lesson that is over but was never closed was driven all the same where rounds were marked in it.
        $driven = $learner->lessons()->toBase()->get(['id', 'minutes', 'state'])->filter(static fn (object $lesson): bool => $lesson->state === 'done' || isset($rounds[$lesson->id]));
        $hours = Hours::of(array_values($driven->map(static fn (object $lesson): array => ['minutes' => (float) $lesson->minutes, 'rounds' => $rounds[$lesson->id] ?? []])->all()));

        return ['total' => $hours->total, 'minutes' => array_map(static fn (array $kind): array => array_map(static fn (float $minutes): float => round($minutes, 1), $kind), $hours->minutes)];
    }

    /** @return array<string, mixed> */
    private static function tally(Tally $tally): array
    {
        return [
            'routine' => $tally->routine->value,
            'step' => $tally->step->value,
            'counts' => $tally->counts,
            'marked' => $tally->marked(),
            'out_of_order' => $tally->outOfOrder,
            'taught' => $tally->taught,
            'last_at' => $tally->lastAt()?->format('Y-m-d\TH:i:s\Z'),
            'lessons' => array_map(static fn (array $lesson): array => [...$lesson, 'at' => $lesson['at']->format('Y-m-d\TH:i:s\Z')], $tally->lessons),
        ];
    }
}
