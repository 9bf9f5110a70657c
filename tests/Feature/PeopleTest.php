<?php

use App\Jobs\SendLetter;
use App\Models\BusyTime;
use App\Models\Change;
use App\Models\Letter;
use App\Models\User;
use App\School\CurrentSchool;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Queue;

beforeEach(function (): void {
    $this->school = $this->school();
    $this->owner = $this->user($this->school, 'owner');
    /** The way in of the newest letter, as its link says it. */
    $this->wayIn = function (): array {
        preg_match('~/way-in#(\S+)~', Letter::query()->latest('created_at')->orderByDesc('id')->firstOrFail()->body, $link);
        parse_str($link[1], $said);

        return $said;
    };
    $this->invite = function (string $email = 'new@example.test'): User {
        $this->actingAs($this->owner)->postJson(
            'api/people', ['name' => 'Nia New', 'email' => $email, 'role' => 'instructor'],
        )->assertCreated()->assertJsonPath('state', 'invited');

        return User::query()->where('email', mb_strtolower($email))->sole();
    };
});

it('invites somebody by a letter, once', function (): void {
    $person = ($this->invite)('New@Example.test');
    $this->postJson(
        'api/people', ['name' => 'Again', 'email' => 'NEW@example.test', 'role' => 'instructor'],
    )->assertUnprocessable()->assertJsonValidationErrors('email');
    $letter = $this->getJson('api/letters')->assertOk()->assertJsonPath('letters.0.opens', true)->assertJsonPath('mail', false)->json('letters.0');
    expect($letter['to']['email'])->toBe('new@example.test')->and($letter['body'])->toContain('Nia New')->toContain(config('app.url').'/way-in#');
    $way = ($this->wayIn)();
    auth()->logout();
    $this->postJson('api/session', ['email' => 'new@example.test', 'password' => ''])->assertUnprocessable();
    $this->postJson('api/way-in', ['password' => 'short'] + $way)->assertUnprocessable()->assertJsonValidationErrors('password');
    $this->postJson('api/way-in', ['token' => 'guessed', 'password' => 'a-good-long-one'] + $way)->assertUnprocessable()->assertJsonValidationErrors('token');
    $this->postJson(
        'api/way-in', ['password' => 'a-good-long-one'] + $way,
    )->assertOk()->assertJsonPath('user.id', $person->id)->assertJsonPath('user.role', 'instructor');
    $this->getJson('api/learners')->assertOk();
    expect($person->refresh()->joined_at)->not->toBeNull();
    auth()->logout();
    $this->postJson('api/way-in', ['password' => 'another-long-one'] + $way)->assertUnprocessable()->assertJsonValidationErrors('token');
    // Used: its link is shown no more.
    $this->actingAs($this->owner)->getJson('api/letters')->assertJsonPath('letters.0.opens', false)->assertJsonPath('letters.0.body', null);
});

it('ends an invitation after its days, at a newer letter, and at another address', function (): void {
    $person = ($this->invite)();
    $first = ($this->wayIn)();
    $this->travel(8)->days();
    auth()->logout();
    $this->postJson('api/way-in', ['password' => 'a-good-long-one'] + $first)->assertUnprocessable();
    $this->actingAs($this->owner)->postJson("api/people/{$person->id}/letter")->assertOk();
    $second = ($this->wayIn)();
    expect($second['token'])->not->toBe($first['token']);
    $this->getJson('api/letters')->assertJsonPath('letters.0.opens', true)->assertJsonPath('letters.1.opens', false);
    $this->putJson("api/people/{$person->id}", ['name' => 'Nia New', 'email' => 'right@example.test', 'role' => 'instructor'])->assertOk();
    auth()->logout();
    $this->postJson('api/way-in', ['password' => 'a-good-long-one'] + $second)->assertUnprocessable();
    $this->postJson('api/way-in', ['password' => 'a-good-long-one', 'email' => 'right@example.test'] + $second)->assertUnprocessable();
});

