<?php

namespace Database\Seeders;

use App\Models\Lesson;
use App\Models\School;
use App\Models\User;
use App\Telling\Outbox;
use Illuminate\Support\Facades\DB;

/** The school of the demo tells its learners by text: one lesson has been moved since it was told, and one is off. */
final class DemoTexts
{
    public static function fill(School $school, User $tutor): void
    {
        $school->update(['texts' => ['on' => true]]);
        $outbox = new Outbox($school);
        $outbox->begin();
        $ahead = Lesson::query()->where('instructor_id', $tutor->id)->where('starts_at', '>', now()->addDay())->oldest('starts_at');
        $moved = $ahead->clone()->where('state', 'booked')->skip(2)->firstOrFail();
        $off = $ahead->clone()->where('state', 'cancelled')->firstOrFail();
        foreach ([[$moved, $moved->starts_at->copy()->subMinutes(45)], [$off, $off->starts_at]] as [$lesson, $was]) {
            DB::table('told')->updateOrInsert(['lesson_id' => $lesson->id], [
                'school_id' => $school->id, 'starts_at' => $was, 'minutes' => $lesson->minutes, 'pick_up' => $lesson->pick_up, 'told_at' => now()->subDays(3),
            ]);
            // The diary has come to rest since.
            Lesson::query()->whereKey($lesson->id)->toBase()->update(['updated_at' => now()->subHour()]);
        }
        $outbox->fill();
    }
}
