<?php

namespace App\Policies;

use App\Models\Lesson;
use App\Models\User;

/** Colleagues read each other's lessons where the school lets them; only who gives a lesson, or the owner, writes in it. */
final class LessonPolicy
{
    public function view(User $user, Lesson $lesson): bool
    {
        return $this->mark($user, $lesson) || ($user->school_id === $lesson->school_id && $user->school->colleagues_read);
    }

    /** To add what was driven: also where it comes late, and its learner is erased by now. */
    public function mark(User $user, Lesson $lesson): bool
    {
        return $user->school_id === $lesson->school_id && ($user->isOwner() || $user->id === $lesson->instructor_id);
    }

    /** To write in it by hand: about somebody who is erased nobody writes anything more. */
    public function update(User $user, Lesson $lesson): bool
    {
        return $this->mark($user, $lesson) && $lesson->learner->erased_at === null;
    }
}
