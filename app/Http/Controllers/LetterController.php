<?php

namespace App\Http\Controllers;

use App\Models\Letter;
use App\People\Letters;
use App\People\WaysIn;
use Illuminate\Http\JsonResponse;

/** The school's outbox, for its owner. */
final class LetterController extends Controller
{
    private const SHOWN = 50;

    public function __invoke(): JsonResponse
    {
        $letters = Letter::query()->with('user')->latest('created_at')->orderByDesc('id')->limit(self::SHOWN)->get();
        $open = array_flip(WaysIn::standingOpen($letters->pluck('user.email')));
        $newest = [];

        return response()->json(['mail' => Letters::mailIsSetUp(), 'letters' => $letters->map(function (Letter $letter) use (&$newest, $open): array {
            // A newer letter to the same person takes the older one's place; used, its way in is gone.
            $opens = ! isset($newest[$letter->user_id]) && $letter->ends_at->isFuture() && isset($open[$letter->user->email]);
            $newest[$letter->user_id] = true;

            return [
                ...$letter->only(['id', 'kind', 'subject']), 'to' => $letter->user->only(['id', 'name', 'email']),
                'created_at' => $letter->created_at->toIso8601ZuluString(), 'ends_at' => $letter->ends_at->toIso8601ZuluString(),
                'opens' => $opens, 'by_mail' => $letter->body === null, 'body' => $opens ? $letter->body : null,
            ];
        })]);
    }
}
