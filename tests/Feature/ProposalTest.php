<?php

use App\Models\Learner;
use App\Models\Lesson;
use App\Models\Mark;
use App\Models\Place;
use App\Models\Round;
use App\Models\Site;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

/* What a lesson could be for, from the marks, the place it begins at, and the ways of the school. */

beforeEach(function (): void {
    $this->school = $this->school('Ours');
    $this->school->update(['latitude_deg' => 49.2, 'longitude_deg' => -8.1]);
    $this->owner = $this->user($this->school, 'owner');
    $this->actingAs($this->owner);
    $this->learner = Learner::query()->create([
        'name' => 'Test Learner', 'transmission' => 'manual', 'level' => 'developing', 'pick_up' => 'At the quay', 'pick_up_latitude_deg' => 49.21,
        'pick_up_longitude_deg' => -8.1,
    ]);
    $car = $this->postJson('api/vehicles', ['name' => 'Car', 'transmission' => 'manual', 'controls' => 'standard', 'length_m' => 4,
        'width_m' => 1.8])->json('id');
    $this->lesson = fn (string $at, string $state = 'booked'): Lesson => tap(new Lesson([
        'learner_id' => $this->learner->id, 'vehicle_id' => $car, 'starts_at' => $at, 'minutes' => 60, 'state' => $state,
    ]), fn (Lesson $lesson) => $lesson->forceFill(['instructor_id' => $this->owner->id])->save());
    $this->site = fn (string $name, float $north): string => $this->postJson('api/sites', [
        'name' => $name, 'kind' => 'junction', 'latitude_deg' => $north, 'longitude_deg' => -8.1, 'arms' => [
            ['id' => 'w', 'name' => 'Mole Street', 'bearing_deg' => 270], ['id' => 'e', 'name' => 'Mole Street', 'bearing_deg' => 90],
            ['id' => 's', 'name' => 'Ropewalk', 'bearing_deg' => 180, 'control' => 'give-way'],
        ],
    ])->assertCreated()->json('id');
    /** Rounds of routines, every step as said. */
    $this->driven = function (Lesson $lesson, array $routines, string $outcome, int $rounds = 4): void {
        $place = Place::query()->firstOrCreate(['name' => 'Somewhere'], ['routine' => 'turn-left', 'road' => ['kind' => 'approach', 'version' => 1]]);
        $sent = ['rounds' => [], 'marks' => []];
        foreach ($routines as $n => $routine) {
            for ($i = 0; $i < $rounds; $i++) {
                $at = $lesson->starts_at->copy()->addSeconds(60 * $n + 10 * $i)->toIso8601ZuluString();
                $sent['rounds'][] = $round = [
                    'id' => (string) Str::uuid7(), 'lesson_id' => $lesson->id, 'place_id' => null, 'routine' => $routine, 'device_at' => $at,
                ];
                foreach (['mirrors', 'position', 'speed', 'look'] as $step) {
                    $sent['marks'][] = [
                        'id' => (string) Str::uuid7(), 'round_id' => $round['id'], 'kind' => 'step', 'step' => $step, 'outcome' => $outcome, 'device_at' => $at,
                    ];
                }
            }
        }
        [$rounds, $marks] = [Round::query()->count(), Mark::query()->count()];
        $this->postJson('api/sync', $sent)->assertOk();
        expect(Round::query()->count() - $rounds)->toBe(count($sent['rounds']))->and(Mark::query()->count() - $marks)->toBe(count($sent['marks']))
            ->and($place->exists)->toBeTrue();
    };
    $this->travelTo('2026-05-20T08:00:00Z');
    $this->next = ($this->lesson)('2026-05-20T10:00:00Z');
    $this->proposal = fn (array $query = []): TestResponse => $this->getJson("api/lessons/{$this->next->id}/proposal?".http_build_query($query));
});

