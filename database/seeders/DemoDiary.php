<?php

namespace Database\Seeders;

use App\Diary\Bookings;
use App\Models\Learner;
use App\Models\Lesson;
use App\Models\User;
use App\Models\Vehicle;

/** What the diaries of the demo hold beside the instructor’s lessons: the owner’s own hours, a lesson that was cancelled, one that is only wished. */
final class DemoDiary
{
    private const ZONE = 'Europe/London';

    private const DAYS = 12;

    private const SUNDAY = 0;

    public static function fill(User $owner, User $tutor, Vehicle $manual): void
    {
        $learners = Learner::query()->whereNull('pack')->where('transmission', 'manual')->orderBy('id')->get()->values();
        $lesson = static function (User $instructor, int $day, int $hour, int $minute, int $n, array $more = []) use ($learners, $manual): Lesson {
            $lesson = new Lesson([
                'learner_id' => $learners[$n % $learners->count()]->id, 'vehicle_id' => $manual->id, 'minutes' => 60,
                'starts_at' => now(self::ZONE)->startOfDay()->addDays($day)->setTime($hour, $minute)->utc(), ...$more,
            ]);
            $lesson->instructor_id = $instructor->id;
            Bookings::with($lesson, static fn (Lesson $lesson): bool => $lesson->save());

            return $lesson;
        };
        // The owner teaches at noon and in the evening, when the instructor has the car at home.
        for ($day = 1; $day < self::DAYS; $day++) {
            if ((int) now(self::ZONE)->addDays($day)->format('w') !== self::SUNDAY) {
                $lesson($owner, $day, 11, 40, $day, ['aim' => 'Holding back rightly']);
                $lesson($owner, $day, 18, 15, $day + 2, ['minutes' => 90, 'aim' => 'Lights, and what they show']);
            }
        }
        $lesson($tutor, 2, 18, 15, 1, [
            'state' => 'cancelled', 'ended_by' => 'learner', 'ended_at' => now(), 'ended_why' => 'A cold; rang in the morning', 'charged' => false,
        ]);
        $lesson($tutor, 3, 18, 30, 4, ['state' => 'wished', 'aim' => 'Once more in the dark before the test']);
    }
}
