<?php

use App\Models\School;
use App\Models\User;
use App\Models\Vehicle;
use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;
use Illuminate\Support\Facades\DB;

it('signs in, and slows down guessing', function (): void {
    $user = $this->user($this->school());
    $this->postJson('api/session', ['email' => $user->email, 'password' => 'wrong'])->assertUnprocessable()->assertJsonValidationErrors('email');
    $this->postJson(
        'api/session', ['email' => $user->email, 'password' => 'long-enough-1'],
    )->assertOk()->assertJsonPath('user.id', $user->id)->assertJsonMissingPath('user.password');
    $this->deleteJson('api/session')->assertNoContent();
    foreach (range(1, 6) as $_) {
        $last = $this->postJson('api/session', ['email' => $user->email, 'password' => 'guess']);
    }
    $last->assertTooManyRequests();
});

it('changes the password only with the present one, and ends other sessions everywhere', function (): void {
    $user = $this->user($this->school());
    $this->actingAs($user);
    $other = ['user_id' => $user->id, 'payload' => '', 'last_activity' => time()];
    DB::table('sessions')->insert(['id' => 'elsewhere'] + $other);
    $this->putJson(
        'api/password', ['current_password' => 'no', 'password' => 'another-long-1'],
    )->assertUnprocessable()->assertJsonValidationErrors('current_password');
    $this->putJson(
        'api/password', ['current_password' => 'long-enough-1', 'password' => 'short'],
    )->assertUnprocessable()->assertJsonValidationErrors('password');
    $this->putJson('api/password', ['current_password' => 'long-enough-1', 'password' => 'another-long-1'])->assertNoContent();
    expect(DB::table('sessions')->where('user_id', $user->id)->count())->toBe(0)->and(
        auth()->validate(['email' => $user->email, 'password' => 'another-long-1']),
    )->toBeTrue();
    DB::table('sessions')->insert(['id' => 'elsewhere'] + $other);
    $this->deleteJson('api/sessions')->assertNoContent();
    expect(DB::table('sessions')->where('user_id', $user->id)->count())->toBe(0);
});

it('asks for a CSRF token wherever something is written', function (): void {
    // Laravel waves tests through; here the check itself is asked.
    $this->app->bind(ValidateCsrfToken::class, fn ($app) => new class($app, $app['encrypter']) extends ValidateCsrfToken
    {
        protected function runningUnitTests(): bool
        {
            return false;
        }
    });
    $this->postJson('api/session', ['email' => 'a@b.test', 'password' => 'x'])->assertStatus(419);
});

it('answers every page with the headers that keep strangers’ scripts out', function (string $path): void {
    $answer = $this->get($path);
    expect($answer->headers->get('Content-Security-Policy'))->toContain("script-src 'self';")->not->toContain('unsafe-eval')
        ->and($answer->headers->get('X-Content-Type-Options'))->toBe('nosniff')
        ->and($answer->headers->get('X-Frame-Options'))->toBe('DENY')
        ->and($answer->getContent())->not->toMatch('/<script(?![^>]*\bsrc=)/');
})->with(['/', '/api/session', '/lessons/none/plan']);

it('leaves closed what a form must not set', function (): void {
    $user = $this->user($this->school());
    $foreign = $this->school('Foreign');
    $this->actingAs($user)->postJson(
        'api/vehicles', ['name' => 'Car', 'transmission' => 'manual', 'controls' => 'standard', 'school_id' => $foreign->id, 'id' => 'x'],
    )->assertCreated();
    expect(Vehicle::query()->sole()->school_id)->toBe($user->school_id);
});

it('opens the first run once, for an empty installation', function (): void {
    $said = ['school' => 'First', 'time_zone' => 'Europe/London', 'pack' => 'gb', 'name' => 'O', 'email' => 'o@first.test', 'password' => 'a-long-password'];
    $this->getJson('api/session')->assertJsonPath('first_run', true);
    $this->postJson('api/first-run', ['pack' => 'zz'] + $said)->assertUnprocessable()->assertJsonValidationErrors('pack');
    $this->postJson('api/first-run', $said)->assertCreated()->assertJsonPath('user.role', 'owner');
    $this->postJson('api/first-run', ['email' => 'p@first.test'] + $said)->assertForbidden();
    expect(School::query()->count())->toBe(1)->and(User::query()->count())->toBe(1);
});