it('proposes what the marks ask for, at ways of the school near the pick-up, within the minutes', function (): void {
    $near = ($this->site)('Ropewalk Cross', 49.215);
    ($this->site)('Over the sea', 49.9);
    ($this->driven)(($this->lesson)('2026-05-18T10:00:00Z', 'done'), ['move-off', 'turn-left', 'emerge-left', 'turn-right', 'emerge-right'], 'prompted');
    $answer = ($this->proposal)()->assertOk()->json();
    expect($answer['is_placed'])->toBeTrue()->and($answer['ways'])->not->toBe([])->and(array_unique(array_column($answer['ways'], 'site')))->toBe([$near])
        ->and($answer['aims'][0]['reason'])->toBe('gain')
        ->and(array_column($answer['ways'], 'routine'))->toContain($answer['aims'][0]['routine'])
        ->and(array_column($answer['left_out'], 'reason'))->toContain('out-of-reach')
        ->and(array_sum(array_column($answer['ways'], 'minutes')) * 60 + $answer['talked_s'] + $answer['spare_s'])->toBeLessThanOrEqual(60 * 62);
    // What is proposed can be taken: each of its ways is one of the site.
    $way = $answer['ways'][0];
    $this->postJson("api/sites/{$way['site']}/ways", ['from' => $way['from'], 'to' => $way['to'], 'routine' => $way['routine']])->assertSuccessful()
        ->assertJsonPath('routine', $way['routine']);
    expect(Site::query()->count())->toBe(2);
});

it('plans again with what is pinned and without what is not wanted, and refuses what it does not know', function (): void {
    $site = ($this->site)('Ropewalk Cross', 49.215);
    ($this->driven)(($this->lesson)('2026-05-18T10:00:00Z', 'done'), ['move-off', 'turn-left', 'emerge-left', 'turn-right', 'emerge-right'], 'prompted');
    $answer = ($this->proposal)(['pinned' => "{$site}~s~e~emerge-right", 'excluded' => 'turn-left'])->assertOk()->json();
    expect(array_column($answer['ways'], 'routine'))->toContain('emerge-right')->not->toContain('turn-left')
        ->and(array_column($answer['left_out'], 'reason', 'routine')['turn-left'])->toBe('excluded');
    expect(($this->proposal)(['pinned' => 'roundabout'])->json('aims.0'))->toMatchArray(['routine' => 'roundabout', 'reason' => 'pinned']);
    ($this->proposal)(['pinned' => 'nowhere'])->assertUnprocessable()->assertJsonValidationErrors('pinned');
    ($this->proposal)(['excluded' => "{$site}~s~e~overtake"])->assertUnprocessable()->assertJsonValidationErrors('excluded');
    // A way of another school is as good as none.
    $this->flushSession();
    $theirs = $this->school('Theirs');
    $this->actingAs($this->user($theirs, 'owner'));
    $foreign = ($this->site)('Elsewhere', 49.215);
    $this->flushSession();
    $this->actingAs($this->owner);
    ($this->proposal)(['pinned' => "{$foreign}~s~e~emerge-right"])->assertUnprocessable();
});

