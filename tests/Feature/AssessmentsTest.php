<?php

use App\Models\Assessment;
use App\Models\Learner;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/* Tests and mock tests that are kept, and how near somebody is to the next. */

beforeEach(function (): void {
    $this->travelTo('2026-05-20T08:00:00Z');
    $this->school = $this->school('Ours');
    $this->owner = $this->user($this->school, 'owner');
    $this->actingAs($this->owner);
    $this->learner = Learner::query()->create(['name' => 'Test Learner', 'transmission' => 'manual', 'level' => 'developing']);
    $this->at = "api/learners/{$this->learner->id}";
    $this->mock = ['kind' => 'mock-test', 'taken_at' => '2026-05-12T10:00:00Z', 'faults' => [
        ['step' => 'mirrors', 'routine' => 'emerge-right', 'fault' => 'late', 'effect' => 'nobody'],
    ]];
});

it('marks a mock test by its scheme, whatever result is sent, and says which rule decided', function (): void {
    $passed = $this->postJson("{$this->at}/assessments", ['result' => 'fail'] + $this->mock)->assertCreated();
    $passed->assertJsonPath('result', 'pass')->assertJsonPath('scheme', 'gb-car')->assertJsonPath('faults.0.severity', 'driving')
        ->assertJsonPath('by_scheme.counts.driving', 1);
    $failed = $this->postJson("{$this->at}/assessments", ['faults' => [['step' => 'look', 'effect' => 'affected']]] + $this->mock)->assertCreated();
    $failed->assertJsonPath('result', 'fail')->assertJsonPath('by_scheme.message', fn (string $said): bool => str_contains($said, 'one is enough to fail'));
    // The same faults by another scheme.
    $changed = ['scheme' => 'ie-car', 'faults' => [['step' => 'look', 'effect' => 'affected']]] + $this->mock;
    $this->putJson("api/assessments/{$failed->json('id')}", $changed)->assertOk()
        ->assertJsonPath('result', 'pass')->assertJsonPath('scheme', 'ie-car');
    expect($this->getJson("{$this->at}/assessments")->json())->toHaveCount(2);
});

it('keeps a test as the examiner said, beside what its scheme makes of the faults', function (): void {
    $test = ['kind' => 'test', 'taken_at' => '2026-05-19T10:00:00Z', 'note' => 'Rain.', 'faults' => [['step' => 'look', 'effect' => 'affected']]];
    $this->postJson("{$this->at}/assessments", $test)->assertUnprocessable()->assertJsonValidationErrors('result');
    $kept = $this->postJson("{$this->at}/assessments", ['result' => 'pass'] + $test)->assertCreated()->assertJsonPath('result', 'pass')
        ->assertJsonPath('by_scheme.result', 'fail')->json('id');
    $this->deleteJson("api/assessments/{$kept}")->assertNoContent();
    expect($this->getJson("{$this->at}/assessments")->json())->toBe([]);
    $this->postJson("api/assessments/{$kept}/restore", [])->assertOk()->assertJsonPath('note', 'Rain.');
});

it('refuses what cannot be, by the name of the field, and writes nothing', function (): void {
    foreach ([
        'taken_at' => ['taken_at' => '2026-05-21T10:00:00Z'], 'scheme' => ['scheme' => 'moon'], 'faults.0.step' => ['faults' => [['step' => 'fly']]],
        'centre_id' => ['centre_id' => (string) Str::uuid7()], 'kind' => ['kind' => 'exam'],
        'faults.0.effect' => ['faults' => [['step' => 'look', 'effect' => 'none']]],
        // Nothing said that tells how grave it was.
        'faults.0' => ['faults' => [['step' => 'look']]],
    ] as $field => $bad) {
        $this->postJson("{$this->at}/assessments", $bad + $this->mock)->assertUnprocessable()->assertJsonValidationErrors($field);
    }
    expect(Assessment::query()->count())->toBe(0);
});

