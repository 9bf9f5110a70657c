<?php

namespace App\Http\Controllers;

use App\Circuits\DrivesMeasured;
use App\Contract\TakenOfCircuits;
use App\Http\Resources\ShowCircuits;
use App\Interchange\TrackGpx;
use App\Interchange\UnreadableTrack;
use App\Models\Leg;
use App\School\CurrentSchool;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;

/** Drives between sites that somebody has measured by driving them. */
final class LegController extends Controller
{
    public function index(): JsonResponse
    {
        $legs = Leg::query()->orderByDesc('driven_at')->orderByDesc('id')->limit(DrivesMeasured::MOST)->get();

        return response()->json(['measured' => DrivesMeasured::of($legs), 'drives' => $legs->map(ShowCircuits::leg(...))]);
    }

    /** Says what a recorded drive measures; keeps it where that is wanted. */
    public function track(Request $request, CurrentSchool $current): JsonResponse
    {
        /** @var array{gpx: string, keep?: bool} $said */
        $said = $request->validate(TakenOfCircuits::track());
        try {
            $file = TrackGpx::read($said['gpx']);
        } catch (UnreadableTrack $problem) {
            throw ValidationException::withMessages(['gpx' => $problem->getMessage()]);
        }

        return response()->json(DrivesMeasured::in($file, $current->school(), (bool) ($said['keep'] ?? false)));
    }

    public function destroy(Leg $leg): Response
    {
        $leg->delete();

        return response()->noContent();
    }

    public function restore(string $leg): JsonResponse
    {
        $found = Leg::withTrashed()->findOrFail($leg);
        $found->restore();

        return response()->json(ShowCircuits::leg($found));
    }
}
