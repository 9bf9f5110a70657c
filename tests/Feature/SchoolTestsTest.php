<?php

use App\Jobs\SayChancesAnew;
use App\Marks\LearnerReady;
use App\Models\Assessment;
use App\Models\Centre;
use App\Models\Learner;
use App\School\CurrentSchool;
use App\School\SchoolTests;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Str;

/* Real tests that were taken: what the marks had said of each, and what learners failed by at each centre. */

beforeEach(function (): void {
    $this->travelTo('2026-05-20 12:00:00');
    $this->school = $this->school();
    $this->owner = $this->user($this->school, 'owner');
    $this->actingAs($this->owner);
    ['learner' => $this->learner, 'lesson' => $this->lesson] = $this->lesson($this->owner);
    $this->within = fn (Closure $do): mixed => $this->app->make(CurrentSchool::class)->within($this->school, $do);
    $this->centre = ($this->within)(static fn (): Centre => Centre::query()->create(['name' => 'Fog Wharf']));
    $this->take = fn (string $at, array $more = []): array => $this->postJson("api/learners/{$this->learner->id}/assessments", $more + [
        'kind' => 'test', 'taken_at' => $at, 'result' => 'fail', 'centre_id' => $this->centre->id,
        'faults' => [['step' => 'look', 'routine' => 'emerge-right', 'effect' => 'affected']],
    ])->assertCreated()->json();
    // Rounds of the routine asked most, at that time of that day.
    $this->drive = function (string $at, string $outcome, int $rounds = 20): void {
        for ($i = 0; $i < $rounds; $i++) {
            $round = ['id' => (string) Str::uuid7(), 'lesson_id' => $this->lesson->id, 'routine' => 'emerge-right', 'elsewhere' => 'x', 'device_at' => $at];
            $this->postJson('api/sync', ['rounds' => [$round], 'marks' => array_map(static fn (string $step): array => [
                'id' => (string) Str::uuid7(), 'round_id' => $round['id'], 'kind' => 'step', 'step' => $step, 'outcome' => $outcome, 'device_at' => $at,
            ], ['mirrors', 'signal', 'position', 'speed', 'look'])])->assertOk();
        }
    };
    $this->chance = static fn (array $test): ?float => Assessment::query()->findOrFail($test['id'])->chance;
});

it('keeps with a test what the marks before it say, and nothing where nothing was marked', function (): void {
    expect(($this->chance)(($this->take)('2026-05-01T09:00:00Z')))->toBeNull();
    ($this->drive)('2026-05-10T09:00:00.250Z', 'unaided');
    $first = ($this->take)('2026-05-15T09:00:00Z');
    $said = ($this->chance)($first);
    expect($said)->toBeGreaterThan(0.0)->toBeLessThan(1.0);
    // What is marked after it has seen how it went: written again, the test keeps what was said.
    ($this->drive)('2026-05-18T09:00:00.250Z', 'missed', 40);
    $same = array_intersect_key($first, array_flip(['kind', 'result', 'centre_id', 'faults'])) + ['taken_at' => '2026-05-15T09:00:00Z', 'note' => 'rain'];
    $this->putJson("api/assessments/{$first['id']}", $same)->assertOk();
    expect(($this->chance)($first))->toBe($said)
        // And a test of that day, written only now, is expected by the same marks.
        ->and(($this->chance)(($this->take)('2026-05-15T09:00:00Z')))->toBe($said)
        ->and(($this->chance)(($this->take)('2026-05-19T09:00:00Z')))->toBeLessThan($said);
    // Moved to another day it is said anew; a mock test is none.
    $this->putJson("api/assessments/{$first['id']}", ['taken_at' => '2026-05-19T09:00:00Z'] + $same)->assertOk();
    expect(($this->chance)($first))->toBeLessThan($said);
    $this->putJson("api/assessments/{$first['id']}", ['kind' => 'mock-test'] + $same)->assertOk();
    expect(($this->chance)($first))->toBeNull();
});

it('says it anew where marks from before it have waited on a device, and not for what was pressed after it', function (): void {
    ($this->drive)('2026-05-10T09:00:00.250Z', 'unaided');
    $test = ($this->take)('2026-05-15T09:00:00Z');
    $earlier = ($this->take)('2026-05-11T09:00:00Z');
    [$said, $first] = [($this->chance)($test), ($this->chance)($earlier)];
    ($this->drive)('2026-05-18T09:00:00.250Z', 'missed');
    expect(($this->chance)($test))->toBe($said);
    ($this->drive)('2026-05-14T09:00:00.250Z', 'missed', 30);
    // As if they had come in time; the test before them is left as it was said.
    expect(($this->chance)($test))->toBeLessThan($said)->toBe(($this->chance)(($this->take)('2026-05-15T09:00:00Z')))
        ->and(($this->chance)($earlier))->toBe($first);
    // Where nothing had been marked there is a chance now; of a mock test there is none.
    $bare = ($this->take)('2026-05-02T09:00:00Z');
    $mock = ($this->take)('2026-05-03T09:00:00Z', ['kind' => 'mock-test']);
    expect(($this->chance)($bare))->toBeNull();
    ($this->drive)('2026-05-01T09:00:00.250Z', 'prompted', 10);
    expect(($this->chance)($bare))->not->toBeNull()->and(($this->chance)($mock))->toBeNull();
});

