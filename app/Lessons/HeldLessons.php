<?php

namespace App\Lessons;

use App\Models\Learner;
use App\Models\Lesson;
use Illuminate\Database\Eloquent\Collection;

/**
 * Lessons held for whoever writes of them and of their learners. What points to both, a promise or a text, asks for the learner before
 * the lesson: in the other order two who write at once would each wait for what the other has.
 */
final class HeldLessons
{
    /**
     * Within a transaction: until it ends nobody else writes of them. Who waited here sees all that the other wrote.
     *
     * @param  array<string>  $ids
     * @return Collection<string, Lesson> by id, each with its learner
     */
    public static function of(array $ids): Collection
    {
        $learners = Lesson::query()->whereKey($ids)->distinct()->pluck('learner_id');
        Learner::withTrashed()->whereKey($learners)->orderBy('id')->lockForUpdate()->pluck('id');

        return Lesson::query()->whereKey($ids)->with('learner')->orderBy('id')->lockForUpdate()->get()->keyBy('id');
    }
}
