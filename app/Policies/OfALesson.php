<?php

namespace App\Policies;

use App\Models\Drawing;
use App\Models\Lesson;
use App\Models\PlannedItem;
use App\Models\Promise;
use App\Models\Remedy;
use App\Models\User;

/** What hangs on a lesson is written by whoever writes in the lesson; a drawing of a place alone by everybody who teaches. */
final readonly class OfALesson
{
    public function __construct(private LessonPolicy $lessons)
    {
    }

    public function update(User $user, PlannedItem|Promise|Remedy|Drawing $row): bool
    {
        if ($row->lesson_id === null) {
            return $user->school_id === $row->school_id;
        }
        $lesson = Lesson::query()->find($row->lesson_id);

        return $lesson instanceof Lesson && $this->lessons->update($user, $lesson);
    }
}