it('takes up what was agreed for it by name, until that is kept, and nothing agreed after it or for others', function (): void {
    $before = ($this->lesson)('2026-05-13T10:00:00Z', 'done');
    // Everything alike: without a word nothing speaks for the lane change.
    ($this->driven)($before, ['turn-left', 'turn-right', 'emerge-left', 'emerge-right', 'lane-change-left', 'roundabout'], 'prompted');
    $aims = fn (): array => array_column(($this->proposal)()->assertOk()->json('aims'), 'reason', 'routine');
    $agree = fn (Lesson $lesson, array $more): string => $this->postJson("api/lessons/{$lesson->id}/promises", $more + ['kind' => 'promise', 'text' => 'x'])
        ->assertCreated()->json('id');
    expect($aims())->not->toContain('agreed');
    $promise = $agree($before, ['routine' => 'lane-change-left', 'step' => 'mirrors']);
    expect($aims())->toMatchArray(['lane-change-left' => 'agreed']);
    $aim = collect(($this->proposal)()->json('aims'))->firstWhere('routine', 'lane-change-left');
    expect($aim['step'])->toBe('mirrors')->and($aim['message'])->toContain('as agreed');
    $this->patchJson("api/promises/{$promise}", ['kept' => true])->assertOk();
    expect($aims())->not->toContain('agreed');
    // Taken up in a lesson between, whether anybody ticked it off or not; in the lesson itself it is taken up now.
    $promise = $agree($before, ['routine' => 'lane-change-left']);
    expect($aims())->toMatchArray(['lane-change-left' => 'agreed']);
    ($this->driven)(($this->lesson)('2026-05-27T11:00:00Z'), ['lane-change-left'], 'prompted');
    expect($aims())->toMatchArray(['lane-change-left' => 'agreed']);
    ($this->driven)(($this->lesson)('2026-05-15T10:00:00Z', 'done'), ['lane-change-left'], 'prompted');
    expect($aims())->not->toContain('agreed');
    // Homework is done at home, a later lesson comes later, and words alone name nothing.
    $agree($before, ['kind' => 'homework', 'routine' => 'turn-left']);
    $agree(($this->lesson)('2026-05-27T10:00:00Z'), ['routine' => 'turn-left']);
    $agree($before, []);
    $this->postJson("api/lessons/{$before->id}/promises", ['kind' => 'promise', 'text' => 'x', 'step' => 'look'])->assertUnprocessable()
        ->assertJsonValidationErrorFor('routine');
    // Not taught under these rules: nothing to propose, and nothing that breaks.
    $agree($before, ['routine' => 'all-way-stop']);
    expect($aims())->not->toContain('agreed');
});

it('has an aim for a beginner, and for whoever begins nobody knows where', function (): void {
    ($this->site)('Ropewalk Cross', 49.215);
    expect(($this->proposal)()->assertOk()->json())->toMatchArray(['ways' => [], 'is_placed' => true])
        ->and(($this->proposal)()->json('aims.0.routine'))->toBe('move-off');
    $this->learner->update(['pick_up_latitude_deg' => null, 'pick_up_longitude_deg' => null]);
    $this->school->update(['latitude_deg' => null, 'longitude_deg' => null]);
    $answer = ($this->proposal)()->assertOk()->json();
    expect($answer)->toMatchArray(['is_placed' => false, 'ways' => [], 'left_out' => [], 'farther' => 0])->and($answer['aims'])->not->toBe([]);
});

it('knows the test that comes, and reads no marks of the lesson itself nor of later ones', function (): void {
    ($this->driven)(($this->lesson)('2026-05-18T10:00:00Z', 'done'), ['move-off', 'turn-left'], 'prompted');
    $before = ($this->proposal)()->json('aims');
    $test = $this->postJson('api/busy-times', [
        'kind' => 'test', 'learner_id' => $this->learner->id, 'vehicle_id' => $this->next->vehicle_id, 'starts_at' => '2026-05-21T09:00:00Z',
        'ends_at' => '2026-05-21T10:00:00Z',
    ])->assertCreated()->json('id');
    expect(($this->proposal)()->json('aims.0'))->toMatchArray(['reason' => 'test-soon'])
        ->and(($this->proposal)()->json('aims.0.message'))->toContain('tomorrow');
    $this->deleteJson("api/busy-times/{$test}")->assertNoContent();
    $this->travelTo('2026-05-20T10:30:00Z');
    $sent = [
        'rounds' => [[
            'id' => $round = (string) Str::uuid7(), 'lesson_id' => $this->next->id, 'place_id' => null, 'routine' => 'roundabout',
            'device_at' => '2026-05-20T10:20:00Z',
        ]],
        'marks' => [[
            'id' => (string) Str::uuid7(), 'round_id' => $round, 'kind' => 'step', 'step' => 'look', 'outcome' => 'missed',
            'device_at' => '2026-05-20T10:20:30Z',
        ]],
    ];
    $this->postJson('api/sync', $sent)->assertOk();
    expect(($this->proposal)()->json('aims'))->toBe($before);
});
