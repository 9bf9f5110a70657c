<?php

namespace App\Policies;

use App\Models\BusyTime;
use App\Models\User;

/** Everybody is told that somebody or a car is taken; what for is seen, and changed, by whose time it is and by the owner. A car’s is everybody’s. */
final class BusyTimePolicy
{
    public function update(User $user, BusyTime $busy): bool
    {
        return $user->school_id === $busy->school_id
            && ($user->isOwner() || $busy->instructor_id === null || $busy->instructor_id === $user->id) && $busy->learner?->erased_at === null;
    }

    /** Whether somebody may read the word it was given, or whose test it is. */
    public function view(User $user, BusyTime $busy): bool
    {
        return $user->school_id === $busy->school_id && match ($busy->kind) {
            'busy' => $user->id === $busy->instructor_id,
            'test' => $user->isOwner() || $user->id === $busy->instructor_id || $user->school->colleagues_read,
            'away' => true,
        };
    }
}
