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
    /** Entries of one list, and of all lists of a request together; a full batch of marks has 500 and 10,000. */
    private const LONGEST = 1000;

    private const MOST = 20_000;

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
            $decoded = (array) json_decode($body, true);
            abort_unless(json_last_error() === JSON_ERROR_NONE, 400, 'The input is not JSON: '.json_last_error_msg().'.');
            // Counted before anything is made of it: to check each entry of a list is dearer than to send it.
            if (! $request->is('api/compute/*')) {
                abort_if(self::isTooMuch($request->json()->all()), 422, 'That is more than one request may hold: send it in parts.');
                array_walk_recursive($decoded, static fn (mixed $value) => abort_if(is_float($value) && ! is_finite($value), 422, 'A number is too large.'));
            }
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

    /** @param  array<array-key, mixed>  $said */
    private static function isTooMuch(array $said): bool
    {
        $entries = 0;
        $lists = [$said];
        while ($lists !== []) {
            $list = array_pop($lists);
            $entries += count($list);
            if (count($list) > self::LONGEST || $entries > self::MOST) {
                return true;
            }
            array_push($lists, ...array_filter(array_values($list), is_array(...)));
        }

        return false;
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
            } elseif (
                is_string($value)
                && ($isList || $name === 'id' || $name === 'made_by' || str_ends_with((string) $name, '_id'))
                && preg_match(self::UUID, $value) === 1
            ) {
                $said[$name] = strtolower($value);
            }
        }

        return $said;
    }
}
