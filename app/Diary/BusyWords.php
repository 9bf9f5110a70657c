<?php

namespace App\Diary;

use App\Models\BusyTime;
use App\Models\User;
use Illuminate\Support\Facades\Gate;

/** What keeps somebody or a car, in a few words; of what is not to be read no more than that it does. */
final class BusyWords
{
    /** In the middle of a sentence. */
    public static function why(BusyTime $busy, ?User $reader = null): string
    {
        $may = $reader === null ? Gate::allows('view', $busy) : Gate::forUser($reader)->allows('view', $busy);

        return match ($busy->kind) {
            'busy' => $may && $busy->title !== null ? $busy->title : 'busy',
            'test' => $may ? "{$busy->learner?->name}’s test" : 'a colleague’s test',
            'away' => $busy->title === null ? 'away' : "away, {$busy->title}",
        };
    }
}
