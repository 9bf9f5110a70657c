<?php

namespace App\Http;

use App\Http\Middleware\StillWelcome;
use App\Models\User;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;

/** What happens whenever somebody comes in, by password, by letter or on the first run. */
final class Arrival
{
    public static function of(User $user, Request $request): void
    {
        if (Auth::id() !== $user->id) {
            Auth::login($user);
        }
        $request->session()->regenerate();
        $request->session()->put(StillWelcome::BEGUN, now()->getTimestamp());
        SignInLimits::remember($user);
    }
}
