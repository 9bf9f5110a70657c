<?php

namespace App\Http\Controllers;

use App\Contract\TakenOfLessons;
use App\Http\Allowance;
use App\Http\Resources\Show;
use App\Marks\TakeIn;
use App\Marks\WhatAMarkSays;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Validation\Rule;
use Symfony\Component\HttpFoundation\Response;

/** Where a device's queue of rounds and marks arrives. Sending the same again changes nothing. */
final class SyncController extends Controller
{
    /** What it takes to look at a round or a mark and keep it, ms (measured). */
    private const AN_EVENT_MS = 2.0;

    public function __invoke(Request $request, TakeIn $takeIn, Allowance $allowance): JsonResponse
    {
        $this->understandAll($request);
        $allowance->take($this->user($request), 'sync', self::AN_EVENT_MS * (count((array) $request->json('rounds')) + count((array) $request->json('marks'))));
        $ours = Rule::exists('places', 'id')->where('school_id', $this->user($request)->school_id);
        $said = $request->validate([
            ...TakenOfLessons::batch(),
            'rounds.*.place_id' => ['sometimes', 'nullable', 'uuid', $ours],
            'marks.*.place_id' => ['nullable', 'uuid', $ours],
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
            WhatAMarkSays::check($i, $mark);
        }
        $taken = $takeIn($user, $rounds, $marks, isset($said['sent_at']) ? Carbon::parse($said['sent_at'])->utc() : null);

        return response()->json([...$taken, 'stands' => array_map(Show::mark(...), $taken['stands'])]);
    }

    /** What a newer page says and this server does not know would be lost without a word: it waits on the device. */
    private function understandAll(Request $request): void
    {
        foreach (TakenOfLessons::saidOf() as $kind => $known) {
            foreach ((array) $request->json($kind) as $event) {
                abort_if(
                    is_array($event) && array_diff_key($event, $known) !== [], Response::HTTP_UPGRADE_REQUIRED,
                    'This page is newer than the server: its marks wait on this device until the server is brought up to date.',
                );
            }
        }
    }
}
