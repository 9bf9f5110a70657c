<?php

namespace App\Http\Middleware;

use App\Rights\Right;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Routing\Route;
use Symfony\Component\HttpFoundation\Response;

/** An address that does not name the right it takes is open to nobody: what was forgotten is closed, not open. */
final class NamesItsRight
{
    public function handle(Request $request, Closure $next): Response
    {
        $route = $request->route();
        abort_unless($route instanceof Route && self::rightOf($route) !== null, 403);

        return $next($request);
    }

    /** The right that an address asks for. */
    public static function rightOf(Route $route): ?Right
    {
        foreach ($route->gatherMiddleware() as $middleware) {
            if (is_string($middleware) && str_starts_with($middleware, 'can:')) {
                return Right::tryFrom(substr($middleware, strlen('can:')));
            }
        }

        return null;
    }
}
