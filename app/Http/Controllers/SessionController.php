<?php

namespace App\Http\Controllers;

use App\Contract\Taken;
use App\Http\Arrival;
use App\Http\Resources\Show;
use App\Models\School;
use App\Models\User;
use App\People\Devices;
use App\School\CurrentSchool;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Hash;
use Illuminate\Validation\Rules\Password;
use Illuminate\Validation\ValidationException;
use NobleTurn\Core\Rules\RulePacks;

/** Signing in and out, and the own password. */
final class SessionController extends Controller
{
    public function __construct(private readonly CurrentSchool $school)
    {
    }

    /** Who is signed in; with nobody, whether the first school is still to be set up, and by which rules it may be. */
    public function show(Request $request): JsonResponse
    {
        $user = $request->user();
        if (! $user instanceof User || $user->isSuspended()) {
            $none = ! School::query()->exists();

            return response()->json(['user' => null, 'first_run' => $none, 'packs' => $none ? array_map(Show::pack(...), RulePacks::all()) : []]);
        }

        return response()->json(Show::me($this->user($request), $this->school->school()));
    }

    public function store(Request $request): JsonResponse
    {
        $said = $request->validate(Taken::signIn());
        // Who is suspended is told no more than who has no account.
        if (! Auth::attempt(['email' => mb_strtolower(trim($said['email'])), 'password' => $said['password'],
            fn (Builder $people) => $people->whereNull('suspended_at')])) {
            throw ValidationException::withMessages(['email' => 'That email and password don’t match.']);
        }
        Arrival::of($this->user($request), $request);

        return response()->json(Show::me($this->user($request), $this->school->school()));
    }

    public function destroy(Request $request): Response
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return response()->noContent();
    }

    /** A new password ends the user's other sessions. */
    public function updatePassword(Request $request, Devices $devices): Response
    {
        $said = $request->validate(Taken::password($this->user($request)->email));
        $user = $this->user($request);
        if (! Hash::check($said['current_password'], $user->password)) {
            throw ValidationException::withMessages(['current_password' => 'This is not the present password.']);
        }
        $user->password = $said['password'];
        $user->save();
        $devices->endAll($user, but: $request->session()->getId());

        return response()->noContent();
    }
}
