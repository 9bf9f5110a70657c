<?php

namespace App\Policies;

use App\Models\Overruling;
use App\Models\User;

/** An instructor's word is taken back by whoever said it, or the owner. */
final class OverrulingPolicy
{
    public function update(User $user, Overruling $overruling): bool
    {
        return $user->school_id === $overruling->school_id && ($user->isOwner() || $user->id === $overruling->user_id);
    }
}
