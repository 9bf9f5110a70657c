<?php

namespace App\Http\Controllers;

use App\Contract\Taken;
use App\Http\Arrival;
use App\Http\Resources\Show;
use App\Models\School;
use App\Models\User;
use App\People\Devices;
use App\People\Letters;
use App\People\WaysIn;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/** The way in without a password: asked for by whoever forgot theirs, and used once, by letter. */
final class WayInController extends Controller
{
    private const ENDED = 'This way in has been used, is too old, or was replaced by a newer letter. Ask for a new one.';

    /** Says the same whoever asks, and takes as long: nobody learns here who has an account. */
    public function ask(Request $request, Letters $letters): JsonResponse
    {
        $said = $request->validate(Taken::forgottenPassword());
        $user = $this->called($said['email']);
        // Who is only invited has a letter already; and a letter that was just written is left standing.
        $waits = $user?->joined_at === null || $user->isSuspended() || WaysIn::isFresh($user);
        if ($user === null || $waits) {
            Hash::make(Str::random(40));
        } else {
            $letters->to($user);
        }

        return response()->json(['message' => Letters::mailIsSetUp()
            ? 'If there is an account with this email, a letter is on its way to it.'
            : 'If there is an account with this email, a letter is in the outbox of your school: ask its owner for it.'], 202);
    }

    /** A password is chosen: the letter is used up, other sessions end, and the person is in. */
    public function take(Request $request, Devices $devices): JsonResponse
    {
        $said = $request->validate(Taken::wayIn(is_string($request->input('email')) ? $request->input('email') : ''));
        $user = $this->called($said['email']);
        if ($user === null || $user->isSuspended()) {
            Hash::check($said['token'], Hash::make(Str::random(8)));
            throw ValidationException::withMessages(['token' => self::ENDED]);
        }
        $taken = WaysIn::take($user, $said['token'], $said['password'], static function (User $user, string $password) use ($devices): void {
            $user->password = $password;
            $user->joined_at ??= Carbon::now();
            $user->save();
            $devices->endAll($user);
        });
        if (! $taken) {
            throw ValidationException::withMessages(['token' => self::ENDED]);
        }
        Arrival::of($user->refresh(), $request);

        return response()->json(Show::me($user, School::query()->findOrFail($user->school_id)));
    }

    private function called(string $email): ?User
    {
        return User::query()->where('email', mb_strtolower(trim($email)))->first();
    }
}
