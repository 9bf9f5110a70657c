<?php

namespace App\Http\Controllers;

use App\Contract\TakenOfDiary;
use App\Diary\RunningLate;
use App\Models\Lesson;
use App\School\CurrentSchool;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Gate;

/** The day of who is signed in, where it runs late: what becomes of the rest of it, and then what was agreed to. */
final class LateController extends Controller
{
    public function show(Request $request, CurrentSchool $current): JsonResponse
    {
        $said = $request->validate(TakenOfDiary::late());

        return response()->json((new RunningLate($current->school(), $this->user($request)))->told((int) $said['minutes']));
    }

    public function write(Request $request, CurrentSchool $current): Response
    {
        $said = $request->validate(TakenOfDiary::lateAgreed());
        $agreed = [];
        foreach ($said['lessons'] as $one) {
            $lesson = Lesson::query()->whereKey($one['id'])->firstOrFail();
            Gate::authorize('update', $lesson);
            $agreed[$lesson->id] = $one['starts_at'] === null ? null : Carbon::parse($one['starts_at'])->utc();
        }
        (new RunningLate($current->school(), $this->user($request)))->write((int) $said['minutes'], $agreed);

        return response()->noContent();
    }
}
