<?php

use App\Models\School;
use App\Models\User;
use App\Models\Vehicle;
use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;
use Illuminate\Support\Facades\DB;

it('signs in, and slows down guessing', function (): void {
    $user = $this->user($this->school());
    $this->postJson('api/session', ['email' => $user->email, 'password' => 'wrong'])->assertUnprocessable()->assertJsonValidationErrors('email');
    $this->postJson('api/session', ['email' => $user->email, 'password' => 'long-enough-1'])->assertOk()->assertJsonPath('user.id', $user->id)->assertJsonMissingPath('user.password');
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
    $this->putJson('api/password', ['current_password' => 'no', 'password' => 'another-long-1'])->assertUnprocessable()->assertJsonValidationErrors('current_password');
    $this->putJson('api/password', ['current_password' => 'long-enough-1', 'password' => 'short'])->assertUnprocessable()->assertJsonValidationErrors('password');
    $this->putJson('api/password', ['current_password' => 'long-enough-1', 'password' => 'another-long-1'])->assertNoContent();
    expect(DB::table('sessions')->where('user_id', $user->id)->count())->toBe(0)->and(auth()->validate(['email' => $user->email, 'password' => 'another-long-1']))->toBeTrue();
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
    $this->actingAs($user)->postJson('api/vehicles', ['name' => 'Car', 'transmission' => 'manual', 'controls' => 'standard', 'school_id' => $foreign->id, 'id' => 'x'])->assertCreated();
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
    $formatter = new (config('logging.channels.daily.formatter'));
    $line = $formatter->format(new Monolog\LogRecord(new DateTimeImmutable, 'app', Monolog\Level::Error, "broken\n[2026-05-20] production.ERROR: made up"));
    expect(substr_count(trim($line), "\n"))->toBe(0);
});
