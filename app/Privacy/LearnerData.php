<?php

namespace App\Privacy;

use App\Http\Resources\Show;
use App\Models\AccompaniedDrive;
use App\Models\Assessment;
use App\Models\BusyTime;
use App\Models\Change;
use App\Models\Drawing;
use App\Models\Learner;
use App\Models\Lesson;
use App\Models\Overruling;
use App\Models\PlannedItem;
use App\Models\Promise;
use App\Models\Remedy;
use App\Models\Round;
use App\Models\School;
use App\Models\Text;
use App\Models\WaitingLearner;

/** Everything that is kept of one learner, in words and numbers that somebody else can read. Described by docs/schemas/learner-data.json. */
final class LearnerData
{
    public const FORMAT = 'noble-turn-learner-data/3';

    /** @return array<string, mixed> */
    public static function of(Learner $learner, School $school): array
    {
        $lessons = $learner->lessons()->with(['instructor', 'vehicle', 'items.place', 'rounds.place', 'rounds.marks.place'])->orderBy('starts_at')->get();

        return [
            'format' => self::FORMAT,
            'made_at' => now()->toIso8601ZuluString(),
            'school' => $school->name,
            'learner' => [
                ...Show::learner($learner), 'kept_since' => $learner->getAttribute('created_at')?->toIso8601ZuluString(),
                'keep_until' => $learner->keep_until?->toDateString(),
            ],
            'lessons' => $lessons->map(self::lesson(...))->values()->all(),
            'tests' => BusyTime::withTrashed()->with(['centre', 'instructor'])->where('learner_id', $learner->id)->orderBy('starts_at')->get()->map(
                static fn (BusyTime $test): array => [
                    'starts_at' => $test->starts_at->toIso8601ZuluString(), 'ends_at' => $test->ends_at->toIso8601ZuluString(), 'title' => $test->title,
                    'centre' => $test->centre?->name, 'instructor' => $test->instructor?->name, 'taken_away' => $test->trashed(),
                ],
            )->all(),
            'assessments' => Assessment::withTrashed()->with('centre')->where('learner_id', $learner->id)->orderBy('taken_at')->get()->map(
                static fn (Assessment $one): array => [
                    'taken_at' => $one->taken_at->toIso8601ZuluString(), ...$one->only(['kind', 'scheme', 'result', 'faults', 'note']),
                    'centre' => $one->centre?->name, 'taken_away' => $one->trashed(),
                ],
            )->all(),
            'accompanied_drives' => AccompaniedDrive::withTrashed()->where('learner_id', $learner->id)->orderBy('starts_at')->get()->map(
                static fn (AccompaniedDrive $one): array => [
                    'starts_at' => $one->starts_at->toIso8601ZuluString(), ...$one->only(['minutes', 'note']), 'conditions' => (object) $one->conditions,
                    'taken_away' => $one->trashed(),
                ],
            )->all(),
            'texts' => Text::query()->where('learner_id', $learner->id)->orderBy('made_at')->orderBy('id')->get()->map(static fn (Text $text): array => [
                ...$text->only(['kind', 'body', 'phone', 'unsent']), 'made_at' => $text->made_at->toIso8601ZuluString(),
                'passed_on_at' => $text->passed_on_at?->toIso8601ZuluString(),
            ])->all(),
            'waiting' => WaitingLearner::withTrashed()->where('learner_id', $learner->id)->get()->map(static fn (WaitingLearner $one): array => [
                ...$one->only(['minutes', 'wishes', 'note']), 'since' => $one->created_at->toIso8601ZuluString(), 'taken_away' => $one->trashed(),
            ])->all(),
            'promises' => Promise::withTrashed()->where('learner_id', $learner->id)->orderBy('created_at')->get()->map(
                static fn (Promise $promise): array => Show::promise($promise),
            )->all(),
            'remedies' => Remedy::withTrashed()->where('learner_id', $learner->id)->orderBy('created_at')->get()->map(
                static fn (Remedy $remedy): array => Show::remedy($remedy) + ['given_at' => $remedy->created_at->toIso8601ZuluString()],
            )->all(),
            'overrulings' => Overruling::query()
                ->with('user')
                ->where('learner_id', $learner->id)
                ->orderBy('created_at')
                ->get()
                ->map(static fn (Overruling $one): array => [
                    ...$one->only(['routine', 'step', 'level', 'reason']), 'by' => $one->user->name, 'at' => $one->created_at->toIso8601ZuluString(),
                    'withdrawn_at' => $one->withdrawn_at?->toIso8601ZuluString(),
                ])->all(),
            'drawings' => Drawing::withTrashed()->whereIn('lesson_id', $lessons->pluck('id'))->orderBy('created_at')->get()->map(
                static fn (Drawing $drawing): array => $drawing->only(['lesson_id', 'title', 'page', 'state', 'asked']),
            )->all(),
            'changes' => Change::query()->with('user')->where('subject_id', $learner->id)->orderBy('at')->get()->map(static fn (Change $change): array => [
                'at' => $change->at->toIso8601ZuluString(), 'by' => $change->user->name, 'what' => $change->what, 'fields' => $change->details['fields'] ?? [],
            ])->all(),
        ];
    }

    /** @return array<string, mixed> */
    private static function lesson(Lesson $lesson): array
    {
        return [
            ...$lesson->only(['id', 'minutes', 'aim', 'aim_routine', 'aim_step', 'state', 'went_well', 'worked_on', 'cut_to_minutes']),
            ...$lesson->only(['pick_up', 'drop_off', 'ended_by', 'ended_why', 'charged']),
            'ended_at' => $lesson->ended_at?->toIso8601ZuluString(),
            'starts_at' => $lesson->starts_at->toIso8601ZuluString(),
            'instructor' => $lesson->instructor->name,
            'car' => $lesson->vehicle->name,
            'own_ratings' => (object) $lesson->self_rating,
            'planned' => $lesson->items->map(
                static fn (PlannedItem $item): array => ['place' => $item->place->name, 'routine' => $item->place->routine, 'minutes' => $item->minutes],
            )->all(),
            // Every mark as it was made, corrections and withdrawals beside what they correct.
            'rounds' => $lesson->rounds->map(
                static fn (Round $round): array => ['plan' => $round->plan] + array_diff_key(Show::round($round), ['lesson_id' => 0]),
            )->all(),
        ];
    }
}
