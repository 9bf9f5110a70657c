<?php

namespace App\Diary;

use App\Models\User;
use App\Rights\Right;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;

/** Who gives a lesson that is booked: whoever books it, or, where the owner does so, a colleague of theirs. */
final class WhoGives
{
    /**
     * @param  ?string  $said  id; null for oneself
     *
     * @throws ValidationException where it is nobody of the school who gives lessons now
     */
    public static function of(User $user, ?string $said): User
    {
        if ($said === null || $said === $user->id) {
            return $user;
        }
        abort_unless($user->isOwner(), 403, 'Only the owner books lessons for others.');
        $colleague = User::query()->where('school_id', $user->school_id)->find($said);
        if ($colleague === null || $colleague->isSuspended() || ! Gate::forUser($colleague)->allows(Right::WriteLessons->value)) {
            throw ValidationException::withMessages(['instructor_id' => 'Choose somebody of this school who gives lessons.']);
        }

        return $colleague;
    }
}
