<?php

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Routing\Route;
use Symfony\Component\HttpFoundation\Response;

/**
 * What comes in, checked once for all: JSON only, text only as UTF-8, ids as they are kept. A text that is no UTF-8 would be stored
 * and then break every page that shows it.
 */
final class PlainInput
{
    private const UUID = '/^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i';

    public function handle(Request $request, Closure $next): Response
    {
        // Kept with the session, whatever a browser calls itself.
        $request->headers->set('User-Agent', mb_scrub((string) $request->headers->get('User-Agent'), 'UTF-8'));
        abort_unless(mb_check_encoding(rawurldecode($request->getRequestUri()), 'UTF-8'), 400, 'The address is not valid UTF-8.');
        $body = $request->getContent();
        if ($body !== '' && $request->is('api/*')) {
            abort_unless($request->isJson(), 415, 'Send JSON, with Content-Type: application/json.');
            abort_unless(mb_check_encoding($body, 'UTF-8'), 400, 'The input is not valid UTF-8.');
            json_decode($body, true);
            abort_unless(json_last_error() === JSON_ERROR_NONE, 400, 'The input is not JSON: '.json_last_error_msg().'.');
            $request->json()->replace(self::ids($request->json()->all()));
        }
        $route = $request->route();
        if ($route instanceof Route) {
            foreach ($route->parameters() as $name => $value) {
                if (is_string($value) && preg_match(self::UUID, $value) === 1) {
                    $route->setParameter($name, strtolower($value));
                }
            }
        }

        return $next($request);
    }

    /**
     * Ids may be written in capitals (RFC 9562); they are kept, compared and linked in small letters.
     *
     * @param  array<array-key, mixed>  $said
     * @return array<array-key, mixed>
     */
    private static function ids(array $said, bool $isList = false): array
    {
        foreach ($said as $name => $value) {
            if (is_array($value)) {
                $said[$name] = self::ids($value, $name === 'items');
            } elseif (is_string($value) && ($isList || $name === 'id' || $name === 'made_by' || str_ends_with((string) $name, '_id')) && preg_match(self::UUID, $value) === 1) {
                $said[$name] = strtolower($value);
            }
        }

        return $said;
    }
}