it('gives a page that belongs to somebody else nothing, and takes nothing from it', function (): void {
    $school = $this->school();
    [$ann, $ben] = [$this->user($school), $this->user($school)];
    $at = $this->lesson($ben);
    $this->actingAs($ben);
    $page = ['X-Signed-In-As' => $ann->id];
    $this->getJson('api/learners', $page)->assertConflict()->assertDontSee('Test Learner');
    $this->patchJson("api/lessons/{$at['lesson']->id}", ['aim' => 'hers'], $page)->assertConflict();
    expect($at['lesson']->refresh()->aim)->toBeNull();
    $this->getJson('api/learners', ['X-Signed-In-As' => $ben->id])->assertOk();
});

it('limits a sign-in of whatever type, and writes nothing of what it refuses into the log', function (): void {
    $log = tempnam(sys_get_temp_dir(), 'log');
    config(['logging.default' => 'single', 'logging.channels.single' => ['driver' => 'single', 'path' => $log]]);
    for ($i = 0; $i < 6; $i++) {
        $this->postJson('api/session', ['email' => ['x'], 'password' => ['x']])->assertUnprocessable();
    }
    $this->postJson('api/session', ['email' => ['x']])->assertTooManyRequests();
    $user = $this->user($this->school());
    $this->actingAs($user)->postJson('api/compute/stopping', ['speed_mph' => -1])->assertUnprocessable();
    $this->postJson('api/compute/nothing', [])->assertNotFound();
    $this->getJson('api/today?day=zz')->assertUnprocessable();
    $this->getJson('api/lessons/none')->assertNotFound();
    expect(file_get_contents($log))->toBe('');
});

it('lets nobody write a line of their own into the log', function (): void {
    $formatter = new (config('logging.channels.file.formatter'));
    $line = $formatter->format(new Monolog\LogRecord(new DateTimeImmutable, 'app', Monolog\Level::Error, "broken\n[2026-05-20] production.ERROR: made up"));
    expect(substr_count(trim($line), "\n"))->toBe(0);
});

it('tells emails apart letter by letter, whatever their case', function (): void {
    $school = $this->school();
    $user = $this->user($school, 'instructor', 'bjorn@school.test');
    $other = $this->user($school, 'instructor', 'Björn@School.test');
    expect($other->email)->toBe('björn@school.test');
    $this->postJson('api/session', ['email' => 'BJÖRN@school.test', 'password' => 'long-enough-1'])->assertOk()->assertJsonPath('user.id', $other->id);
    $this->postJson('api/session', ['email' => 'bjorn@school.test', 'password' => 'long-enough-1'])->assertOk()->assertJsonPath('user.id', $user->id);
    $this->postJson('api/session', ['email' => 'bjørn@school.test', 'password' => 'long-enough-1'])->assertUnprocessable();
});

it('reads every byte of a password, and takes those that were kept another way', function (): void {
    $user = $this->user($this->school());
    $this->actingAs($user);
    $long = str_repeat('correct horse ', 6);
    $this->putJson('api/password', ['current_password' => 'long-enough-1', 'password' => "{$long}A"])->assertNoContent();
    expect(
        auth()->validate(['email' => $user->email, 'password' => "{$long}A"]),
    )->toBeTrue()->and(auth()->validate(['email' => $user->email, 'password' => "{$long}B"]))->toBeFalse();
    DB::table('users')->where('id', $user->id)->update(['password' => password_hash('of before, 1', PASSWORD_BCRYPT, ['cost' => 4])]);
    $this->postJson('api/session', ['email' => $user->email, 'password' => 'of before, 1'])->assertOk();
    expect(password_get_info($user->refresh()->password)['algoName'])->toBe('argon2id');
});

it('refuses passwords that anybody would try first', function (string $password): void {
    $user = $this->user($this->school(), 'instructor', 'petra.lindqvist@school.test');
    $this->actingAs($user)->putJson(
        'api/password', ['current_password' => 'long-enough-1', 'password' => $password],
    )->assertUnprocessable()->assertJsonValidationErrors('password');
})->with(['password123', 'Password2026!', '1234567890', '9876543210', 'qwertyuiop', 'aaaaaaaaaaaa', 'abababababab', 'demo-harbour',
    'petra.lindqvist@school.test', 'Petra.Lindqvist1', 'iloveyou!!!']);

