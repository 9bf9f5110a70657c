<?php

use App\Models\Learner;
use App\Models\Lesson;
use App\Models\Mark;
use Illuminate\Support\Str;

beforeEach(function (): void {
    $this->instructor = $this->user($this->school());
    $this->at = $this->lesson($this->instructor);
    $this->actingAs($this->instructor);
    $this->raw = fn (string $method, string $uri, string $body, string $type = 'application/json') => $this->call(
        $method, $uri, server: ['CONTENT_TYPE' => $type, 'HTTP_ACCEPT' => 'application/json'], content: $body,
    );
});

it('takes JSON and nothing else', function (): void {
    ($this->raw)('POST', 'api/learners', 'name=Bad%ed%a0%80&transmission=manual&level=beginner', 'application/x-www-form-urlencoded')->assertStatus(415);
    ($this->raw)('POST', 'api/learners', '{"name": "half')->assertStatus(400)->assertSee('not JSON');
    ($this->raw)('POST', 'api/learners', '{"name":"'."Bad\xED\xA0\x80".'","transmission":"manual","level":"beginner"}')->assertStatus(400)->assertSee('UTF-8');
    ($this->raw)('POST', 'api/learners', '{"name":"Bad\ud800","transmission":"manual","level":"beginner"}')->assertStatus(400);
    expect(Learner::query()->count())->toBe(1);
    ($this->raw)(
        'POST', 'api/learners', '{"name":"Zoë Ålund 🚗","transmission":"manual","level":"beginner"}',
    )->assertCreated()->assertJsonPath('name', 'Zoë Ålund 🚗');
});

it('takes no broken text in an address or in a browser’s name of itself', function (): void {
    $this->getJson('api/today?day=%ed%a0%80')->assertStatus(400);
    $this->getJson('api/learners/%ff')->assertStatus(400);
    $this->getJson('api/today', ['User-Agent' => "Odd\xFF browser"])->assertOk();
});

it('takes an id in capitals for the same id', function (): void {
    $lesson = $this->postJson(
        'api/lessons',
        [
            'learner_id' => strtoupper($this->at['learner']->id), 'vehicle_id' => strtoupper($this->at['vehicle']->id),
            'starts_at' => now()->toIso8601String(), 'minutes' => 60,
        ],
    )->assertCreated()->json('id');
    $this->getJson('api/lessons/'.strtoupper($lesson))->assertOk()->assertJsonPath('id', $lesson);
    $round = strtoupper((string) Str::uuid7());
    $batch = [
        'rounds' => [
            [
                'id' => $round, 'lesson_id' => $lesson, 'place_id' => strtoupper($this->at['place']->id), 'routine' => 'emerge-right',
                'device_at' => '2026-05-20T10:00:00Z',
            ],
        ],
        'marks' => [
            [
                'id' => (string) Str::uuid7(), 'round_id' => $round, 'kind' => 'step', 'step' => 'look', 'outcome' => 'unaided',
                'device_at' => '2026-05-20T10:00:00Z',
            ],
        ],
    ];
    $this->postJson('api/sync', $batch)->assertOk();
    $this->postJson('api/sync', json_decode(strtolower(json_encode($batch)), true))->assertOk();
    expect(Mark::query()->sole()->round_id)->toBe(strtolower($round))->and(Lesson::query()->count())->toBe(2);
});

it('asks for a guardian when a minor is put again without one, and answers no error', function (): void {
    $facts = ['name' => 'Young', 'transmission' => 'manual', 'level' => 'beginner'];
    $id = $this->postJson('api/learners', $facts + ['is_minor' => true, 'guardian_name' => 'Elder'])->assertCreated()->json('id');
    $this->putJson(
        "api/learners/{$id}", $facts + ['is_minor' => true, 'guardian_name' => null],
    )->assertUnprocessable()->assertJsonValidationErrors('guardian_name');
    $this->putJson("api/learners/{$id}", $facts + ['guardian_name' => ''])->assertUnprocessable()->assertJsonValidationErrors('guardian_name');
    $this->putJson("api/learners/{$id}", $facts + ['is_minor' => false])->assertOk()->assertJsonPath('is_minor', false);
});

it('counts before it looks: a request of too much is refused as a whole', function (string $uri, array $body): void {
    $this->json(
        str_contains($uri, 'order') ? 'PUT' : 'POST', str_replace('LESSON', $this->at['lesson']->id, $uri), $body,
    )->assertUnprocessable()->assertSee('send it in parts');
})->with([
    ['api/sync', ['rounds' => [], 'marks' => array_fill(0, 10_000, [])]],
    ['api/lessons/LESSON/order', ['items' => array_fill(0, 20_000, '018f0000-0000-7000-8000-000000000000')]],
    ['api/learners', ['name' => 'x', 'reference_points' => array_fill(0, 20_000, ['what' => 'x', 'where' => 'y'])]],
    ['api/learners', ['name' => 'x', 'reference_points' => array_fill(0, 200, array_fill(0, 200, []))]],
]);

it('takes a day that is a day, and says so of any other', function (string $day): void {
    $this->getJson("api/today?day={$day}")->assertUnprocessable()->assertJsonValidationErrors('day');
})->with(['zz', '2026-02-30', '9999-12-31', '20260520']);
