<?php

namespace App\Http\Controllers;

use App\Http\Resources\Show;
use App\Models\School;
use App\Rules\HardToGuess;
use App\School\CurrentSchool;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;
use Illuminate\Validation\Rules\Password;
use Illuminate\Validation\ValidationException;

/** Signing in and out, here or everywhere, and the own password. */
final class SessionController extends Controller
{
    public function __construct(private readonly CurrentSchool $school)
    {
    }

    /** Who is signed in; with nobody, whether the first school is still to be set up. */
    public function show(Request $request): JsonResponse
    {
        if ($request->user() === null) {
            return response()->json(['user' => null, 'first_run' => ! School::query()->exists()]);
        }

        return response()->json(Show::me($this->user($request), $this->school->school()));
    }

    public function store(Request $request): JsonResponse
    {
        $said = $request->validate(['email' => ['required', 'string', 'max:190'], 'password' => ['required', 'string', 'max:200']]);
        if (! Auth::attempt(['email' => mb_strtolower($said['email']), 'password' => $said['password']])) {
            throw ValidationException::withMessages(['email' => 'Address and password do not belong together.']);
        }
        $request->session()->regenerate();

        return response()->json(Show::me($this->user($request), $this->school->school()));
    }

    public function destroy(Request $request): Response
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return response()->noContent();
    }

    /** Ends every session of the user, this one too. */
    public function destroyAll(Request $request): Response
    {
        $user = $this->user($request);
        $user->setRememberToken(Str::random(60));
        $user->save();
        DB::table('sessions')->where('user_id', $user->id)->delete();

        return $this->destroy($request);
    }

    /** A new password ends the user's other sessions. */
    public function updatePassword(Request $request): Response
    {
        $said = $request->validate([
            'current_password' => ['required', 'string'],
            'password' => ['required', 'string', 'max:200', Password::defaults(), new HardToGuess($this->user($request)->email)],
        ]);
        $user = $this->user($request);
        if (! Hash::check($said['current_password'], $user->password)) {
            throw ValidationException::withMessages(['current_password' => 'This is not the present password.']);
        }
        $user->password = $said['password'];
        $user->save();
        DB::table('sessions')->where('user_id', $user->id)->where('id', '!=', $request->session()->getId())->delete();

        return response()->noContent();
    }
}