it('counts a mock test that was passed for readiness, and never calls somebody ready without marks', function (): void {
    $before = $this->getJson("{$this->at}/ready")->assertOk()->json();
    expect($before)->toMatchArray(['verdict' => 'unknown', 'chance' => null, 'scheme' => 'gb-car', 'week_is_known' => false, 'test_at' => null])
        ->and(array_column($before['missing'], 'kind'))->toContain('mock-test');
    $this->postJson("{$this->at}/assessments", $this->mock)->assertCreated();
    $after = $this->getJson("{$this->at}/ready")->json();
    expect(array_column($after['missing'], 'kind'))->not->toContain('mock-test')->and($after['verdict'])->toBe('unknown');
});

it('stands in what is handed out of a learner, and keeps no note of who is erased', function (): void {
    $this->postJson("{$this->at}/assessments", ['note' => 'Nervous at first.'] + $this->mock)->assertCreated();
    expect($this->getJson("{$this->at}/data")->json('assessments.0'))->toMatchArray(['kind' => 'mock-test', 'result' => 'pass', 'note' => 'Nervous at first.']);
    $this->postJson("{$this->at}/erasure", ['name' => 'Test Learner'])->assertSuccessful();
    expect(Assessment::withTrashed()->sole()->note)->toBeNull();
});

it('takes a mock test that was driven in a lesson: its ways are rounds, what was no fault was done alone, and sent again it is the same', function (): void {
    $world = $this->world('Driven');
    $ids = $world['ids'];
    $this->actingAs($world['owner']);
    $before = $this->getJson("api/lessons/{$ids['lesson']}")->assertOk()->json();
    [$first, $second] = [(string) Str::uuid7(), (string) Str::uuid7()];
    $said = [
        'id' => (string) Str::uuid7(), 'taken_at' => '2026-05-20T07:10:00Z', 'conditions' => ['traffic' => 'busy', 'light' => 'day'],
        'ways' => [
            ['id' => $first, 'place_id' => $ids['place'], 'routine' => 'emerge-right', 'where' => 'Quay Street', 'at' => '2026-05-20T07:12:00Z'],
            ['id' => $second, 'routine' => 'between-hazards', 'where' => 'on the way back', 'at' => '2026-05-20T07:20:00Z'],
        ],
        'faults' => [
            ['step' => 'mirrors', 'way' => $first, 'fault' => 'late', 'effect' => 'nobody', 'at' => '2026-05-20T07:12:10Z'],
            ['step' => 'look', 'way' => $first, 'effect' => 'affected', 'at' => '2026-05-20T07:12:20Z'],
            ['step' => 'speed', 'effect' => 'nobody', 'at' => '2026-05-20T07:30:00Z'],
        ],
    ];
    $address = "api/lessons/{$ids['lesson']}/mock-test";
    $kept = $this->postJson($address, $said)->assertCreated()->json();
    expect($kept)->toMatchArray(['id' => $said['id'], 'lesson_id' => $ids['lesson'], 'kind' => 'mock-test', 'result' => 'fail', 'scheme' => 'gb-car'])
        ->and($kept['faults'][1])->toMatchArray(['routine' => 'emerge-right', 'severity' => 'serious', 'where' => 'Quay Street'])
        ->and($kept['faults'][2])->toMatchArray(['routine' => null, 'where' => null, 'severity' => 'driving']);
    // Signal was lost before the answer came: nothing is there twice.
    expect($this->postJson($address, $said)->assertCreated()->json('id'))->toBe($said['id']);
    $after = $this->getJson("api/lessons/{$ids['lesson']}")->json();
    $rounds = array_column(array_filter($after['rounds'], static fn (array $round): bool => $round['assessment_id'] === $said['id']), null, 'id');
    expect(count($after['rounds']))->toBe(count($before['rounds']) + 2)->and(array_keys($rounds))->toBe([$first, $second]);
    $marks = array_column($rounds[$first]['marks'], null, 'step');
    expect(array_map(static fn (array $mark): array => [$mark['outcome'], $mark['fault'], $mark['effect']], $marks))->toEqual([
        'mirrors' => ['unaided', 'late', 'nobody'], 'signal' => ['unaided', null, null], 'position' => ['unaided', null, null],
        'speed' => ['unaided', null, null], 'look' => ['missed', null, 'affected'],
    ])->and($rounds[$first]['conditions'])->toBe(['traffic' => 'busy', 'light' => 'day'])->and($rounds[$second]['place'])->toBe('on the way back')
        ->and(array_unique(array_column($rounds[$second]['marks'], 'outcome')))->toBe(['unaided']);
    // They are evidence as any others.
    $seen = array_column($this->getJson("api/learners/{$ids['learner']}/marks?routine=emerge-right&step=look")->assertOk()->json(), 'outcome', 'at');
    expect($seen['2026-05-20T07:12:00Z'])->toBe('missed');
    expect($this->getJson("api/learners/{$ids['learner']}/assessments")->json('*.id'))->toContain($said['id']);
});

