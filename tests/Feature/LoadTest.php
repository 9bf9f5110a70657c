<?php

use Illuminate\Support\Facades\Cookie;

/* What one person or one address may ask for: nobody's requests stop the others', and nobody is locked out by them. */

it('refuses work beyond an allowance with a sentence, says when to come back, and lets everybody else go on', function (): void {
    config(['limits.compute_ms' => 1_000]);
    [$eager, $calm] = [$this->user($this->school()), $this->user($this->school('Other'))];
    $dear = ['vehicle' => 'articulated-lorry', 'bend' => ['kerb_radius_m' => 8, 'entry_width_m' => 4, 'exit_width_m' => 7.3]];
    $this->actingAs($eager);
    for ($i = 0; $i < 8 && ($answer = $this->postJson('api/compute/swept-path', $dear))->status() === 200; $i++) {
    }
    // A few of the dearest, not one and not all.
    expect($i)->toBeGreaterThan(1)->toBeLessThan(7);
    $answer->assertTooManyRequests()->assertHeader('Retry-After');
    expect($answer->json('message'))->toMatch('/ask again in \d+ s/');
    // It is this one's calculators that wait: neither their marks, nor anybody else.
    $this->postJson('api/sync', ['rounds' => [], 'marks' => []])->assertOk();
    $this->actingAs($calm)->postJson('api/compute/stopping', ['speed_mph' => 30])->assertOk();
    $this->travel(61)->seconds();
    $this->actingAs($eager)->postJson('api/compute/stopping', ['speed_mph' => 30])->assertOk();
});

it('asks little of the allowance for what is quickly answered: a slider may run over it all day', function (): void {
    config(['limits.compute_ms' => 30_000]);
    $this->actingAs($this->user($this->school()));
    for ($i = 0; $i < 60; $i++) {
        $this->postJson('api/compute/stopping', ['speed_mph' => 20 + $i / 2])->assertOk();
    }
    $remaining = 30_000 - app(Illuminate\Cache\RateLimiter::class)->attempts('compute:'.auth()->id());
    expect($remaining)->toBeGreaterThan(29_000);
});

it('counts the marks that are sent before it looks at them', function (): void {
    config(['limits.sync_ms' => 1_500]);
    $at = $this->lesson($user = $this->user($this->school()));
    $this->actingAs($user);
    $batch = fn (int $marks): array => ['rounds' => [], 'marks' => array_fill(0, $marks, ['id' => 'no id at all'])];
    $this->postJson('api/sync', $batch(500))->assertUnprocessable();
    $this->postJson('api/sync', $batch(500))->assertUnprocessable();
    $this->postJson('api/sync', $batch(1))->assertTooManyRequests();
    expect($at['lesson']->exists)->toBeTrue();
});

it('locks nobody out of their own account: a device that has signed in before is counted by itself', function (): void {
    $user = $this->user($this->school(), 'owner', 'petra@school.test');
    $signIn = fn (string $password) => $this->postJson('api/session', ['email' => 'petra@school.test', 'password' => $password]);
    $known = $signIn('long-enough-1')->assertOk()->getCookie('known_device');
    expect($known)->not->toBeNull();
    auth()->logout();
    // Somebody guesses, from this address and from everywhere.
    for ($i = 0; $i < 40; $i++) {
        $this->withServerVariables(['REMOTE_ADDR' => "198.51.100.{$i}"])->postJson('api/session', ['email' => 'petra@school.test', 'password' => "guess {$i}"]);
    }
    $this->withServerVariables(['REMOTE_ADDR' => '203.0.113.9']);
    $signIn('long-enough-1')->assertTooManyRequests();
    $this->withCredentials()->withCookie('known_device', $known->getValue());
    $signIn('long-enough-1')->assertOk();
    auth()->logout();
    // The cookie of one account opens no other.
    $this->user($this->school('Other'), 'owner', 'paul@school.test');
    for ($i = 0; $i < 40; $i++) {
        $last = $this->withServerVariables(['REMOTE_ADDR' => "198.51.100.{$i}"])->postJson(
            'api/session', ['email' => 'paul@school.test', 'password' => "guess {$i}"],
        );
    }
    $last->assertTooManyRequests();
    // And itself may guess no faster than any.
    $this->travel(2)->minutes();
    for ($i = 0; $i < 7; $i++) {
        $last = $signIn("guess {$i}");
    }
    $last->assertTooManyRequests();
});

it('takes nobody’s word for whom they ask, but that of a proxy it was told of', function (): void {
    $seen = fn (): array => [request()->ip(), request()->isSecure(), request()->getHost()];
    $said = ['X-Forwarded-For' => '203.0.113.5', 'X-Forwarded-Proto' => 'https', 'X-Forwarded-Host' => 'elsewhere.test'];
    $this->withServerVariables(['REMOTE_ADDR' => '198.51.100.1'])->getJson('api/session', $said);
    expect($seen())->toBe(['198.51.100.1', false, '127.0.0.1']);
    config(['trustedproxy.proxies' => ['198.51.100.1']]);
    $this->getJson('api/session', $said);
    expect($seen())->toBe(['203.0.113.5', true, '127.0.0.1']);
    $this->withServerVariables(['REMOTE_ADDR' => '198.51.100.2'])->getJson('api/session', $said);
    expect($seen()[0])->toBe('198.51.100.2');
});

it('asks browsers to come by HTTPS alone where people do', function (): void {
    $this->get('/')->assertHeaderMissing('Strict-Transport-Security');
    config(['app.url' => 'https://drive.example', 'trustedproxy.proxies' => ['127.0.0.1']]);
    $this->get('/')->assertHeaderMissing('Strict-Transport-Security');
    $this->get('/', ['X-Forwarded-Proto' => 'https'])->assertHeader('Strict-Transport-Security', 'max-age=31536000');
});
