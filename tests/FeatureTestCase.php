<?php

namespace Tests;

use App\Models\AccompaniedDrive;
use App\Models\Assessment;
use App\Models\BusyTime;
use App\Models\Centre;
use App\Models\Circuit;
use App\Models\Drawing;
use App\Models\Learner;
use App\Models\Leg;
use App\Models\Lesson;
use App\Models\Overruling;
use App\Models\Picture;
use App\Models\Place;
use App\Models\PlannedItem;
use App\Models\Promise;
use App\Models\Remedy;
use App\Models\School;
use App\Models\Site;
use App\Models\Text;
use App\Models\User;
use App\Models\Vehicle;
use App\Models\WaitingLearner;
use App\School\CurrentSchool;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
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

    /** Whatever a test asks of the API, it is answered as the document of the API says. */
    public function call($method, $uri, $parameters = [], $cookies = [], $files = [], $server = [], $content = null): TestResponse
    {
        $response = parent::call($method, $uri, $parameters, $cookies, $files, $server, $content);
        if (str_starts_with(ltrim($uri, '/'), 'api/') && $method !== 'HEAD' && str_contains((string) $response->headers->get('Content-Type'), 'json')) {
            self::assertSame(
                [], Contract::answerErrors($method, $uri, $response->baseResponse),
                "{$method} {$uri}: ".mb_substr((string) $response->getContent(), 0, 500),
            );
        }

        return $response;
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
        $user->joined_at = Carbon::now();
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
            $vehicle = Vehicle::query()->create([
                'name' => 'Test Car', 'transmission' => 'manual', 'controls' => 'standard', 'length_m' => 4.5, 'width_m' => 1.8,
            ]);
            $place = Place::query()->create([
                'name' => 'Here into There', 'routine' => 'emerge-right', 'road' => ['kind' => 'junction', 'version' => 1, 'limit_mph' => 30],
            ]);
            $lesson = new Lesson(['learner_id' => $learner->id, 'vehicle_id' => $vehicle->id, 'starts_at' => now(), 'minutes' => 60]);
            $lesson->instructor_id = $instructor->id;
            $lesson->save();

            return compact('lesson', 'learner', 'vehicle', 'place');
        });
    }

    /**
     * A whole small school: its owner, and the id of one row of everything it has.
     *
     * @return array{owner: User, ids: array<string, string>}
     */
    protected function world(string $name): array
    {
        $owner = $this->user($this->school($name), 'owner');
        $colleague = $this->user(School::query()->findOrFail($owner->school_id));
        $elsewhere = Str::random(40);
        DB::table('sessions')->insert(['id' => $elsewhere, 'user_id' => $owner->id, 'payload' => '', 'last_activity' => time()]);
        $session = substr(hash('sha256', $elsewhere), 0, 32);
        $at = $this->lesson($owner);
        $this->app->make(CurrentSchool::class)->within(School::query()->findOrFail($owner->school_id), function () use (&$at, $owner): void {
            $lesson = $at['lesson'];
            $way = ['from' => 's', 'to' => 'e', 'routine' => 'emerge-right'];
            $line = [...$way, 'score' => 0.5, 'words' => 'middling', 'overruled' => false, 'note' => null];
            $at['site'] = Site::query()->create(['name' => 'x', 'kind' => 'junction', 'pack' => 'gb', 'arms' => Routes::ARMS, 'ways' => [$line]]);
            $at['centre'] = Centre::query()->create(['name' => 'x']);
            $circuit = new Circuit(['name' => 'x', 'minutes' => 60, 'order' => 'shortest', 'shared' => true, 'rehearsal' => false,
                'ways' => [[...$way, 'site' => $at['site']->id, 'rounds' => 2]]]);
            $circuit->user_id = $owner->id;
            $circuit->save();
            $at['circuit'] = $circuit;
            $at['busyTime'] = new BusyTime(['kind' => 'busy', 'instructor_id' => $owner->id, 'starts_at' => now()->addDays(20), 'ends_at' => now()->addDays(21)]);
            $at['busyTime']->save();
            WaitingLearner::query()->create(['learner_id' => $lesson->learner_id, 'minutes' => 60, 'wishes' => []]);
            $at['assessment'] = Assessment::query()->create([
                'learner_id' => $at['learner']->id, 'kind' => 'test', 'taken_at' => '2026-05-04 10:00:00', 'scheme' => 'gb-car', 'result' => 'fail',
            ]);
            $at['accompaniedDrive'] = AccompaniedDrive::query()->create([
                'learner_id' => $lesson->learner_id, 'starts_at' => '2026-05-01T18:00:00Z', 'minutes' => 40,
            ]);
            $at['text'] = Text::query()->create([
                'lesson_id' => $lesson->id, 'learner_id' => $lesson->learner_id, 'kind' => 'booked', 'body' => 'x', 'made_at' => now(),
            ]);
            $at['leg'] = Leg::query()->create(['from_site_id' => null, 'to_site_id' => $at['site']->id, 'time_s' => 60, 'distance_m' => 500,
                'driven_at' => now()]);
            $at['twin'] = Site::query()->create(['name' => 'y', 'kind' => 'junction', 'pack' => 'gb', 'arms' => Routes::ARMS, 'ways' => []]);
            $at['picture'] = Picture::query()->create([
                'site_id' => $at['site']->id, 'arm' => 's', 'width' => 1, 'height' => 1, 'image' => Routes::JPEG,
            ]);
            $at['item'] = PlannedItem::query()->create(['lesson_id' => $lesson->id, 'place_id' => $at['place']->id, 'ordinal' => 1, 'minutes' => 10]);
            $at['promise'] = Promise::query()->create(['lesson_id' => $lesson->id, 'learner_id' => $lesson->learner_id, 'kind' => 'homework', 'text' => 'x']);
            $at['remedy'] = Remedy::query()->create([
                'learner_id' => $lesson->learner_id, 'lesson_id' => $lesson->id, 'routine' => 'emerge-right', 'step' => 'look', 'what' => 'remedy',
                'user_id' => $owner->id,
            ]);
            $at['overruling'] = Overruling::query()->create([
                'learner_id' => $lesson->learner_id, 'user_id' => $owner->id, 'routine' => 'emerge-right', 'step' => 'look', 'level' => 'mostly',
                'reason' => 'x',
            ]);
            $at['drawing'] = Drawing::query()->create([
                'place_id' => $at['place']->id, 'lesson_id' => $lesson->id, 'title' => 'x', 'page' => 'gap', 'state' => '',
            ]);
        });
        $ids = array_map(static fn (Model $row): string => $row->id, $at) + [
            'person' => $colleague->id, 'successor' => $owner->id, 'session' => $session, 'round' => (string) Str::uuid7(),
            'mark' => (string) Str::uuid7(),
        ];
        $this->actingAs($owner)->postJson('api/sync', [
            'rounds' => [
                [
                    'id' => $ids['round'], 'lesson_id' => $ids['lesson'], 'place_id' => $ids['place'], 'routine' => 'emerge-right',
                    'device_at' => '2026-05-20T10:00:00Z',
                ],
            ],
            'marks' => [
                [
                    'id' => $ids['mark'], 'round_id' => $ids['round'], 'kind' => 'step', 'step' => 'look', 'outcome' => 'missed',
                    'device_at' => '2026-05-20T10:00:01Z',
                ],
            ],
        ])->assertOk();

        return ['owner' => $owner, 'ids' => $ids];
    }
}
