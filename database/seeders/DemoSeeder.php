<?php

namespace Database\Seeders;

use App\Diary\Bookings;
use App\Installation\Installation;
use App\Models\Learner;
use App\Models\Lesson;
use App\Models\Overruling;
use App\Models\Place;
use App\Models\PlannedItem;
use App\Models\School;
use App\Models\User;
use App\Models\Vehicle;
use App\School\CurrentSchool;
use Illuminate\Database\Seeder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use NobleTurn\Core\Road\Road;
use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Trade\RoutineCode;
use RuntimeException;

/**
 * The demo: the invented harbour town of Skerrivane, two schools in it that must never see each other, and some
 * months of one instructor's lessons. Every name, road and mark is made up; the chances are seeded, so that two
 * demos differ only in their dates.
 */
final class DemoSeeder extends Seeder
{
    public const EMAIL = 'instructor@harbourschool.test';

    public const OWNERS_EMAIL = 'owner@harbourschool.test';

    public const PASSWORD = 'demo-harbour';

    private const ZONE = 'Europe/London';

    public function run(CurrentSchool $current): void
    {
        DB::transaction(function () use ($current): void {
            Installation::beDemo();
            if (School::query()->exists()) {
                throw new RuntimeException('The demo is there already.');
            }
            mt_srand(20260520);
            $school = School::query()->create(['name' => 'Harbour School of Motoring', 'time_zone' => self::ZONE, 'pack' => 'gb',
                // It teaches the rule of thumb: where that is too late, the plan says so.
                'practice' => ['signal' => 'limit-number']]);
            $current->within($school, fn () => $this->harbourSchool($school));
            $other = School::query()->create(['name' => 'Lighthouse Driver Training', 'time_zone' => self::ZONE, 'pack' => 'gb', 'practice' => []]);
            $current->within($other, function () use ($other): void {
                $this->user($other, 'Bram Tolley', 'owner@lighthouse.test', 'owner');
                Learner::query()->create(['name' => 'Hesper Quayle', 'transmission' => 'manual', 'level' => 'beginner', 'pick_up' => 'Lantern Steps']);
            });
        });
    }

    private function harbourSchool(School $school): void
    {
        $owner = $this->user($school, 'Maud Rennick', self::OWNERS_EMAIL, 'owner');
        $tutor = $this->user($school, 'Ansel Thorpe', self::EMAIL, 'instructor');
        $manual = Vehicle::query()->create([
            'name' => 'The blue hatch', 'transmission' => 'manual', 'controls' => 'standard', 'length_m' => 4.1, 'width_m' => 1.75,
            'figures' => [
                'tyre' => '185/65R15', 'final_drive' => 4.2, 'ratios' => [3.7, 2.0, 1.36, 1.03, 0.82], 'mass_kg' => 1310, 'wheelbase_m' => 2.52,
                'turning_circle_m' => 10.2, 'height_m' => 1.48,
            ],
        ]);
        $automatic = Vehicle::query()->create([
            'name' => 'The grey automatic', 'transmission' => 'automatic', 'controls' => 'standard', 'length_m' => 4.4, 'width_m' => 1.8,
        ]);
        $places = self::places(DemoWorld::places(), 'gb');
        foreach ($places as $place) {
            if (isset(DemoWorld::drawings()[$place->name])) {
                $place->drawings()->create(DemoWorld::drawings()[$place->name]);
            }
        }
        DemoSites::create();
        DemoSites::draw($places, 'gb');
        DemoCircuits::create($owner, $tutor);
        $histories = [];
        foreach (DemoWorld::learners() as $i => $person) {
            $learner = Learner::query()->create($person['facts']);
            $car = $learner->transmission === 'manual' ? $manual : $automatic;
            $learner->update(['reference_points' => array_map(fn (array $point): array => [...$point, 'vehicle_id' => $car->id], $learner->reference_points)]);
            $histories[$learner->id] = new DemoHistory(
                $learner, $person['weak'], $car, $i % 4 === 3 ? $owner : $tutor, $places, self::ZONE, $person['weakIn'], $person['overrates'],
                $person['paused'],
            );
            $histories[$learner->id]->past($person['lessons'], $i);
            foreach ($person['overruled'] as $said) {
                Overruling::query()->create([...$said, 'learner_id' => $learner->id, 'user_id' => $tutor->id]);
            }
        }
        DemoSites::pickUps($school, Learner::query()->orderBy('created_at')->orderBy('id')->get()->all());
        $this->branch($school, $automatic);
        $this->week($tutor, array_slice($places, 0, 12), $manual, $automatic);
        DemoDiary::fill($owner, $tutor, $manual);
        DemoTests::fill();
        DemoAccompanied::fill();
        $this->today($histories);
        DemoStages::fill($owner, $manual, self::ZONE);
        // What was driven before holds its time as well.
        Bookings::fill();
        DemoTexts::fill($school, $tutor);
    }