it('gives a forgotten password back by the outbox, and says the same to whoever asks', function (): void {
    $person = $this->user($this->school, 'instructor', 'sam@example.test');
    DB::table('sessions')->insert(['id' => 'elsewhere', 'user_id' => $person->id, 'payload' => '', 'last_activity' => time()]);
    $known = $this->postJson('api/forgotten-password', ['email' => 'SAM@example.test'])->assertStatus(202)->json();
    expect(
        $this->postJson('api/forgotten-password', ['email' => 'nobody@example.test'])->assertStatus(202)->json(),
    )->toBe($known)->and($known['message'])->toContain('outbox');
    app(CurrentSchool::class)->within($this->school, fn () => expect(Letter::query()->count())->toBe(1)->and(Letter::query()->sole()->kind)->toBe('password'));
    // Asking on and on makes no letter useless.
    $way = app(CurrentSchool::class)->within($this->school, $this->wayIn);
    $this->postJson('api/forgotten-password', ['email' => 'sam@example.test'])->assertStatus(202);
    $this->postJson('api/way-in', ['password' => 'sam@example.test'] + $way)->assertUnprocessable()->assertJsonValidationErrors('password');
    $this->postJson('api/way-in', ['password' => 'a-good-long-one'] + $way)->assertOk()->assertJsonPath('user.id', $person->id);
    expect(DB::table('sessions')->where('id', 'elsewhere')->exists())->toBeFalse();
    auth()->logout();
    $this->postJson('api/session', ['email' => 'sam@example.test', 'password' => 'long-enough-1'])->assertUnprocessable();
    $this->postJson('api/session', ['email' => 'sam@example.test', 'password' => 'a-good-long-one'])->assertOk();
});

it('lets no letter of a forgotten password in after an hour', function (): void {
    $this->user($this->school, 'instructor', 'sam@example.test');
    $this->postJson('api/forgotten-password', ['email' => 'sam@example.test']);
    $way = app(CurrentSchool::class)->within($this->school, $this->wayIn);
    $this->travel(61)->minutes();
    $this->postJson('api/way-in', ['password' => 'a-good-long-one'] + $way)->assertUnprocessable();
});

it('sends letters by mail where that is set up, and keeps no way in beside them', function (): void {
    config(['mail.default' => 'array']);
    ($this->invite)();
    $sent = Mail::mailer('array')->getSymfonyTransport()->messages();
    expect($sent)->toHaveCount(1)->and($sent[0]->getOriginalMessage()->getTextBody())->toContain('/way-in#')->and(
        $sent[0]->getOriginalMessage()->getTo()[0]->getAddress(),
    )->toBe('new@example.test');
    $this->getJson('api/letters')->assertJsonPath('letters.0.by_mail', true)->assertJsonPath('letters.0.body', null);
    // A mail server that cannot be reached leaves the letter where the owner finds it.
    config(['mail.default' => 'smtp', 'mail.mailers.smtp.host' => '127.0.0.1', 'mail.mailers.smtp.port' => 1]);
    ($this->invite)('second@example.test');
    $this->getJson('api/letters')->assertJsonPath('letters.0.by_mail', false)->assertJsonPath('letters.0.to.email', 'second@example.test');
});

it('leaves sending to the worker: asking takes no longer where there is an account', function (): void {
    config(['mail.default' => 'array']);
    Queue::fake();
    $this->user($this->school, 'instructor', 'sam@example.test');
    $known = $this->postJson('api/forgotten-password', ['email' => 'sam@example.test'])->assertStatus(202)->json();
    expect($this->postJson('api/forgotten-password', ['email' => 'nobody@example.test'])->assertStatus(202)->json())->toBe($known)
        ->and(Mail::mailer('array')->getSymfonyTransport()->messages())->toBeEmpty();
    Queue::assertPushed(SendLetter::class, 1);
});

