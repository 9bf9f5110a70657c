<?php

namespace App\Http\Controllers;

use App\Contract\Taken;
use App\Http\Allowance;
use App\Http\Resources\Show;
use App\Marks\TakeIn;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use NobleTurn\Core\Record\Outcome;
use NobleTurn\Core\Routine\Faults;
use NobleTurn\Core\Trade\Effect;
use NobleTurn\Core\Trade\Step;

/** Where a device's queue of rounds and marks arrives. Sending the same again changes nothing. */
final class SyncController extends Controller
{
    /** What it takes to look at a round or a mark and keep it, ms (measured). */
    private const AN_EVENT_MS = 2.0;

    public function __invoke(Request $request, TakeIn $takeIn, Allowance $allowance): JsonResponse
    {
        $allowance->take($this->user($request), 'sync', self::AN_EVENT_MS * (count((array) $request->json('rounds')) + count((array) $request->json('marks'))));
        $said = $request->validate([
            ...Taken::batch(),
            'rounds.*.place_id' => ['required', 'uuid', Rule::exists('places', 'id')->where('school_id', $this->user($request)->school_id)],
        ]);
        /** @var list<array<string, mixed>> $rounds */
        $rounds = $said['rounds'];
        /** @var list<array<string, mixed>> $marks */
        $marks = $said['marks'];
        $user = $this->user($request);
        foreach ([...$rounds, ...$marks] as $event) {
            // Another tab has signed somebody else in: these wait on the device for their maker.
            abort_if(
                isset($event['made_by']) && $event['made_by'] !== $user->id, 409,
                'These marks are somebody else’s: they wait on this device until their maker signs in.',
            );
        }
        foreach ($marks as $i => $mark) {
            $this->saysSomething($i, $mark);
        }
        $taken = $takeIn($user, $rounds, $marks, isset($said['sent_at']) ? Carbon::parse($said['sent_at'])->utc() : null);

        return response()->json([...$taken, 'stands' => array_map(Show::mark(...), $taken['stands'])]);
    }

    /** @param  array<string, mixed>  $mark */
    private function saysSomething(int $i, array $mark): void
    {
        $withdrawn = ($mark['withdrawn'] ?? false) === true;
        [$field, $sentence] = match (true) {
            $withdrawn && ($mark['corrects_id'] ?? null) === null => ['corrects_id', 'A withdrawal must name the mark it withdraws.'],
            $withdrawn => [null, ''],
            $mark['kind'] === 'step' && ($mark['step'] ?? null) === null => ['step', 'Say which step it was.'],
            $mark['kind'] === 'step' && ($mark['outcome'] ?? null) === null => ['outcome', 'A step needs an outcome.'],
            $mark['kind'] === 'taught' && ($mark['taught'] ?? null) === null => ['taught', 'Say whether it was shown or talked through.'],
            $mark['kind'] !== 'step' && (($mark['outcome'] ?? $mark['step'] ?? null) !== null) => ['outcome', 'Only a step has an outcome.'],
            $mark['kind'] !== 'step' && ($mark['fault'] ?? $mark['effect'] ?? null) !== null => ['fault', 'Only a step has a fault.'],
            isset($mark['fault']) && ! Faults::isOf($mark['fault'], Step::from($mark['step'])) => ['fault', "That is no kind of fault of {$mark['step']}."],
            ($mark['effect'] ?? null) === Effect::Intervened->value && $mark['outcome'] !== Outcome::Intervened->value => [
                'effect', 'Where we stepped in, that is the outcome too.',
            ],
            $mark['kind'] === 'conditions' && ($mark['conditions'] ?? null) === null => ['conditions', 'Say what the conditions were.'],
            $mark['kind'] !== 'conditions' && ($mark['conditions'] ?? null) !== null => ['conditions', 'Only a mark of the conditions says them.'],
            $mark['kind'] !== 'taught' && ($mark['taught'] ?? null) !== null => ['taught', 'Only a taught mark says how it was taught.'],
            default => [null, ''],
        };
        if ($field !== null) {
            throw ValidationException::withMessages(["marks.{$i}.{$field}" => $sentence]);
        }
    }
}
