<?php

namespace App\Http\Controllers;

use App\Contract\Taken;
use App\School\CurrentSchool;
use App\School\Records;
use App\School\SchoolForetelling;
use App\School\SchoolRecord;
use App\School\SchoolRemedies;
use App\School\SchoolTests;
use App\Sites\WholePosition;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The school as its marks show it, and how far its records are up to date. */
final class SchoolController extends Controller
{
    public function learners(SchoolRecord $record, Records $records): JsonResponse
    {
        return response()->json(['learners' => $record->learners(), ...$records->state()]);
    }

    public function teaching(SchoolRecord $record): JsonResponse
    {
        return response()->json($record->teaching());
    }

    public function tests(): JsonResponse
    {
        return response()->json(SchoolTests::told());
    }

    public function remedies(SchoolRemedies $remedies): JsonResponse
    {
        return response()->json($remedies->told());
    }

    public function foretelling(): JsonResponse
    {
        return response()->json(SchoolForetelling::told());
    }

    /** Begins in the background what is left to do, and says how far it is. */
    public function bringUpToDate(Records $records): JsonResponse
    {
        $records->bringUpToDate();

        return response()->json($records->state());
    }

    /** Whether instructors read each other's lessons. */
    public function reading(Request $request, CurrentSchool $current): JsonResponse
    {
        $said = $request->validate(Taken::reading());
        $current->school()->update($said);

        return response()->json($current->school()->only(['colleagues_read']));
    }

    /** Where it lies on the map; nowhere where that is not said. */
    public function position(Request $request, CurrentSchool $current): JsonResponse
    {
        $current->school()->update(WholePosition::of($request->validate(Taken::position())));

        return response()->json($current->school()->only(['latitude_deg', 'longitude_deg']));
    }
}
