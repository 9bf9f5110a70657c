<?php

namespace App\Http\Controllers;

use App\Contract\TakenOfDiary;
use App\Diary\OffersOf;
use App\Http\Resources\ShowDiary;
use App\Models\Learner;
use App\Models\Lesson;
use App\Models\WaitingLearner;
use App\School\CurrentSchool;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;

/** The waiting list of the school, and to whom of it an hour that came free is offered first. */
final class WaitingController extends Controller
{
    public function index(): JsonResponse
    {
        $waiting = WaitingLearner::query()->with('learner')->whereHas('learner', static fn ($of) => $of->whereNull('deleted_at'))
            ->oldest()->orderBy('id')->get();

        return response()->json($waiting->map(ShowDiary::waiting(...)));
    }

    public function update(Request $request, Learner $learner): JsonResponse
    {
        $said = $request->validate(TakenOfDiary::waiting());
        foreach ($said['wishes'] ?? [] as $i => $wish) {
            if ($wish['until'] <= $wish['from']) {
                throw ValidationException::withMessages(["wishes.{$i}.until" => 'must be after the time from which they can.']);
            }
        }
        // Who is put on it again stands where they stood.
        $waiting = WaitingLearner::withTrashed()->firstOrNew(['learner_id' => $learner->id]);
        $waiting->fill(['wishes' => [], 'note' => null, ...$said]);
        $waiting->setAttribute('deleted_at', null);
        $waiting->save();

        return response()->json(ShowDiary::waiting($waiting->setRelation('learner', $learner)));
    }

    public function destroy(Learner $learner): Response
    {
        WaitingLearner::query()->where('learner_id', $learner->id)->firstOrFail()->delete();

        return response()->noContent();
    }

    public function restore(Learner $learner): JsonResponse
    {
        $waiting = WaitingLearner::withTrashed()->where('learner_id', $learner->id)->firstOrFail();
        $waiting->restore();

        return response()->json(ShowDiary::waiting($waiting->setRelation('learner', $learner)));
    }

    public function offers(Lesson $lesson, CurrentSchool $current): JsonResponse
    {
        Gate::authorize('update', $lesson);

        return response()->json((new OffersOf($current->school()))->of($lesson));
    }
}