it('suspends somebody at once, wherever they are signed in, and lets them in again', function (): void {
    $person = $this->user($this->school, 'instructor', 'sam@example.test');
    $this->actingAs($person)->getJson('api/learners')->assertOk();
    DB::table('sessions')->insert(['id' => 'elsewhere', 'user_id' => $person->id, 'payload' => '', 'last_activity' => time()]);
    $this->actingAs($this->owner)->postJson("api/people/{$person->id}/suspension")->assertOk()->assertJsonPath('state', 'suspended');
    expect(DB::table('sessions')->where('user_id', $person->id)->exists())->toBeFalse();
    // Even a session that somehow lived on.
    $this->actingAs($person->refresh())->getJson('api/learners')->assertUnauthorized();
    $this->app['auth']->forgetGuards();
    $this->postJson('api/session', ['email' => 'sam@example.test', 'password' => 'long-enough-1'])->assertUnprocessable();
    $this->postJson('api/forgotten-password', ['email' => 'sam@example.test'])->assertStatus(202);
    app(CurrentSchool::class)->within($this->school, fn () => expect(Letter::query()->count())->toBe(0));
    $this->actingAs($this->owner)->postJson("api/people/{$person->id}/letter")->assertUnprocessable();
    $this->deleteJson("api/people/{$person->id}/suspension")->assertOk()->assertJsonPath('state', 'joined');
    auth()->logout();
    $this->postJson('api/session', ['email' => 'sam@example.test', 'password' => 'long-enough-1'])->assertOk();
});

it('never leaves a school without an owner who can come in', function (): void {
    $this->actingAs($this->owner)->postJson("api/people/{$this->owner->id}/suspension")->assertUnprocessable();
    $asInstructor = ['name' => 'O', 'email' => $this->owner->email, 'role' => 'instructor'];
    $this->putJson("api/people/{$this->owner->id}", $asInstructor)->assertUnprocessable()->assertJsonValidationErrors('role');
    // One who is only invited cannot come in yet.
    $this->postJson('api/people', ['name' => 'Second', 'email' => 'second@example.test', 'role' => 'owner'])->assertCreated();
    $this->putJson("api/people/{$this->owner->id}", $asInstructor)->assertUnprocessable();
    User::query()->where('email', 'second@example.test')->update(['joined_at' => now()]);
    $this->putJson("api/people/{$this->owner->id}", $asInstructor)->assertOk()->assertJsonPath('role', 'instructor');
});

it('hands over the lessons ahead, and says where two would lie on top of each other', function (): void {
    [$leaves, $stays] = [$this->user($this->school), $this->user($this->school)];
    $theirs = $this->lesson($leaves);
    $theirs['lesson']->update(['starts_at' => now()->addDay()->setTime(10, 0)]);
    $driven = $this->lesson($leaves)['lesson'];
    $driven->update(['starts_at' => now()->subDay(), 'state' => 'done']);
    $own = $this->lesson($stays)['lesson'];
    $own->update(['starts_at' => now()->addDay()->setTime(10, 30)]);
    $this->actingAs($this->owner);
    $plan = $this->getJson("api/people/{$leaves->id}/lessons-ahead?to={$stays->id}")->assertOk()->json();
    expect($plan['learners'])->toHaveCount(1)->and($plan['learners'][0]['lessons'])->toBe(1)->and($plan['clashes'])->toHaveCount(1);
    // Touching is no clash.
    $own->update(['starts_at' => now()->addDay()->setTime(11, 0)]);
    expect($this->getJson("api/people/{$leaves->id}/lessons-ahead?to={$stays->id}")->json('clashes'))->toBe([]);
    $this->postJson("api/people/{$leaves->id}/hand-over", ['to' => $leaves->id])->assertUnprocessable()->assertJsonValidationErrors('to');
    $this->postJson("api/people/{$leaves->id}/hand-over", ['to' => $stays->id, 'learners' => []])->assertOk()->assertJson(['moved' => 0]);
    $this->postJson("api/people/{$leaves->id}/hand-over", ['to' => $stays->id])->assertOk()->assertJson(['moved' => 1]);
    // What was driven stays with who sat there; what is ahead can be written in by who takes it over.
    expect($theirs['lesson']->refresh()->instructor_id)->toBe($stays->id)->and($driven->refresh()->instructor_id)->toBe($leaves->id);
    $this->actingAs($stays)->patchJson("api/lessons/{$theirs['lesson']->id}", ['aim' => 'Closed turns'])->assertOk();
});

