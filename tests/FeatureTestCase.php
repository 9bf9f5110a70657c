<?php

namespace Tests;

use App\Models\Learner;
use App\Models\Lesson;
use App\Models\Place;
use App\Models\School;
use App\Models\User;
use App\Models\Vehicle;
use App\School\CurrentSchool;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase;
use Illuminate\Support\Str;
use RuntimeException;

/** Tests of the application on a real MariaDB. Refuses any database that is not named as a test's. */
abstract class FeatureTestCase extends TestCase
{
    use RefreshDatabase;

    public function createApplication(): Application
    {
        /** @var Application $app */
        $app = require dirname(__DIR__).'/bootstrap/app.php';
        $app->make(Kernel::class)->bootstrap();
        if (! str_contains((string) config('database.connections.mariadb.database'), '_test')) {
            throw new RuntimeException('Tests refuse a database whose name lacks _test: '.config('database.connections.mariadb.database'));
        }

        return $app;
    }

    protected function school(string $name = 'Test School'): School
    {
        return School::query()->create(['name' => $name, 'time_zone' => 'Europe/London', 'pack' => 'gb', 'practice' => []]);
    }

    protected function user(School $school, string $role = 'instructor', string $email = ''): User
    {
        $user = new User(['name' => "A {$role}", 'email' => $email ?: Str::random(8).'@example.test', 'password' => 'long-enough-1']);
        $user->school_id = $school->id;
        $user->role = $role === 'owner' ? 'owner' : 'instructor';
        $user->save();

        return $user->refresh();
    }

    /**
     * A lesson of the instructor with one place on its plan.
     *
     * @return array{lesson: Lesson, learner: Learner, vehicle: Vehicle, place: Place}
     */
    protected function lesson(User $instructor): array
    {
        $school = School::query()->findOrFail($instructor->school_id);

        return $this->app->make(CurrentSchool::class)->within($school, function () use ($instructor): array {
            $learner = Learner::query()->create(['name' => 'Test Learner', 'transmission' => 'manual', 'level' => 'developing']);
            $vehicle = Vehicle::query()->create(['name' => 'Test Car', 'transmission' => 'manual', 'controls' => 'standard', 'length_m' => 4.5, 'width_m' => 1.8]);
            $place = Place::query()->create(['name' => 'Here into There', 'routine' => 'emerge-right', 'approach' => ['limit_mph' => 30]]);
            $lesson = new Lesson(['learner_id' => $learner->id, 'vehicle_id' => $vehicle->id, 'starts_at' => now(), 'minutes' => 60]);
            $lesson->instructor_id = $instructor->id;
            $lesson->save();

            return compact('lesson', 'learner', 'vehicle', 'place');
        });
    }
}
