<?php

namespace App\Http\Controllers;

use App\School\Records;
use App\School\SchoolRecord;
use Illuminate\Http\JsonResponse;

/** The school as its marks show it, and how far its records are up to date. */
final class SchoolController extends Controller
{
    public function learners(SchoolRecord $record, Records $records): JsonResponse
    {
        return response()->json(['learners' => $record->learners(), 'stale' => count($records->stale()), 'progress' => $this->progress($records)]);
    }

    public function teaching(SchoolRecord $record): JsonResponse
    {
        return response()->json(['routines' => $record->routines(), 'failures' => $record->failures(), 'places' => $record->places()]);
    }

    /** Begins in the background what is left to do, and says how far it is. */
    public function bringUpToDate(Records $records): JsonResponse
    {
        $records->bringUpToDate();

        return response()->json(['stale' => count($records->stale()), 'progress' => $this->progress($records)]);
    }

    /** @return ?array{done: int, of: int} jobs; null where none is at work */
    private function progress(Records $records): ?array
    {
        $batch = $records->goingOn();

        return $batch === null ? null : ['done' => $batch->processedJobs(), 'of' => $batch->totalJobs];
    }
}