it('refuses of a mock test what cannot be, by the name of the field, and keeps neither its result nor its marks', function (): void {
    $world = $this->world('Refused');
    $ids = $world['ids'];
    $this->actingAs($world['owner']);
    $way = (string) Str::uuid7();
    $said = [
        'id' => (string) Str::uuid7(), 'taken_at' => '2026-05-20T07:10:00Z',
        'ways' => [['id' => $way, 'routine' => 'turn-left', 'at' => '2026-05-20T07:12:00Z']],
        'faults' => [['step' => 'look', 'way' => $way, 'effect' => 'nobody', 'at' => '2026-05-20T07:12:10Z']],
    ];
    $counts = fn (): array => array_map(static fn (string $table): int => DB::table($table)->count(), ['assessments', 'rounds', 'marks']);
    $before = $counts();
    $fault = $said['faults'][0];
    foreach ([
        'taken_at' => ['taken_at' => '2026-05-21T10:00:00Z'], 'faults.0.way' => ['faults' => [['way' => (string) Str::uuid7()] + $fault]],
        'faults.0.effect' => ['faults' => [array_diff_key($fault, ['effect' => 0])]], 'faults.0.fault' => ['faults' => [['fault' => 'coasting'] + $fault]],
        'ways.0.routine' => ['ways' => [['routine' => 'fly'] + $said['ways'][0]]], 'ways.1.id' => ['ways' => [$said['ways'][0], $said['ways'][0]]],
        'ways.0.place_id' => ['ways' => [['place_id' => (string) Str::uuid7()] + $said['ways'][0]]], 'scheme' => ['scheme' => 'moon'],
    ] as $field => $bad) {
        $this->postJson("api/lessons/{$ids['lesson']}/mock-test", $bad + $said)->assertUnprocessable()->assertJsonValidationErrors($field);
    }
    // A device whose clock is ahead drove it just now.
    $ahead = $this->postJson("api/lessons/{$ids['lesson']}/mock-test", ['id' => (string) Str::uuid7(), 'taken_at' => '2026-05-20T09:30:00Z', 'ways' => [],
        'faults' => []] + $said)->assertCreated()->json();
    expect([$ahead['taken_at'], $ahead['result']])->toBe(['2026-05-20T08:00:00Z', 'pass']);
    // Of another school’s test, too: it is not said to be there, and nothing breaks.
    $theirs = $this->world('Theirs')['ids'];
    $this->actingAs($world['owner'])->postJson("api/lessons/{$ids['lesson']}/mock-test", ['id' => $theirs['assessment']] + $said)
        ->assertUnprocessable()->assertJsonValidationErrors('id');
    $before = $counts();
    // An id that is another test’s, and a lesson of a colleague’s.
    $this->postJson("api/lessons/{$ids['lesson']}/mock-test", ['id' => $ids['assessment']] + $said)->assertUnprocessable()->assertJsonValidationErrors('id');
    $this->actingAs($this->user(App\Models\School::query()->findOrFail($world['owner']->school_id)))
        ->postJson("api/lessons/{$ids['lesson']}/mock-test", $said)->assertForbidden();
    expect($counts())->toBe($before);
});
