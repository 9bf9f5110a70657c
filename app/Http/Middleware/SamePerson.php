<?php

namespace App\Http\Middleware;

use App\Models\User;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * A page says whose it is with everything it asks. Where another tab has signed somebody else in meanwhile, it is told so and given
 * nothing: what one person reads and writes is never taken for another's.
 */
final class SamePerson
{
    public const HEADER = 'X-Signed-In-As';

    public function handle(Request $request, Closure $next): Response
    {
        $said = $request->headers->get(self::HEADER);
        $user = $request->user();
        abort_if($said !== null && $user instanceof User && $said !== $user->id, 409, 'Somebody else is signed in on this device by now.');

        return $next($request);
    }
}
