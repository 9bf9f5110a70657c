<?php

namespace Database\Seeders;

use App\Diary\Bookings;
use App\Models\BusyTime;
use App\Models\Centre;
use App\Models\Learner;
use App\Models\Lesson;
use App\Models\User;
use App\Models\Vehicle;
use App\Models\WaitingLearner;

/**
 * What the diaries of the demo hold beside the instructor’s lessons: the owner’s own hours with a day that they are ill and an evening that ran late, a
 * lesson that was cancelled, one that is only wished, a test, a dentist, a car that goes to its service, and who waits for an hour.
 */
final class DemoDiary
{
    private const ZONE = 'Europe/London';

    private const DAYS = 12;

    private const SUNDAY = 0;

    private const ILL = 5;

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
                $ill = $day !== self::ILL ? [] : [
                    'state' => 'cancelled', 'ended_by' => 'instructor', 'ended_at' => now(), 'ended_why' => 'Ill', 'charged' => false,
                ];
                $lesson($owner, $day, 11, 40, $day, ['aim' => 'Holding back rightly', ...$ill]);
                $lesson($owner, $day, 18, 15, $day + 2, ['minutes' => 90, 'aim' => 'Lights, and what they show', ...$ill]);
            }
        }
        // An evening that ran late: begun later, cut, and one that could not be kept.
        $late = (int) now(self::ZONE)->subDay()->format('w') === self::SUNDAY ? -2 : -1;
        $lesson($owner, $late, 18, 35, 3, ['state' => 'done', 'aim' => 'Mini-roundabouts one after another']);
        $lesson($owner, $late, 19, 40, 6, ['state' => 'cut-short', 'cut_to_minutes' => 40, 'aim' => 'Lights, and what they show']);
        $lesson($owner, $late, 20, 45, 7, [
            'state' => 'cancelled', 'ended_by' => 'instructor', 'ended_at' => now(self::ZONE)->startOfDay()->addDays($late)->setTime(18, 20)->utc(),
            'ended_why' => 'The day ran late', 'charged' => false,
        ]);
        $lesson($tutor, 2, 18, 15, 1, [
            'state' => 'cancelled', 'ended_by' => 'learner', 'ended_at' => now(), 'ended_why' => 'A cold; rang in the morning', 'charged' => false,
        ]);
        $lesson($tutor, 3, 18, 30, 4, ['state' => 'wished', 'aim' => 'Once more in the dark before the test']);
        self::hold(['kind' => 'busy', 'instructor_id' => $owner->id, 'title' => 'Ill'], self::ILL, [0, 0], 24 * 60);
        self::hold(['kind' => 'busy', 'instructor_id' => $tutor->id, 'title' => 'Dentist'], 1, [12, 15], 45);
        self::hold(['kind' => 'away', 'vehicle_id' => $manual->id, 'title' => 'service'], 4, [14, 40], 110);
        $waiting = [
            [1, 60, [['days' => [1, 2, 3, 4, 5], 'from' => '17:00', 'until' => '21:00']], 'Works until half past four.'],
            [3, 60, [], null],
            [5, 90, [['days' => [6, 7], 'from' => '08:00', 'until' => '13:00'], ['days' => [2], 'from' => '18:00', 'until' => '20:00']], null],
        ];
        foreach ($waiting as [$n, $minutes, $wishes, $note]) {
            WaitingLearner::query()->create(['learner_id' => $learners[$n]->id, 'minutes' => $minutes, 'wishes' => $wishes, 'note' => $note]);
        }
        // Right after their lesson that morning.
        $tested = Lesson::query()->where('instructor_id', $tutor->id)->where(
            'starts_at', now(self::ZONE)->startOfDay()->addDays(2)->setTime(9, 0)->utc(),
        )->firstOrFail();
        self::hold([
            'kind' => 'test', 'instructor_id' => $tutor->id, 'learner_id' => $tested->learner_id, 'vehicle_id' => $tested->vehicle_id,
            'centre_id' => Centre::query()->firstOrFail()->id,
        ], 2, [10, 15], 60);
    }

    /**
     * @param  array<string, mixed>  $facts
     * @param  array{int, int}  $at  by the clock on the wall
     */
    private static function hold(array $facts, int $day, array $at, int $minutes): void
    {
        $from = now(self::ZONE)->startOfDay()->addDays($day)->setTime(...$at);
        $busy = new BusyTime([...$facts, 'starts_at' => $from->copy()->utc(), 'ends_at' => $from->copy()->addMinutes($minutes)->utc()]);
        Bookings::with($busy, static fn (BusyTime $busy): bool => $busy->save());
    }
}
