<?php

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Headers of every answer. Scripts come from our own files only; styles may stand in attributes, because
 * the drawing library places menus and dialogs that way.
 */
final class SecurityHeaders
{
    private const POLICY = "default-src 'none'; script-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; font-src 'self'; connect-src "
        ."'self'; manifest-src 'self'; worker-src 'self'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

    /** Which form of the API this server speaks. */
    public const CONTRACT = 'X-Contract';

    public function handle(Request $request, Closure $next): Response
    {
        /** @var Response $response */
        $response = $next($request);
        $response->headers->add([
            'Content-Security-Policy' => self::POLICY,
            'X-Content-Type-Options' => 'nosniff',
            'X-Frame-Options' => 'DENY',
            'Referrer-Policy' => 'same-origin',
            'Permissions-Policy' => 'camera=(), microphone=(), geolocation=(self)',
            'Cross-Origin-Opener-Policy' => 'same-origin',
        ]);
        // Where people come by HTTPS, their browsers ask for nothing else for a year.
        if ($request->isSecure() && str_starts_with((string) config('app.url'), 'https://')) {
            $response->headers->set('Strict-Transport-Security', 'max-age=31536000');
        }
        if ($request->is('api/*')) {
            $response->headers->set('Cache-Control', 'no-store');
            $response->headers->set(self::CONTRACT, (string) config('installation.contract'));
        }

        return $response;
    }
}
