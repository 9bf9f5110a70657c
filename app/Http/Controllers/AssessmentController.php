<?php

namespace App\Http\Controllers;

use App\Contract\TakenOfLessons;
use App\Http\Resources\ShowAssessments;
use App\Marks\ChanceBefore;
use App\Marks\LearnerReady;
use App\Marks\LearnerSkill;
use App\Marks\MockTest;
use App\Models\Assessment;
use App\Models\Centre;
use App\Models\Learner;
use App\Models\Lesson;
use App\School\ChosenRules;
use App\School\CurrentSchool;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use NobleTurn\Core\Assessment\Scheme;
use NobleTurn\Core\Compute\Toolbox;

/** Tests and mock tests of a learner, and how near they are to the next. */
final class AssessmentController extends Controller
{
    public function index(Learner $learner): JsonResponse
    {
        return response()->json(Assessment::query()->with('centre')->where('learner_id', $learner->id)->latest('taken_at')->get()
            ->map(ShowAssessments::one(...)));
    }

    public function ready(Request $request, Learner $learner, LearnerReady $ready): JsonResponse
    {
        LearnerSkill::isRead($learner);

        return response()->json($ready->of($learner));
    }

    public function store(Request $request, Learner $learner, CurrentSchool $current): JsonResponse
    {
        return response()->json($this->write((new Assessment)->fill(['learner_id' => $learner->id]), $request, $current), 201);
    }

    /** One that was driven in a lesson: its ways are rounds, and their marks evidence. */
    public function drive(Request $request, Lesson $lesson, MockTest $mockTest, CurrentSchool $current): JsonResponse
    {
        Gate::authorize('update', $lesson);
        $said = $request->validate([
            ...TakenOfLessons::mockTest(),
            'ways.*.place_id' => ['sometimes', 'nullable', 'uuid', Rule::exists('places', 'id')->where('school_id', $current->id())],
        ]);
        $user = $this->user($request);
        $pack = ChosenRules::of($current->school(), $user, $lesson->learner)->pack();

        return response()->json(ShowAssessments::one($mockTest->take($lesson, $user, $pack, $said)), 201);
    }

    public function update(Request $request, Assessment $assessment, CurrentSchool $current): JsonResponse
    {
        return response()->json($this->write($assessment, $request, $current));
    }

    public function destroy(Assessment $assessment): Response
    {
        $assessment->delete();

        return response()->noContent();
    }

    public function restore(string $assessment): JsonResponse
    {
        $found = Assessment::withTrashed()->findOrFail($assessment);
        $found->restore();

        return response()->json(ShowAssessments::one($found));
    }

    /**
     * @return array<string, mixed>
     *
     * @throws ValidationException where it is still to come, or at a centre of another school
     */
    private function write(Assessment $assessment, Request $request, CurrentSchool $current): array
    {
        $said = $request->validate(TakenOfLessons::assessment());
        $pack = ChosenRules::of($current->school(), $this->user($request), $assessment->learner)->pack();
        $assessment->fill([
            'centre_id' => null, 'note' => null, 'faults' => [], ...$said, 'taken_at' => Carbon::parse($said['taken_at'])->utc(),
            'scheme' => $said['scheme'] ?? Scheme::usual($pack),
        ]);
        if ($assessment->taken_at->isFuture()) {
            throw ValidationException::withMessages(['taken_at' => 'must lie behind us: a test to come is held in the diary.']);
        }
        if ($assessment->centre_id !== null && Centre::query()->whereKey($assessment->centre_id)->doesntExist()) {
            throw ValidationException::withMessages(['centre_id' => 'must be a test centre of this school.']);
        }
        // What is refused here is refused with the name of the field; of a real test the examiner's word stands.
        $marked = Toolbox::run('mark-test', [
            'pack' => $pack->code(), 'scheme' => $assessment->scheme, 'faults' => ShowAssessments::marked($assessment->faults),
        ]);
        if ($assessment->kind === 'mock-test') {
            $assessment->result = $marked['result'];
        }
        // Said once, and anew only for another day: marks that come later have seen the test.
        if ($assessment->kind !== 'test') {
            $assessment->chance = null;
        } elseif ($assessment->chance === null || $assessment->isDirty(['taken_at', 'scheme'])) {
            $assessment->chance = ChanceBefore::of($assessment->learner, $assessment->taken_at, Scheme::byCode($assessment->scheme), $pack);
        }
        $assessment->save();

        return ShowAssessments::one($assessment->load('centre'));
    }
}