it('leaves the tests of other learners and of other schools alone, and asks for no work where there is no test', function (): void {
    Queue::fake();
    ($this->drive)('2026-05-10T09:00:00.250Z', 'missed', 1);
    ($this->within)(fn () => Assessment::query()->create(['learner_id' => Learner::query()->create([
        'name' => 'Somebody', 'level' => 'independent', 'transmission' => 'manual',
    ])->id, 'kind' => 'test', 'taken_at' => now(), 'scheme' => 'gb-car', 'result' => 'pass', 'faults' => []]));
    ($this->drive)('2026-05-11T09:00:00.250Z', 'missed', 1);
    Queue::assertNotPushed(SayChancesAnew::class);
    ($this->take)('2026-05-15T09:00:00Z');
    ($this->drive)('2026-05-12T09:00:00.250Z', 'missed', 1);
    Queue::assertPushed(SayChancesAnew::class, 1);
});

it('says of the chance what the page of the learner says that day', function (): void {
    ($this->drive)('2026-05-10T09:00:00.250Z', 'unaided');
    $now = ($this->within)(fn (): array => $this->app->make(LearnerReady::class)->of($this->learner->refresh()));
    expect(($this->chance)(($this->take)(now()->toIso8601ZuluString())))->toEqualWithDelta($now['chance']['estimate'], 0.01);
});

it('counts at a centre what decided failed tests, and claims nothing from five', function (): void {
    $told = fn (): array => $this->getJson('api/school/tests')->assertOk()->json();
    for ($i = 0; $i < 4; $i++) {
        ($this->take)('2026-05-0'.($i + 1).'T09:00:00Z');
    }
    // Of four one could tell whose they were.
    expect($told()['centres'][0])->toMatchArray(['name' => 'Fog Wharf', 'tests' => 4, 'passed' => null, 'known' => 4, 'steps' => []]);
    ($this->take)('2026-05-05T09:00:00Z', ['result' => 'pass', 'faults' => []]);
    expect($told()['centres'][0])->toMatchArray(['tests' => 5, 'known' => 4, 'steps' => []])
        ->and($told()['centres'][0]['passed'])->toMatchArray(['count' => 1, 'of' => 5]);
    for ($i = 0; $i < 4; $i++) {
        ($this->take)('2026-05-1'.$i.'T09:00:00Z', ['faults' => [['step' => 'position', 'routine' => 'roundabout', 'effect' => 'affected'],
            ['step' => 'mirrors', 'routine' => 'turn-left', 'effect' => 'nobody']]]);
    }
    $steps = $told()['centres'][0]['steps'];
    // The light fault beside it decided nothing.
    expect(array_column($steps, 'step'))->toEqualCanonicalizing(['look', 'position'])->and($steps[0]['share'])->toMatchArray(['count' => 4, 'of' => 8]);
    // Elsewhere, and a mock test, is no test there.
    ($this->take)('2026-05-16T09:00:00Z', ['centre_id' => null]);
    ($this->take)('2026-05-17T09:00:00Z', ['kind' => 'mock-test']);
    expect($told()['centres'][0]['tests'])->toBe(9)->and($told()['held'])->toMatchArray(['tests' => 0, 'enough' => false, 'passed' => null, 'bins' => []]);
});

it('holds what was said against what came, with archived learners and without erased tests, of this school alone', function (): void {
    $tests = static fn (int $many): mixed => collect(range(1, $many))->each(static function (int $i): void {
        $learner = Learner::query()->create(['name' => "L {$i}", 'level' => 'independent', 'transmission' => 'manual']);
        Assessment::query()->create(['learner_id' => $learner->id, 'kind' => 'test', 'taken_at' => now()->subDays($i), 'scheme' => 'gb-car',
            'result' => $i % 5 === 0 ? 'fail' : 'pass', 'faults' => [], 'chance' => 0.8]);
        $learner->delete();
    });
    ($this->within)(static fn () => $tests(7));
    expect($this->getJson('api/school/tests')->json('held'))->toMatchArray(['tests' => 7, 'enough' => false, 'bins' => []]);
    ($this->within)(static fn () => $tests(13));
    $held = $this->getJson('api/school/tests')->json('held');
    expect($held)->toMatchArray(['tests' => 20, 'enough' => true, 'expected' => 16])->and($held['bins'])->toHaveCount(1)
        ->and($held['passed'])->toMatchArray(['count' => 17, 'of' => 20])->and($held['message'])->toContain('about as many');
    ($this->within)(static fn () => Assessment::query()->first()?->delete());
    expect(($this->within)(SchoolTests::told(...))['held']['tests'])->toBe(19);
    $this->actingAs($this->user($this->school(), 'owner'))->getJson('api/school/tests')->assertOk()->assertJsonPath('held.tests', 0)
        ->assertJsonPath('centres', []);
});
