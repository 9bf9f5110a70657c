<?php

namespace App\Http\Controllers;

use App\People\Devices;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;

/** Where somebody is signed in, and an end to it: one by one, or everywhere. */
final class SessionsController extends Controller
{
    public function index(Request $request, Devices $devices): JsonResponse
    {
        return response()->json($devices->of($this->user($request), $request->session()->getId()));
    }

    public function destroy(Request $request, Devices $devices, string $session): Response
    {
        $devices->end($this->user($request), $session);

        return response()->noContent();
    }

    /** Ends every session of the user, this one too. */
    public function destroyAll(Request $request, Devices $devices): Response
    {
        $devices->endAll($this->user($request));
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return response()->noContent();
    }
}
