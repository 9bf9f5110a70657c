<?php

namespace App\Http\Middleware;

use App\Models\User;
use App\School\SchoolVersion;
use Closure;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response as Plain;
use Illuminate\Support\Facades\Cache;
use NobleTurn\Core\Compute\Toolbox;
use Symfony\Component\HttpFoundation\Response;

/**
 * Gives an answer as it was given before to the same person, as long as nothing of their school was written since: by the school's version, which
 * moves with every write. For addresses whose answers hang on nothing but what is stored and on the day. Kept in the memory that the server's
 * workers share; where there is none every answer is made.
 */
final class Kept
{
    private const SECONDS = 3_600;

    /** The day turns at another moment in each time zone, but never between these, s. */
    private const HALF_AN_HOUR = 1_800;

    /** Longer ones are made each time: memory is for many. */
    private const LONGEST = 400_000;

    public function handle(Request $request, Closure $next): Response
    {
        $memory = self::memory();
        $user = $request->user();
        if ($memory === null || ! $user instanceof User || ! $request->isMethod('GET')) {
            return $next($request);
        }
        $name = 'kept '.hash('xxh128', "{$user->id} {$request->getRequestUri()}");
        $stands = implode(' ', [SchoolVersion::of($user->school_id), Toolbox::VERSION, intdiv(now()->getTimestamp(), self::HALF_AN_HOUR)]);
        $kept = $memory->get($name);
        if (is_array($kept) && $kept[0] === $stands) {
            return new Plain($kept[1], 200, ['Content-Type' => 'application/json']);
        }
        $answer = $next($request);
        if ($answer instanceof JsonResponse && $answer->getStatusCode() === 200 && strlen((string) $answer->getContent()) <= self::LONGEST) {
            $memory->put($name, [$stands, $answer->getContent()], self::SECONDS);
        }

        return $answer;
    }

    private static function memory(): ?Repository
    {
        $store = config('cache.kept');

        return is_string($store) ? Cache::store($store) : (function_exists('apcu_enabled') && apcu_enabled() ? Cache::store('apc') : null);
    }
}
