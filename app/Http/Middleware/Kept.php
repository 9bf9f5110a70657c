<?php

namespace App\Http\Middleware;

use App\Models\User;
use App\School\KeptAnswers;
use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response as Plain;
use Symfony\Component\HttpFoundation\Response;

/** Gives an answer as it was given before to the same person, as long as nothing of their school was written since. */
final class Kept
{
    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        $kept = $user instanceof User && $request->isMethod('GET') ? KeptAnswers::of("{$user->id} {$request->getRequestUri()}", $user->school_id) : null;
        $before = $kept?->get();
        if ($before !== null) {
            return new Plain($before, 200, ['Content-Type' => 'application/json']);
        }
        $answer = $next($request);
        if ($answer instanceof JsonResponse && $answer->getStatusCode() === 200) {
            $kept?->put((string) $answer->getContent());
        }

        return $answer;
    }
}
