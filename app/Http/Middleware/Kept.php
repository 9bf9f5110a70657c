<?php

namespace App\Http\Middleware;

use App\Models\User;
use App\School\KeptAnswers;
use App\School\Records;
use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Gives an answer as it was given before to the same person, as long as nothing of their school was written since. */
final class Kept
{
    /** For answers that are made from what was found in the background as well: `Kept::class.':'.Kept::FOUND`. */
    public const FOUND = 'found';

    public function handle(Request $request, Closure $next, string $hangsOn = ''): Response
    {
        $user = $request->user();
        $with = $hangsOn === self::FOUND ? app(Records::class)->stamp() : '';
        $kept = $user instanceof User && $request->isMethod('GET') && $with !== null
            ? KeptAnswers::of("{$user->id} {$request->getRequestUri()}", $user->school_id, $with) : null;
        $before = $kept?->response($request, ['Content-Type' => 'application/json']);
        if ($before !== null) {
            return $before;
        }
        $answer = $next($request);
        if ($answer instanceof JsonResponse && $answer->getStatusCode() === 200) {
            $kept?->put((string) $answer->getContent());
        }

        return $answer;
    }
}
