<?php

use App\Models\Assessment;
use App\Models\Learner;
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
