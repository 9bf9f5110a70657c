<?php

namespace App\Http\Controllers;

use App\Contract\Taken;
use App\School\CurrentSchool;
use App\School\Records;
use App\School\SchoolRecord;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The school as its marks show it, and how far its records are up to date. */
final class SchoolController extends Controller
{
    public function learners(SchoolRecord $record, Records $records): JsonResponse
    {
        return response()->json(['learners' => $record->learners(), ...$this->state($records)]);
    }

    public function teaching(SchoolRecord $record): JsonResponse
    {
        return response()->json($record->teaching());
    }

    /** Begins in the background what is left to do, and says how far it is. */
    public function bringUpToDate(Records $records): JsonResponse
    {
        $records->bringUpToDate();

        return response()->json($this->state($records));
    }

    /** Whether instructors read each other's lessons. */
    public function reading(Request $request, CurrentSchool $current): JsonResponse
    {
        $said = $request->validate(Taken::reading());
        $current->school()->update($said);

        return response()->json($current->school()->only(['colleagues_read']));
    }

    /** @return array{stale: int, progress: ?array{done: int, of: int}, failed: int} learners left to do, and jobs: at work, and failed a short while ago */
    private function state(Records $records): array
    {
        $batch = $records->goingOn();

        return [
            'stale' => count($records->stale()),
            'progress' => $batch === null ? null : ['done' => $batch->processedJobs(), 'of' => $batch->totalJobs], 'failed' => $records->failed(),
        ];
    }
}