it('says truly whether it can do its work, and names nobody else’s address', function (): void {
    config(['installation.keep' => sys_get_temp_dir()]);
    $this->get('up')->assertOk()->assertExactJson(['database' => true, 'worker' => true, 'disk' => true])->assertHeaderMissing('Set-Cookie');
    DB::table('jobs')->insert(['queue' => 'default', 'payload' => '{}', 'attempts' => 0, 'available_at' => time() - 3600, 'created_at' => time() - 3600]);
    $this->get('up')->assertStatus(503)->assertJson(['worker' => false, 'database' => true]);
    // One waits long while another is being done: work goes on.
    DB::table('jobs')->insert([
        'queue' => 'default', 'payload' => '{}', 'attempts' => 1, 'reserved_at' => time(), 'available_at' => time(), 'created_at' => time(),
    ]);
    $this->get('up')->assertOk();
    DB::table('jobs')->delete();
    config(['installation.keep' => '/nowhere/at/all']);
    expect($this->get('up')->assertStatus(503)->json('disk'))->toBeFalse();
    config(['database.connections.mariadb.port' => 1]);
    DB::purge();
    $answer = $this->get('up')->assertStatus(503)->assertJson(['database' => false]);
    expect($answer->getContent())->not->toContain('http');
    config(['database.connections.mariadb.port' => getenv('DB_PORT')]);
    DB::purge();
});

it('asks for patience where the database goes in the middle of a change, as it does where it cannot be reached', function (Closure $change): void {
    config(['database.connections.beside' => config('database.connections.mariadb')]);
    $this->app->bind(App\Http\Controllers\TodayController::class, $change);
    $this->actingAs($this->user($this->school()));
    $this->getJson('api/today')->assertStatus(503)->assertHeader('Retry-After', '10')->assertExactJson(['message' => 'The database is out of reach.']);
    DB::purge('beside');
})->with([
    'before it begins' => fn () => function (): void {
        config(['database.connections.beside.port' => 1]);
        DB::connection('beside')->transaction(fn (): bool => true);
    },
    'before it is kept' => fn () => function (): void {
        $beside = DB::connection('beside');
        $beside->transaction(fn () => DB::statement('KILL '.$beside->scalar('SELECT CONNECTION_ID()')));
    },
]);

it('asks for patience where two changes are in each other’s way: nothing was written, and a device sends it again', function (string $sql): void {
    // As MariaDB says it of a transaction it ended in favour of another (1213), and of one that waited too long (1205).
    $this->app->bind(App\Http\Controllers\TodayController::class, fn () => function () use ($sql): void {
        DB::statement($sql);
    });
    $this->actingAs($this->user($this->school()));
    $this->getJson('api/today')->assertStatus(503)->assertHeader('Retry-After', '1')
        ->assertExactJson(['message' => 'Two things were written at once: try again in a moment.']);
})->with([
    'a deadlock' => "SIGNAL SQLSTATE '40001' SET MYSQL_ERRNO = 1213, MESSAGE_TEXT = 'Deadlock found when trying to get lock'",
    'a lock that came too late' => "SIGNAL SQLSTATE 'HY000' SET MYSQL_ERRNO = 1205, MESSAGE_TEXT = 'Lock wait timeout exceeded'",
]);

it('answers as it would have where the log cannot be written', function (): void {
    config(['logging.channels.file.handler_with.stream' => '/proc/nowhere/noble-turn.log']);
    app('log')->forgetChannel('stack');
    app('log')->forgetChannel('file');
    $user = $this->user($this->school());
    $this->app->bind(App\Http\Controllers\TodayController::class, fn () => throw new RuntimeException('inside'));
    $this->actingAs($user)->getJson('api/today')->assertStatus(500)->assertDontSee('nowhere')->assertDontSee('noble-turn.log');
});

it('names nothing of its inside where it finds nothing', function (string $uri): void {
    $this->actingAs($this->user($this->school()));
    $answer = $this->getJson($uri)->assertNotFound();
    expect($answer->json('message'))->not->toContain('\\')->not->toContain('model')->not->toBeEmpty();
})->with(['api/lessons/none', 'api/learners/018f0000-0000-7000-8000-000000000000',
    'api/learners/018f0000-0000-7000-8000-000000000000/skill/emerge-right/elbow', 'api/no/such/address']);
