<?php

namespace Database\Seeders;

use App\Installation\Installation;
use App\Models\Learner;
use App\Models\School;
use App\Models\User;
use App\Models\Vehicle;
use App\School\CurrentSchool;
use Illuminate\Database\Seeder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** For measuring only: twenty made-up instructors with forty lessons in the week to come, the first of them in every week of two years. */
final class BusyDiarySeeder extends Seeder
{
    public const EMAIL = 'owner@diary.test';

    private const INSTRUCTORS = 20;

    private const WEEKS = 104;

    /** Mondays to Fridays, on every hour from eight: forty lessons. */
    private const HOURS = 8;

    private const LEARNERS = 10;

    public function run(CurrentSchool $current): void
    {
        Installation::beDemo();
        $school = School::query()->create([
            'name' => 'Twenty Instructors', 'time_zone' => 'UTC', 'pack' => 'gb', 'practice' => [], 'latitude_deg' => 49.2, 'longitude_deg' => -8.1,
        ]);
        for ($i = 0; $i < self::INSTRUCTORS; $i++) {
            $person = new User([
                'name' => "Instructor {$i}", 'email' => $i === 0 ? self::EMAIL : "instructor{$i}@diary.test", 'password' => DemoSeeder::PASSWORD,
            ]);
            $person->school_id = $school->id;
            $person->role = $i === 0 ? 'owner' : 'instructor';
            $person->joined_at = Carbon::now();
            $person->save();
            $current->within($school, fn () => $this->diary($school, $person, $i === 0 ? self::WEEKS : 1));
        }
    }

    private function diary(School $school, User $person, int $weeks): void
    {
        $car = Vehicle::query()->create(['name' => "Car of {$person->name}", 'transmission' => 'manual', 'controls' => 'standard', 'length_m' => 4,
            'width_m' => 1.8]);
        $learners = array_map(static fn (int $n): string => Learner::query()->create([
            'name' => "Learner {$n} of {$person->name}", 'transmission' => 'manual', 'level' => 'developing',
            'pick_up_latitude_deg' => 49.2 + $n / 500, 'pick_up_longitude_deg' => -8.1 + $n % 3 / 200,
        ])->id, range(1, self::LEARNERS));
        $lessons = $bookings = [];
        foreach (range(0, $weeks * 5 * self::HOURS - 1) as $n) {
            [$day, $hour] = [intdiv($n, self::HOURS), $n % self::HOURS];
            $from = Carbon::parse('next monday', 'UTC')->addWeeks(intdiv($day, 5))->addDays($day % 5)->setTime(8 + $hour, 0);
            [$starts, $ends] = [$from->format('Y-m-d H:i:s'), $from->copy()->addMinutes(45)->format('Y-m-d H:i:s')];
            $lesson = [
                'id' => (string) Str::uuid7(), 'school_id' => $school->id, 'learner_id' => $learners[$n % self::LEARNERS], 'instructor_id' => $person->id,
                'vehicle_id' => $car->id, 'starts_at' => $starts, 'minutes' => 45, 'state' => 'booked', 'self_rating' => '{}', 'created_at' => $starts,
                'updated_at' => $starts,
            ];
            $lessons[] = $lesson;
            foreach (['instructor' => $person->id, 'learner' => $lesson['learner_id'], 'car' => $car->id] as $who => $id) {
                $bookings[] = [
                    'id' => (string) Str::uuid7(), 'school_id' => $school->id, 'lesson_id' => $lesson['id'], 'who' => $who, 'who_id' => $id,
                    'starts_at' => $starts, 'ends_at' => $ends,
                ];
            }
        }
        foreach (['lessons' => $lessons, 'bookings' => $bookings] as $table => $rows) {
            foreach (array_chunk($rows, 1000) as $chunk) {
                DB::table($table)->insert($chunk);
            }
        }
    }
}
