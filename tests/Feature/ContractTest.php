<?php

use App\Contract\Document;
use App\Contract\RulesSchema;
use App\Contract\Taken;
use App\Contract\TakenOfLessons;
use Illuminate\Routing\Route as Registered;
use Illuminate\Support\Facades\Route;
use NobleTurn\Core\Compute\Toolbox;
use Opis\JsonSchema\Validator;
use Tests\Contract;
use Tests\Routes;

/*
 * One contract: the document of the API is what is answered. Every test of the application holds every answer it gets against it
 * (FeatureTestCase::call); here it is whole, current, and every address takes and answers what it says.
 */

it('is kept as it is made', function (): void {
    expect(file_get_contents(Document::path()))->toBe(Document::json());
});

it('is answered to whoever asks, signed in or not', function (): void {
    $said = $this->get('api/openapi.json')->assertOk()->assertHeader('Content-Type', 'application/json')->baseResponse;
    expect(json_decode((string) file_get_contents($said->getFile()->getPathname()))->openapi)->toBe('3.1.0');
});

it('names every address of the API, and none that is not there', function (): void {
    $there = [];
    foreach (Route::getRoutes() as $route) {
        /** @var Registered $route */
        if (! str_starts_with($route->uri(), 'api/') || str_contains($route->uri(), '{any}')) {
            continue;
        }
        foreach (array_diff($route->methods(), ['HEAD']) as $method) {
            $path = substr($route->uri(), strlen('api/'));
            array_push(
                $there,
                ...(
                    $path === 'compute/{tool}'
                        ? array_map(static fn (string $tool): string => "{$method} compute/{$tool}", Toolbox::names())
                        : ["{$method} {$path}"]
                ),
            );
        }
    }
    expect(Contract::operations())->toEqualCanonicalizing($there);
});

it('takes what it says, and answers what it says, at every address', function (): void {
    ['owner' => $owner, 'ids' => $ids] = $this->world('The School');
    $this->actingAs($owner);
    $asked = [];
    foreach (Routes::withBodies($ids) as $route => $body) {
        [$method, $uri] = Routes::addressed($route, $ids);
        // What is restored, let in or withdrawn must first be gone.
        if (str_ends_with($route, '/restore')) {
            $this->deleteJson(substr($uri, 0, -strlen('/restore')));
        }
        if ($route === 'POST learners/{learner}/erasure') {
            // By now renamed, like everything else.
            $body['name'] = 'x';
        }
        // What is read is asked for in the address.
        $uri = $method === 'GET' && $body !== [] ? $uri.'?'.http_build_query($body) : $uri;
        $body = $method === 'GET' ? [] : $body;
        expect(Contract::bodyErrors($method, $uri, $body))->toBe([], $route);
        // The answer itself is held against the document by the test case.
        $status = $this->json($method, $uri, $body)->getStatusCode();
        expect($status)->toBeLessThan(400, "{$route} answered {$status}");
        $asked[$route] = true;
        if (str_starts_with($route, 'DELETE ') && str_contains($route, '}') && ! str_contains($route, 'session') && ! str_contains($route, 'suspension')) {
            $this->postJson("{$uri}/restore")->assertOk();
        }
        if (in_array($route, ['PUT password', 'DELETE session', 'DELETE sessions'], true)) {
            $this->actingAs($owner->refresh());
        }
    }
    expect(count($asked))->toBe(count(Routes::withBodies($ids)));
});

it('holds every tool’s answer, single, swept and folded', function (string $tool): void {
    $this->actingAs($this->user($this->school()));
    $inputs = NobleTurn\Core\Tests\Inputs::LEAST[$tool];
    expect(Contract::bodyErrors('POST', "api/compute/{$tool}", $inputs))->toBe([]);
    $this->postJson("api/compute/{$tool}", $inputs)->assertOk();
    if (isset(NobleTurn\Core\Tests\Inputs::SWEPT[$tool])) {
        [$field, $from, $to, $step] = NobleTurn\Core\Tests\Inputs::SWEPT[$tool];
        $sweep = array_diff_key($inputs, [$field => 0]) + ['sweep' => ['field' => $field, 'from' => $from, 'to' => $to, 'step' => $step]];
        expect(Contract::bodyErrors('POST', "api/compute/{$tool}", $sweep))->toBe([]);
        $this->postJson("api/compute/{$tool}", $sweep)->assertOk();
        $sweep['sweep']['folded'] = true;
        $this->postJson("api/compute/{$tool}", $sweep)->assertOk();
    }
})->with(Toolbox::names());

