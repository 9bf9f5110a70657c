<?php

namespace App\Http\Controllers;

use App\Contract\Taken;
use App\Models\Learner;
use App\Models\Lesson;
use App\Privacy\Erasure;
use App\Privacy\LearnerData;
use App\Privacy\Retention;
use App\School\ChangeLog;
use App\School\CurrentSchool;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;

/** What a learner may ask of the school: all that is kept of them, and an end to it; and how long anybody is kept. */
final class PrivacyController extends Controller
{
    public function data(CurrentSchool $current, string $learner): JsonResponse
    {
        $found = $this->find($learner);
        // It holds every lesson of theirs: where colleagues do not read each other's, it is the owner's to hand out.
        abort_unless(
            $found->lessons()->get()->every(static fn (Lesson $lesson): bool => Gate::allows('view', $lesson)), 403,
            'It holds lessons of colleagues, which only they and the owner read here: ask the owner for it.',
        );
        ChangeLog::note('handed-out', $found);

        return response()->json(LearnerData::of($found, $current->school()), options: JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_PRETTY_PRINT);
    }

    /** The name is typed once more: this cannot be undone. */
    public function erase(Request $request, string $learner): Response
    {
        $found = $this->find($learner);
        $said = $request->validate(Taken::erasure());
        if (trim($said['name']) !== trim($found->name)) {
            throw ValidationException::withMessages(['name' => 'This is not the learner’s name as it is kept here.']);
        }
        Erasure::of($found);

        return response()->noContent();
    }

    public function retention(CurrentSchool $current, Retention $retention): JsonResponse
    {
        return response()->json([...$current->school()->only(['keep_months', 'keep_minors_months']), 'coming' => $retention->coming()]);
    }

    public function setRetention(Request $request, CurrentSchool $current, Retention $retention): JsonResponse
    {
        $months = ['present', 'nullable', 'numeric', 'integer', 'between:1,240'];
        $said = $request->validate(Taken::retention());
        if ($said['keep_months'] !== null && $said['keep_minors_months'] !== null && $said['keep_minors_months'] > $said['keep_months']) {
            throw ValidationException::withMessages(['keep_minors_months' => 'Minors are never kept longer than others.']);
        }
        $current->school()->update($said);

        return $this->retention($current, $retention);
    }

    /** Kept a while longer than the setting says: there is a reason, such as a dispute. */
    public function keep(Request $request, CurrentSchool $current, Retention $retention, string $learner): JsonResponse
    {
        $found = $this->find($learner);
        $said = $request->validate(Taken::keep());
        $found->update(['keep_until' => $said['until']]);

        return $this->retention($current, $retention);
    }

    /** Whoever is archived too; whoever was erased is no one. */
    private function find(string $learner): Learner
    {
        return Learner::withTrashed()->whereNull('erased_at')->findOrFail($learner);
    }
}
