<?php

namespace App\Privacy;

use App\Models\AccompaniedDrive;
use App\Models\Assessment;
use App\Models\BusyTime;
use App\Models\Change;
use App\Models\Drawing;
use App\Models\Learner;
use App\Models\Lesson;
use App\Models\Mark;
use App\Models\Overruling;
use App\Models\Promise;
use App\Models\Remedy;
use App\Models\Round;
use App\Models\SkillAnswer;
use App\Models\Text;
use App\Models\ToldLesson;
use App\Models\WaitingLearner;
use App\School\ChangeLog;
use Illuminate\Support\Facades\DB;

/**
 * Takes away whom the records are about, and all that anybody wrote by hand about them. What was driven stays, and names nobody: the
 * school's own picture of how it teaches rests on it.
 */
final class Erasure
{
    /** What stands in the place of a name. */
    public const NOBODY = 'Erased learner';

    public static function of(Learner $learner): void
    {
        DB::transaction(static function () use ($learner): void {
            // Noted first, while there is a name to find, and blanked with the rest.
            ChangeLog::note('erased', $learner);
            // Past the model: its own change log would keep what is to go.
            Learner::withTrashed()->whereKey($learner->id)->toBase()->update([
                'name' => self::NOBODY, 'phone' => null, 'email' => null, 'pick_up' => null,
                'pick_up_latitude_deg' => null, 'pick_up_longitude_deg' => null, 'licence_seen_on' => null, 'eyesight_checked_on' => null,
                'is_minor' => false, 'guardian_name' => null, 'guardian_contact' => null, 'guardian_consent_on' => null, 'reference_points' => '[]',
                'keep_until' => null, 'erased_at' => now(), 'deleted_at' => now(), 'updated_at' => now(),
            ]);
            $lessons = Lesson::query()->where('learner_id', $learner->id)->pluck('id');
            Lesson::query()->whereKey($lessons)->toBase()->update([
                'pick_up' => null, 'pick_up_latitude_deg' => null, 'pick_up_longitude_deg' => null, 'drop_off' => null, 'drop_off_latitude_deg' => null,
                'drop_off_longitude_deg' => null, 'ended_why' => null, 'aim' => null, 'aim_routine' => null, 'aim_step' => null,
                'went_well' => null, 'worked_on' => null,
            ]);
            Mark::query()->toBase()->whereIn(
                'round_id', Round::query()->whereIn('lesson_id', $lessons)->pluck('id'),
            )->whereNotNull('note')->update(['note' => null]);
            Round::query()->toBase()->whereIn('lesson_id', $lessons)->whereNotNull('elsewhere')->update(['elsewhere' => null]);
            Promise::withTrashed()->where('learner_id', $learner->id)->forceDelete();
            Remedy::withTrashed()->where('learner_id', $learner->id)->forceDelete();
            Drawing::withTrashed()->whereIn('lesson_id', $lessons)->forceDelete();
            Overruling::query()->where('learner_id', $learner->id)->toBase()->update(['reason' => '']);
            SkillAnswer::query()->where('learner_id', $learner->id)->delete();
            foreach (Assessment::withTrashed()->where('learner_id', $learner->id)->get() as $test) {
                $test->update(['note' => null, 'faults' => array_map(static fn (array $one): array => ['where' => null] + $one, $test->faults)]);
            }
            ToldLesson::query()->where('learner_id', $learner->id)->delete();
            Change::query()->where('subject_id', $learner->id)->toBase()->update(['name' => self::NOBODY]);
            // With the time it held.
            BusyTime::withTrashed()->where('learner_id', $learner->id)->forceDelete();
            AccompaniedDrive::withTrashed()->where('learner_id', $learner->id)->forceDelete();
            Text::query()->where('learner_id', $learner->id)->delete();
            // Who is nobody is told nothing, of what falls out neither.
            DB::table('told')->whereIn('lesson_id', $lessons)->delete();
            WaitingLearner::withTrashed()->where('learner_id', $learner->id)->forceDelete();
            ErasedList::add($learner->id);
            // A lesson still ahead is nobody's.
            $ahead = Lesson::query()->whereIn('id', $lessons)->whereIn('state', ['wished', 'booked'])->where('starts_at', '>', now())->pluck('id');
            Lesson::query()->toBase()->whereIn('id', $ahead)->update(['state' => 'cancelled', 'ended_by' => 'learner', 'ended_at' => now()]);
            DB::table('bookings')->whereIn('lesson_id', $ahead)->delete();
        });
    }
}
