<?php

namespace App\Policies;

use App\Models\Circuit;
use App\Models\User;

/** A circuit is seen by whoever keeps it, and by everybody where it is shared; it is changed by whoever keeps it, and a shared one by the owner too. */
final class CircuitPolicy
{
    public function view(User $user, Circuit $circuit): bool
    {
        return $user->school_id === $circuit->school_id && ($circuit->shared || $user->id === $circuit->user_id);
    }

    public function update(User $user, Circuit $circuit): bool
    {
        return $this->view($user, $circuit) && ($user->isOwner() || $user->id === $circuit->user_id);
    }
}