it('finds out an answer that is not as it is said', function (): void {
    $answer = fn (mixed $body, int $status = 200) => response()->json($body, $status);
    expect(Contract::answerErrors('GET', 'api/retention', $answer(['keep_months' => null, 'keep_minors_months' => 12, 'coming' => []])))->toBe([])
        ->and(Contract::answerErrors('GET', 'api/retention', $answer(['keep_months' => 'ten', 'keep_minors_months' => 12, 'coming' => []])))->not->toBe([])
        ->and(Contract::answerErrors('GET', 'api/retention', $answer(['keep_months' => null, 'keep_minors_months' => 12])))->not->toBe([])
        ->and(
            Contract::answerErrors('GET', 'api/retention', $answer(['keep_months' => null, 'keep_minors_months' => 12, 'coming' => [], 'more' => 1])),
        )->not->toBe([])
        ->and(Contract::answerErrors('GET', 'api/retention', $answer([], 201)))->not->toBe([])
        ->and(Contract::answerErrors('GET', 'api/nowhere', $answer([])))->not->toBe([])
        ->and(Contract::answerErrors('GET', 'api/nowhere', $answer(['message' => 'There is nothing at this address.'], 404)))->toBe([]);
});

it('says of what is taken what the rules say', function (array $rules, mixed $value, bool $fits): void {
    $schema = (string) json_encode(RulesSchema::of($rules));
    expect((new Validator)->validate(json_decode((string) json_encode($value)), $schema)->isValid())->toBe($fits)
        // And the rules themselves agree.
        ->and(validator((array) $value, $rules)->passes())->toBe($fits);
})->with([
    'a promise' => [TakenOfLessons::promise(), ['kind' => 'promise', 'text' => 'x'], true],
    'about a step of a routine' => [TakenOfLessons::promise(), ['kind' => 'promise', 'text' => 'x', 'routine' => 'turn-left', 'step' => 'look'], true],
    'about what is no routine' => [TakenOfLessons::promise(), ['kind' => 'promise', 'text' => 'x', 'routine' => 'dance'], false],
    'of no kind' => [TakenOfLessons::promise(), ['kind' => 'vow', 'text' => 'x'], false],
    'without words' => [TakenOfLessons::promise(), ['kind' => 'promise'], false],
    'too long' => [TakenOfLessons::promise(), ['kind' => 'promise', 'text' => str_repeat('x', 301)], false],
    'minutes' => [TakenOfLessons::itemMinutes(), ['minutes' => 240], true],
    'too many minutes' => [TakenOfLessons::itemMinutes(), ['minutes' => 241], false],
    'an order' => [TakenOfLessons::order(), ['items' => ['0190a6b2-7e6f-7b6e-8c55-0a3f6c1d2e3f']], true],
    'an order of no ids' => [TakenOfLessons::order(), ['items' => ['x']], false],
    'an own rating' => [TakenOfLessons::lessonChanges(), ['self_rating' => ['look' => 'unaided']], true],
    'a rating nobody gives themselves' => [TakenOfLessons::lessonChanges(), ['self_rating' => ['look' => 'intervened']], false],
    'a step that is none' => [TakenOfLessons::lessonChanges(), ['self_rating' => ['blink' => 'unaided']], false],
    'nothing at all' => [TakenOfLessons::lessonChanges(), new stdClass, true],
    'months' => [Taken::retention(), ['keep_months' => null, 'keep_minors_months' => 12], true],
    'months left out' => [Taken::retention(), ['keep_months' => 12], false],
    'a mark' => [
        TakenOfLessons::batch(),
        [
            'rounds' => [],
            'marks' => [
                [
                    'id' => '0190a6b2-7e6f-7b6e-8c55-0a3f6c1d2e3f', 'round_id' => '0190a6b2-7e6f-7b6e-8c55-0a3f6c1d2e3f', 'kind' => 'conditions',
                    'conditions' => ['light' => 'dusk'], 'device_at' => '2026-05-20T10:00:00Z',
                ],
            ],
        ],
        true,
    ],
    'conditions nobody knows' => [
        TakenOfLessons::batch(),
        [
            'rounds' => [],
            'marks' => [
                [
                    'id' => '0190a6b2-7e6f-7b6e-8c55-0a3f6c1d2e3f', 'round_id' => '0190a6b2-7e6f-7b6e-8c55-0a3f6c1d2e3f', 'kind' => 'conditions',
                    'conditions' => ['light' => 'neon'], 'device_at' => '2026-05-20T10:00:00Z',
                ],
            ],
        ],
        false,
    ],
]);