it('hands a test over with its learner, leaves it where the colleague is taken, and counts held time among what is in the way', function (): void {
    [$leaves, $stays] = [$this->user($this->school), $this->user($this->school)];
    $at = $this->lesson($leaves);
    $at['lesson']->update(['starts_at' => now()->addDays(3)->setTime(9, 0)]);
    $hold = function (User $of, int $day, int $hour, array $more): BusyTime {
        $from = now()->addDays($day)->setTime($hour, 0);
        $busy = new BusyTime(['instructor_id' => $of->id, 'starts_at' => $from, 'ends_at' => $from->copy()->addHour(), ...$more]);
        app(App\School\CurrentSchool::class)->within($this->school, fn () => App\Diary\Bookings::with($busy,
            static fn (BusyTime $busy): bool => $busy->save()));

        return $busy;
    };
    $test = ['kind' => 'test', 'learner_id' => $at['learner']->id, 'vehicle_id' => $at['vehicle']->id];
    [$first, $second, $past] = [$hold($leaves, 3, 11, $test), $hold($leaves, 4, 11, $test), $hold($leaves, -3, 11, $test)];
    $hold($stays, 4, 11, ['kind' => 'busy', 'title' => 'Dentist']);
    $dentist = $hold($stays, 3, 9, ['kind' => 'busy', 'title' => 'Garage']);
    $this->actingAs($this->owner);
    $clashes = fn (): array => array_column($this->getJson("api/people/{$leaves->id}/lessons-ahead?to={$stays->id}")->json('clashes'), 'with');
    expect($clashes())->toBe(['busy']);
    $this->postJson("api/people/{$leaves->id}/hand-over", ['to' => $stays->id])->assertOk()->assertJson(['moved' => 0, 'stayed' => 1]);
    $dentist->delete();
    expect($clashes())->toBe([])->and($first->refresh()->instructor_id)->toBe($stays->id)->and($second->refresh()->instructor_id)->toBe($leaves->id)
        ->and($past->refresh()->instructor_id)->toBe($leaves->id);
});

it('keeps these things to the owner', function (string $method, string $uri): void {
    $person = $this->user($this->school);
    $this->actingAs($person)->json(
        $method, str_replace('{id}', $person->id, $uri), ['name' => 'x', 'email' => 'x@example.test', 'role' => 'owner', 'to' => $this->owner->id],
    )->assertForbidden();
    expect($person->refresh()->role)->toBe('instructor');
})->with([['GET', 'api/people'], ['POST', 'api/people'], ['PUT', 'api/people/{id}'], ['POST', 'api/people/{id}/letter'],
    ['POST', 'api/people/{id}/suspension'], ['DELETE', 'api/people/{id}/suspension'], ['GET', 'api/people/{id}/lessons-ahead'],
    ['POST', 'api/people/{id}/hand-over'], ['GET', 'api/letters'], ['GET', 'api/changes'], ['GET', 'api/retention'], ['PUT', 'api/retention']]);

