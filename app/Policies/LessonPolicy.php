<?php

namespace App\Policies;

use App\Models\Lesson;
use App\Models\User;

/** Colleagues may read each other's lessons; only who gives a lesson, or the owner, writes in it. */
final class LessonPolicy
{
    public function view(User $user, Lesson $lesson): bool
    {
        return $user->school_id === $lesson->school_id;
    }

    public function update(User $user, Lesson $lesson): bool
    {
        return $this->view($user, $lesson) && ($user->isOwner() || $user->id === $lesson->instructor_id);
    }
}
