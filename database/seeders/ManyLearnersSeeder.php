<?php

namespace Database\Seeders;

use App\Installation\Installation;
use App\Models\Learner;
use App\Models\Place;
use App\Models\School;
use App\Models\User;
use App\Models\Vehicle;
use App\School\CurrentSchool;
use Illuminate\Database\Seeder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** For measuring only: a school of two thousand made-up learners with five lessons of twenty marks each. */
final class ManyLearnersSeeder extends Seeder
{
    public const EMAIL = 'owner@bench.test';

    private const LEARNERS = 2000;

    private const LESSONS = 5;

    private const ROUNDS = 4;

    private const STEPS = ['mirrors', 'signal', 'position', 'speed', 'look'];

    private const OUTCOMES = ['missed', 'prompted', 'reminded', 'unaided', 'unaided', 'unaided'];

    public function run(CurrentSchool $current): void
    {
        Installation::beDemo();
        mt_srand(7);
        $school = School::query()->create(['name' => 'Two Thousand', 'time_zone' => 'UTC', 'pack' => 'gb', 'practice' => []]);
        $owner = new User(['name' => 'Owner', 'email' => self::EMAIL, 'password' => DemoSeeder::PASSWORD]);
        $owner->school_id = $school->id;
        $owner->role = 'owner';
        $owner->joined_at = Carbon::now();
        $owner->save();
        $current->within($school, function () use ($school, $owner): void {
            $car = Vehicle::query()->create(['name' => 'Car', 'transmission' => 'manual', 'controls' => 'standard', 'length_m' => 4, 'width_m' => 1.8]);
            $places = array_map(static fn (array $place): Place => Place::query()->create($place), array_slice(DemoWorld::places(), 0, 8));
            for ($i = 0; $i < self::LEARNERS; $i += 100) {
                DB::transaction(fn () => $this->hundred($school, $owner, $car, $places, $i));
            }
        });
    }

    /** @param  list<Place>  $places */
    private function hundred(School $school, User $owner, Vehicle $car, array $places, int $from): void
    {
        $lessons = $rounds = $marks = [];
        for ($i = $from; $i < $from + 100; $i++) {
            $learner = Learner::query()->create(['name' => sprintf('Learner %04d', $i), 'transmission' => 'manual', 'level' => 'developing']);
            for ($n = 0; $n < self::LESSONS; $n++) {
                $at = now()->subDays(7 * (self::LESSONS - $n))->format('Y-m-d H:i:s');
                $lesson = [
                    'id' => (string) Str::uuid7(), 'school_id' => $school->id, 'learner_id' => $learner->id, 'instructor_id' => $owner->id,
                    'vehicle_id' => $car->id, 'starts_at' => $at, 'minutes' => 60, 'state' => 'done', 'self_rating' => '{}', 'created_at' => $at,
                    'updated_at' => $at,
                ];
                $lessons[] = $lesson;
                for ($k = 0; $k < self::ROUNDS; $k++) {
                    $place = $places[mt_rand(0, count($places) - 1)];
                    $round = [
                        'id' => (string) Str::uuid7(), 'school_id' => $school->id, 'lesson_id' => $lesson['id'], 'place_id' => $place->id,
                        'routine' => $place->routine, 'conditions' => '{"traffic":"quiet"}', 'device_at' => $at, 'began_at' => $at,
                        'server_at' => $at,
                    ];
                    $rounds[] = $round;
                    foreach (self::STEPS as $step) {
                        $marks[] = [
                            'id' => (string) Str::uuid7(), 'school_id' => $school->id, 'round_id' => $round['id'], 'kind' => 'step', 'slot' => $step,
                            'step' => $step, 'outcome' => self::OUTCOMES[mt_rand(0, 5)], 'user_id' => $owner->id, 'device_at' => $at,
                            'pressed_at' => $at, 'server_at' => $at,
                        ];
                    }
                }
            }
        }
        DB::table('lessons')->insert($lessons);
        foreach ([['rounds', $rounds], ['marks', $marks]] as [$table, $rows]) {
            foreach (array_chunk($rows, 1000) as $chunk) {
                DB::table($table)->insert($chunk);
            }
        }
    }
}