it('keeps who changed what, and says who archived a thing', function (): void {
    $at = $this->lesson($this->user($this->school));
    $colleague = $this->user($this->school);
    $this->actingAs($colleague)->putJson(
        "api/learners/{$at['learner']->id}", ['name' => 'Test Learner', 'transmission' => 'manual', 'level' => 'independent'],
    )->assertOk();
    $this->travel(1)->seconds();
    $this->deleteJson("api/learners/{$at['learner']->id}")->assertNoContent();
    $this->deleteJson("api/places/{$at['place']->id}")->assertNoContent();
    $away = $this->getJson('api/archived')->assertOk()->json();
    expect($away['learners'][0])->toMatchArray([
        'id' => $at['learner']->id, 'name' => 'Test Learner', 'by' => $colleague->name,
    ])->and($away['places'])->toHaveCount(1)->and($away['vehicles'])->toBe([]);
    $this->postJson("api/learners/{$at['learner']->id}/restore")->assertOk();
    $changes = $this->actingAs($this->owner)->getJson('api/changes')->assertOk()->json('changes');
    $said = array_map(fn (array $change): string => "{$change['by']} {$change['what']} {$change['kind']} {$change['name']}", $changes);
    expect($said)->toContain(
        "{$colleague->name} changed learner Test Learner", "{$colleague->name} archived learner Test Learner",
        "{$colleague->name} restored learner Test Learner",
    )
        ->and(collect($changes)->firstWhere('what', 'changed')['details']['fields'])->toBe(['level'])
        ->and(array_column($changes, 'at'))->toBe(collect($changes)->pluck('at')->sortDesc()->values()->all());
    // Reading, marks and the like are no changes.
    $count = fn (): int => app(CurrentSchool::class)->within($this->school, fn () => Change::query()->count());
    $before = $count();
    $this->getJson("api/learners/{$at['learner']->id}")->assertOk();
    $this->getJson('api/learners')->assertOk();
    expect($count())->toBe($before);
});

it('lists where somebody is signed in, and ends one of them or all', function (): void {
    $agent = 'Mozilla/5.0 (iPad; CPU OS 17_0 like Mac OS X) AppleWebKit/605 Version/17.0 Safari/605';
    foreach (['tablet' => $this->owner->id, 'phone' => $this->owner->id, 'others' => $this->user($this->school)->id] as $id => $user) {
        DB::table('sessions')->insert([
            'id' => $id, 'user_id' => $user, 'ip_address' => '192.0.2.7', 'user_agent' => $id === 'tablet' ? $agent : 'curl', 'payload' => '',
            'last_activity' => time() - ($id === 'phone' ? 60 : 0),
        ]);
    }
    $this->actingAs($this->owner);
    $listed = $this->getJson('api/sessions')->assertOk()->json();
    expect(array_column($listed, 'device'))->toBe(['Safari on iPad', 'Unknown device'])->and($listed[0]['address'])->toBe('192.0.2.7')
        // Who reads the list cannot take a session over.
        ->and(json_encode($listed))->not->toContain('"tablet"');
    $this->deleteJson("api/sessions/{$listed[0]['id']}")->assertNoContent();
    $this->deleteJson('api/sessions/'.substr(hash('sha256', 'others'), 0, 32))->assertNotFound();
    expect(DB::table('sessions')->orderBy('id')->pluck('id')->all())->toBe(['others', 'phone']);
});

it('ends a session for good after its days, however often it was used', function (): void {
    $this->user($this->school, 'instructor', 'sam@example.test');
    $this->postJson('api/session', ['email' => 'sam@example.test', 'password' => 'long-enough-1'])->assertOk();
    $this->travel(29)->days();
    $this->getJson('api/learners')->assertOk();
    $this->travel(2)->days();
    $this->getJson('api/learners')->assertUnauthorized();
    $this->getJson('api/session')->assertJsonPath('user', null);
});

