<?php

use App\Models\Lesson;
use App\Models\Mark;
use App\Models\Overruling;
use App\Models\PlannedItem;
use App\Models\Promise;
use App\Models\Remedy;
use App\Models\Round;
use App\School\CurrentSchool;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Str;

beforeEach(function (): void {
    $this->ours = $this->user($this->school('Ours'), 'owner');
    $this->theirs = $this->user($this->school('Theirs'), 'owner');
    $this->their = $this->lesson($this->theirs);
    $this->our = $this->lesson($this->ours);
    app(CurrentSchool::class)->within(App\Models\School::findOrFail($this->theirs->school_id), function (): void {
        $lesson = $this->their['lesson'];
        $this->their['item'] = PlannedItem::query()->create([
            'lesson_id' => $lesson->id, 'place_id' => $this->their['place']->id, 'ordinal' => 1, 'minutes' => 10,
        ]);
        $this->their['overruling'] = Overruling::query()->create([
            'learner_id' => $lesson->learner_id, 'user_id' => $this->theirs->id, 'routine' => 'emerge-right', 'step' => 'look', 'level' => 'mostly',
            'reason' => 'Theirs alone',
        ]);
        $this->their['remedy'] = Remedy::query()->create([
            'learner_id' => $lesson->learner_id, 'lesson_id' => $lesson->id, 'routine' => 'emerge-right', 'step' => 'look', 'what' => 'remedy',
            'user_id' => $this->theirs->id,
        ]);
        $this->their['promise'] = Promise::query()->create([
            'lesson_id' => $lesson->id, 'learner_id' => $lesson->learner_id, 'kind' => 'homework', 'text' => 'Theirs alone',
        ]);
    });
    $this->actingAs($this->ours);
});

it('finds nothing of another school at any address that takes an id', function (): void {
    $ids = [
        'lesson' => $this->their['lesson']->id, 'learner' => $this->their['learner']->id, 'place' => $this->their['place']->id,
        'item' => $this->their['item']->id, 'promise' => $this->their['promise']->id, 'vehicle' => $this->their['vehicle']->id,
        'overruling' => $this->their['overruling']->id, 'remedy' => $this->their['remedy']->id,
    ];
    $tried = 0;
    foreach (Route::getRoutes() as $route) {
        foreach ($route->parameterNames() as $name) {
            if (! isset($ids[$name]) || ! str_starts_with($route->uri(), 'api/')) {
                continue;
            }
            foreach (array_diff($route->methods(), ['HEAD']) as $method) {
                $known = $ids + ['routine' => 'emerge-right', 'step' => 'look'];
                $uri = str_replace(array_map(fn ($key) => '{'.$key.'}', array_keys($known)), $known, $route->uri());
                expect($uri)->not->toContain('{');
                $this->json(
                    $method, $uri,
                    [
                        'place_id' => $this->their['place']->id, 'items' => [$ids['item']], 'kind' => 'promise', 'text' => 'x', 'kept' => true,
                        'minutes' => 10, 'name' => 'x', 'transmission' => 'manual', 'level' => 'beginner', 'controls' => 'standard',
                        'routine' => 'emerge-left', 'approach' => [], 'step' => 'look', 'level' => 'mostly', 'reason' => 'x', 'withdrawn' => true,
                    ],
                )
                    ->assertNotFound();
                $tried++;
            }
        }
    }
    expect($tried)->toBeGreaterThan(22);
});

it('lists only its own', function (): void {
    foreach (['learners' => 'learner', 'places' => 'place', 'vehicles' => 'vehicle'] as $list => $what) {
        $ids = array_column($this->getJson("api/{$list}")->assertOk()->json(), 'id');
        expect($ids)->toBe([$this->our[$what]->id]);
    }
    expect($this->getJson('api/today')->json('next.id'))->toBe($this->our['lesson']->id);
});

it('takes nothing of another school into a new row', function (): void {
    $this->postJson(
        'api/lessons',
        ['learner_id' => $this->their['learner']->id, 'vehicle_id' => $this->our['vehicle']->id, 'starts_at' => now()->toIso8601String(), 'minutes' => 60],
    )->assertNotFound();
    $this->postJson(
        'api/lessons',
        ['learner_id' => $this->our['learner']->id, 'vehicle_id' => $this->their['vehicle']->id, 'starts_at' => now()->toIso8601String(), 'minutes' => 60],
    )->assertNotFound();
    $this->postJson("api/lessons/{$this->our['lesson']->id}/items", ['place_id' => $this->their['place']->id])->assertNotFound();
    $round = fn (array $what): array => [
        'rounds' => [
            [
                'id' => (string) Str::uuid7(), 'lesson_id' => $this->our['lesson']->id, 'place_id' => $this->our['place']->id,
                'routine' => 'emerge-right', 'device_at' => now()->toIso8601String(), ...$what,
            ],
        ],
        'marks' => [],
    ];
    $this->postJson('api/sync', $round(['lesson_id' => $this->their['lesson']->id]))->assertUnprocessable();
    $this->postJson('api/sync', $round(['place_id' => $this->their['place']->id]))->assertUnprocessable();
    expect(DB::table('rounds')->count())->toBe(0);
});

it('is refused by the database itself, whatever the code does', function (): void {
    expect(
        fn () => DB::table('promises')->insert([
            'id' => (string) Str::uuid7(), 'school_id' => $this->ours->school_id, 'lesson_id' => $this->their['lesson']->id,
            'learner_id' => $this->our['learner']->id, 'kind' => 'promise', 'text' => 'x',
        ]),
    )
        ->toThrow(QueryException::class, 'foreign key');
});

it('reads and writes nothing of a school while nobody is signed in', function (): void {
    auth()->logout();
    foreach ([Lesson::class, Round::class, Mark::class] as $model) {
        expect(fn () => $model::query()->count())->toThrow(AuthenticationException::class);
    }
    foreach (['today', 'learners', 'places', 'vehicles', 'routines', 'school/learners', 'school/teaching'] as $path) {
        $this->getJson("api/{$path}")->assertUnauthorized();
    }
    $this->postJson('api/compute/stopping', ['speed_mph' => 30])->assertUnauthorized();
});

it('lets colleagues read a lesson and only its instructor or the owner write in it', function (): void {
    $colleague = $this->user(App\Models\School::find($this->ours->school_id));
    $this->actingAs($colleague);
    $uri = "api/lessons/{$this->our['lesson']->id}";
    $this->getJson($uri)->assertOk();
    $this->patchJson($uri, ['aim' => 'mine now'])->assertForbidden();
    $this->actingAs($this->ours)->patchJson($uri, ['aim' => 'ours'])->assertOk()->assertJsonPath('aim', 'ours');
});
