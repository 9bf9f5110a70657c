<?php

namespace App\Http\Middleware;

use App\Models\User;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/** A session ends for good after its days, however often it was used, and at once for who was suspended. */
final class StillWelcome
{
    /** In the session: when it was begun, seconds since 1970. */
    public const BEGUN = 'begun_at';

    private const DAY_S = 86_400;

    public function handle(Request $request, Closure $next): Response
    {
        $session = $request->session();
        $user = $request->user();
        // One of an older version begins to count now.
        $begun = $session->get(self::BEGUN) ?? now()->getTimestamp();
        $session->put(self::BEGUN, $begun);
        if (($user instanceof User && $user->isSuspended()) || now()->getTimestamp() - $begun > self::DAY_S * (int) config('session.ends_after_days')) {
            Auth::logout();
            $session->invalidate();
            abort(401, 'This session has ended: sign in again.');
        }

        return $next($request);
    }
}