it('sees somebody else’s sign-in from elsewhere as what it is: told by browser and system', function (string $agent, string $device): void {
    DB::table('sessions')->insert(['id' => 'one', 'user_id' => $this->owner->id, 'user_agent' => $agent, 'payload' => '', 'last_activity' => time()]);
    expect($this->actingAs($this->owner)->getJson('api/sessions')->assertOk()->json('0.device'))->toBe($device);
})->with([
    ['Mozilla/5.0 (Linux; Android 14; Tab) AppleWebKit/537 (KHTML, like Gecko) Chrome/120 Safari/537', 'Chrome on Android'],
    ['Mozilla/5.0 (Windows NT 10.0; Win64; x64) AppleWebKit/537 Chrome/120 Safari/537 Edg/120', 'Edge on Windows'],
    ['Mozilla/5.0 (Macintosh; Intel Mac OS X 14) AppleWebKit/605 Version/17 Safari/605', 'Safari on Mac'],
    ['Mozilla/5.0 (X11; Linux x86_64; rv:120.0) Gecko/20100101 Firefox/120.0', 'Firefox on Linux'],
    ['', 'Unknown device'],
    ["\u{202E}evil<script>", 'Unknown device'],
]);

it('lists no session that has run out', function (): void {
    foreach (['now' => 0, 'yesterday' => 86_400] as $id => $ago) {
        DB::table('sessions')->insert(['id' => $id, 'user_id' => $this->owner->id, 'payload' => '', 'last_activity' => time() - $ago]);
    }
    expect($this->actingAs($this->owner)->getJson('api/sessions')->json())->toHaveCount(1);
});

it('lets a way in of one person open nobody else’s account', function (): void {
    $other = $this->user($this->school, 'owner', 'other@example.test');
    ($this->invite)();
    $way = ($this->wayIn)();
    auth()->logout();
    $this->postJson('api/way-in', ['email' => 'other@example.test', 'password' => 'a-good-long-one'] + $way)->assertUnprocessable();
    $this->postJson('api/way-in', ['email' => ['new@example.test'], 'password' => 'a-good-long-one'] + $way)->assertUnprocessable();
    $this->postJson('api/way-in', ['email' => 'new@example.test', 'token' => ['x'], 'password' => 'a-good-long-one'])->assertUnprocessable();
    expect(auth()->validate(['email' => $other->email, 'password' => 'long-enough-1']))->toBeTrue();
});

it('makes an invited person an owner only where it says so, and never by what a form sends along', function (): void {
    $person = ($this->invite)();
    $way = ($this->wayIn)();
    auth()->logout();
    $this->postJson(
        'api/way-in', ['password' => 'a-good-long-one', 'role' => 'owner', 'school_id' => $this->school('Other')->id, 'joined_at' => null] + $way,
    )->assertOk()->assertJsonPath('user.role', 'instructor');
    expect($person->refresh()->school_id)->toBe($this->school->id);
    $this->actingAs($this->owner)->postJson(
        'api/people', ['name' => 'x', 'email' => 'boss@example.test', 'role' => 'admin'],
    )->assertUnprocessable()->assertJsonValidationErrors('role');
});

it('reads the log of changes in parts, without a gap or a repeat', function (): void {
    $this->actingAs($this->owner);
    $this->freezeTime();
    for ($i = 0; $i < 130; $i++) {
        // Many of one moment.
        $i % 50 === 49 && $this->travel(1)->seconds();
        $this->postJson('api/learners', ['name' => "Learner {$i}", 'transmission' => 'manual', 'level' => 'beginner'])->assertCreated();
    }
    $first = $this->getJson('api/changes')->assertOk()->json();
    $second = $this->getJson('api/changes?before='.end($first['changes'])['id'])->assertOk()->json();
    $all = [...$first['changes'], ...$second['changes']];
    expect([$first['more'], $second['more']])->toBe([true, false])->and(array_column($all, 'at'))->toBe(collect($all)->pluck('at')->sortDesc()->values()->all())
        ->and(array_column($all, 'name'))->toEqualCanonicalizing(array_map(fn (int $i): string => "Learner {$i}", range(0, 129)));
    $theirs = $this->world('Theirs');
    $foreign = $this->actingAs($theirs['owner'])->getJson('api/changes')->json('changes.0.id') ?? '018f0000-0000-7000-8000-000000000000';
    $this->actingAs($this->owner)->getJson("api/changes?before={$foreign}")->assertNotFound();
});