    /**
     * @param  non-empty-list<array{name: string, routine: string, road: array<string, mixed>, note?: string}>  $places
     * @return non-empty-list<Place>
     */
    private static function places(array $places, string $pack): array
    {
        return array_map(
            static fn (array $place): Place => Place::query()->create(
                ['road' => Road::of(RoutineCode::from($place['routine']), $place['road'], RulePacks::byCode($pack))->toArray()] + $place,
            ),
            $places,
        );
    }

    /** A colleague at the branch overseas, where traffic keeps right: own pack, own places, one learner and their lesson. */
    private function branch(School $school, Vehicle $car): void
    {
        $there = $this->user($school, 'Odile Marchetti', 'branch@harbourschool.test', 'instructor');
        $there->forceFill(['pack' => 'na'])->save();
        $places = self::places(DemoWorld::placesKeepingRight(), 'na');
        DemoSites::draw($places, 'na');
        $learner = Learner::query()->create([
            'name' => 'Remy Castellan', 'level' => 'beginner', 'transmission' => 'automatic', 'pick_up' => 'Heron Court 12', 'pack' => 'na',
            'is_minor' => true, 'guardian_name' => 'Solene Castellan', 'guardian_contact' => '01632 960 587',
            'guardian_consent_on' => now()->subDays(30)->toDateString(),
        ]);
        $lesson = new Lesson([
            'learner_id' => $learner->id, 'vehicle_id' => $car->id, 'starts_at' => now(self::ZONE)->addDay()->setTime(11, 0)->utc(), 'minutes' => 60,
            'aim' => 'The full stop before right on red',
        ]);
        $lesson->instructor_id = $there->id;
        Bookings::with($lesson, static fn (Lesson $lesson): bool => $lesson->save());
        foreach ([0, 1, 2] as $i) {
            PlannedItem::query()->create(['lesson_id' => $lesson->id, 'place_id' => $places[$i]->id, 'ordinal' => $i + 1, 'minutes' => 15]);
        }
    }

    /**
     * What is over by now was driven; the last of it still waits for its debrief.
     *
     * @param  array<string, DemoHistory>  $histories  by learner
     */
    private function today(array $histories): void
    {
        $over = Lesson::query()->where('state', 'booked')->orderBy('starts_at')->get()
            ->filter(fn (Lesson $lesson): bool => $lesson->starts_at->copy()->addMinutes($lesson->minutes)->isPast())->values();
        foreach ($over as $i => $lesson) {
            $histories[$lesson->learner_id]->driven($lesson, 6);
            if ($i < count($over) - 1) {
                $lesson->update(['state' => 'done', 'went_well' => 'Unhurried, and said out loud what was seen.']);
            }
        }
    }

    /**
     * Lessons for today and the two weeks to come.
     *
     * @param  list<Place>  $places
     */
    private function week(User $tutor, array $places, Vehicle $manual, Vehicle $automatic): void
    {
        $learners = Learner::query()->whereNull('pack')->orderBy('id')->get()->values();
        $slots = [[9, 0, 60], [10, 30, 60], [13, 0, 90], [15, 15, 60], [17, 0, 60]];
        $today = now(self::ZONE)->startOfDay();
        for ($day = 0; $day < 15; $day++) {
            foreach ($slots as $n => [$hour, $minute, $minutes]) {
                $learner = $learners[($day * 3 + $n * 2) % $learners->count()];
                if (($day + $n) % 4 === 3) {
                    continue;
                }
                $lesson = new Lesson([
                    'learner_id' => $learner->id,
                    'vehicle_id' => $learner->transmission === 'manual' ? $manual->id : $automatic->id,
                    'starts_at' => $today->copy()->addDays($day)->setTime($hour, $minute)->utc(),
                    'minutes' => $minutes,
                    'aim' => [
                        'Position on right turns, before the brake', 'Looking both ways before deciding', 'Signal after the mirrors, not with them',
                        'Slow early, then look',
                    ][($day + $n) % 4],
                    'aim_step' => ['position', 'look', 'signal', 'speed'][($day + $n) % 4],
                ]);
                $lesson->instructor_id = $tutor->id;
                Bookings::with($lesson, static fn (Lesson $lesson): bool => $lesson->save());
                foreach ([0, 3, 6] as $k => $offset) {
                    $place = $places[($n + $offset + $day) % count($places)];
                    if ($day === 0 && $k === 0) {
                        $place = $places[0];
                    }
                    PlannedItem::query()->create(['lesson_id' => $lesson->id, 'place_id' => $place->id, 'ordinal' => $k + 1, 'minutes' => [15, 12, 18][$k]]);
                }
            }
        }
    }

    private function user(School $school, string $name, string $email, string $role): User
    {
        $user = new User(['name' => $name, 'email' => $email, 'password' => self::PASSWORD]);
        $user->school_id = $school->id;
        $user->role = $role === 'owner' ? 'owner' : 'instructor';
        $user->joined_at = Carbon::now();
        $user->save();

        return $user;
    }
}
