<?php

namespace App\Http\Resources;

use App\Models\BusyTime;
use App\Models\Lesson;
use App\Models\Text;
use App\Models\User;
use App\Models\WaitingLearner;
use Illuminate\Support\Facades\Gate;

/** What a diary holds, as the interface reads it. */
final class ShowDiary
{
    /** @return array<string, mixed> */
    public static function lesson(Lesson $lesson): array
    {
        return [
            ...Show::lessonLine($lesson),
            'drop_off' => $lesson->drop_off,
            'own_places' => $lesson->only([
                'pick_up', 'pick_up_latitude_deg', 'pick_up_longitude_deg', 'drop_off', 'drop_off_latitude_deg', 'drop_off_longitude_deg',
            ]),
            'ended' => $lesson->state !== 'cancelled' ? null : [
                'by' => $lesson->ended_by, 'at' => $lesson->ended_at?->toIso8601ZuluString(), 'why' => $lesson->ended_why, 'charged' => $lesson->charged,
            ],
            'moved_from_id' => $lesson->moved_from_id,
        ];
    }

    /** @return array<string, mixed> as somebody sees it: of what is not theirs to read only that it takes the time; those named must be loaded in a list */
    public static function busyTime(BusyTime $busy, User $reader): array
    {
        $may = Gate::forUser($reader)->allows('view', $busy);

        return [
            ...$busy->only(['id', 'kind']), 'starts_at' => $busy->starts_at->toIso8601ZuluString(), 'ends_at' => $busy->ends_at->toIso8601ZuluString(),
            'title' => $may ? $busy->title : null, 'instructor' => $busy->instructor?->only(['id', 'name']),
            'learner' => $may ? $busy->learner?->only(['id', 'name']) : null, 'vehicle' => $busy->vehicle?->only(['id', 'name']),
            'centre' => $may ? $busy->centre?->only(['id', 'name']) : null, 'may_change' => Gate::forUser($reader)->allows('update', $busy),
        ];
    }

    /** @return array<string, mixed> learner and lesson must be loaded in a list */
    public static function text(Text $text): array
    {
        return [
            ...$text->only(['id', 'lesson_id', 'kind', 'body', 'phone', 'unsent']), 'learner' => $text->learner->only(['id', 'name']),
            'starts_at' => $text->lesson->starts_at->toIso8601ZuluString(), 'made_at' => $text->made_at->toIso8601ZuluString(),
            'passed_on_at' => $text->passed_on_at?->toIso8601ZuluString(),
        ];
    }

    /** @return array<string, mixed> the learner must be loaded in a list */
    public static function waiting(WaitingLearner $waiting): array
    {
        return [
            'learner' => $waiting->learner->only(['id', 'name']), 'minutes' => $waiting->minutes, 'wishes' => $waiting->wishes, 'note' => $waiting->note,
            'since' => $waiting->created_at->toIso8601ZuluString(),
        ];
    }
}
