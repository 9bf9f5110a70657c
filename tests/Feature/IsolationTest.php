<?php

use App\Models\Drawing;
use App\Models\Overruling;
use App\Models\PlannedItem;
use App\Models\Promise;
use App\Models\School;
use App\School\CurrentSchool;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Str;

/*
 * A walk over every route of the API with every id it takes, in its address and in its body: another school's, a colleague's, and
 * nobody's. A route that is not named here fails the walk.
 */
beforeEach(function (): void {
    $world = function (string $name): array {
        $owner = $this->user($this->school($name), 'owner');
        $at = $this->lesson($owner);
        $school = School::query()->findOrFail($owner->school_id);
        app(CurrentSchool::class)->within($school, function () use (&$at, $owner): void {
            $lesson = $at['lesson'];
            $at['item'] = PlannedItem::query()->create(['lesson_id' => $lesson->id, 'place_id' => $at['place']->id, 'routine' => 'emerge-right', 'ordinal' => 1, 'minutes' => 10]);
            $at['promise'] = Promise::query()->create(['lesson_id' => $lesson->id, 'learner_id' => $lesson->learner_id, 'kind' => 'homework', 'text' => 'x']);
            $at['overruling'] = Overruling::query()->create(['learner_id' => $lesson->learner_id, 'user_id' => $owner->id, 'routine' => 'emerge-right', 'step' => 'look', 'level' => 'mostly', 'reason' => 'x']);
            $at['drawing'] = Drawing::query()->create(['place_id' => $at['place']->id, 'lesson_id' => $lesson->id, 'title' => 'x', 'tool' => 'gap', 'state' => '']);
        });
        $ids = array_map(fn ($row): string => $row->id, $at);
        $this->actingAs($owner);
        $ids['round'] = (string) Str::uuid7();
        $ids['mark'] = (string) Str::uuid7();
        $this->postJson('api/sync', sync($ids, $ids['round'], $ids['mark']))->assertOk();

        return ['owner' => $owner, 'ids' => $ids];
    };
    $this->theirs = $world('Theirs');
    $this->ours = $world('Ours');
    $this->rows = fn (): array => collect(DB::select('SHOW TABLES'))->map(fn ($row) => current((array) $row))->reject(fn ($table) => in_array($table, ['sessions', 'cache', 'migrations', 'skill_answers'], true))
        ->mapWithKeys(fn ($table) => [$table => DB::table($table)->orderByRaw('1')->get()->toArray()])->all();
});

/** @param  array<string, string>  $ids */
function sync(array $ids, string $round, ?string $mark = null, ?string $corrects = null): array
{
    $rounds = $round === $ids['round'] && $corrects === null ? [['id' => $round, 'lesson_id' => $ids['lesson'], 'place_id' => $ids['place'], 'routine' => 'emerge-right', 'device_at' => '2026-05-20T10:00:00Z']] : [];

    return ['rounds' => $rounds, 'marks' => $mark === null ? [] : [['id' => $mark, 'round_id' => $round, 'kind' => 'step', 'step' => 'look', 'outcome' => 'missed', 'corrects_id' => $corrects, 'device_at' => '2026-05-20T10:00:01Z']]];
}

/**
 * Every route with the body it takes, by method and address.
 *
 * @param  array<string, string>  $ids
 */
function walked(array $ids): array
{
    $learner = ['name' => 'x', 'transmission' => 'manual', 'level' => 'beginner'];
    $car = ['name' => 'x', 'transmission' => 'manual', 'controls' => 'standard', 'length_m' => 4, 'width_m' => 1.8];
    $place = ['name' => 'x', 'routine' => 'emerge-left', 'approach' => ['limit_mph' => 30]];
    $doctrine = ['pack' => 'gb', 'practice' => new stdClass];
    $newRound = (string) Str::uuid7();

    return [
        'GET today' => [], 'GET routines' => [], 'GET doctrines' => [], 'GET ping' => [], 'PUT doctrines/school' => $doctrine, 'PUT doctrines/mine' => $doctrine, 'PUT learners/{learner}/doctrine' => $doctrine,
        'POST compute/{tool}' => ['speed_mph' => 30],
        'POST sync' => ['rounds' => [['id' => $newRound, 'lesson_id' => $ids['lesson'], 'place_id' => $ids['place'], 'routine' => 'emerge-right', 'device_at' => '2026-05-20T10:00:00Z']], 'marks' => [['id' => (string) Str::uuid7(), 'round_id' => $ids['round'], 'kind' => 'step', 'step' => 'look', 'outcome' => 'missed', 'corrects_id' => $ids['mark'], 'device_at' => '2026-05-20T10:00:01Z']]],
        'POST lessons' => ['learner_id' => $ids['learner'], 'vehicle_id' => $ids['vehicle'], 'starts_at' => '2026-05-20T10:00:00Z', 'minutes' => 60],
        'GET lessons/{lesson}' => [], 'PATCH lessons/{lesson}' => ['aim' => 'x'], 'GET lessons/{lesson}/changed' => [],
        'POST lessons/{lesson}/items' => ['place_id' => $ids['place']], 'PUT lessons/{lesson}/order' => ['items' => [$ids['item']]], 'PATCH items/{item}' => ['minutes' => 12], 'DELETE items/{item}' => [], 'POST items/{item}/restore' => [],
        'POST lessons/{lesson}/promises' => ['kind' => 'promise', 'text' => 'x'], 'PATCH promises/{promise}' => ['kept' => true], 'DELETE promises/{promise}' => [], 'POST promises/{promise}/restore' => [],
        'GET school/learners' => [], 'GET school/teaching' => [], 'POST school/records' => [],
        'GET learners' => [], 'POST learners' => $learner + ['reference_points' => [['what' => 'x', 'where' => 'y', 'vehicle_id' => $ids['vehicle']]]], 'GET learners/{learner}' => [], 'GET learners/{learner}/needs' => [], 'GET learners/{learner}/skill' => [], 'GET learners/{learner}/marks' => [],
        'GET learners/{learner}/skill/{routine}/{step}' => [], 'POST learners/{learner}/overrulings' => ['routine' => 'emerge-right', 'step' => 'look', 'level' => 'mostly', 'reason' => 'x'], 'PATCH overrulings/{overruling}' => ['withdrawn' => true],
        'PUT learners/{learner}' => $learner, 'DELETE learners/{learner}' => [], 'POST learners/{learner}/restore' => [],
        'GET vehicle-kinds' => [], 'GET vehicles' => [], 'POST vehicles' => $car, 'PUT vehicles/{vehicle}' => $car, 'DELETE vehicles/{vehicle}' => [], 'POST vehicles/{vehicle}/restore' => [],
        'GET places' => [], 'POST places' => $place, 'GET places/{place}/lessons' => [], 'POST places/{place}/drawings' => ['title' => 'x', 'tool' => 'gap', 'state' => '', 'lesson_id' => $ids['lesson']], 'DELETE drawings/{drawing}' => [], 'POST drawings/{drawing}/restore' => [],
        'PUT places/{place}' => $place, 'DELETE places/{place}' => [], 'POST places/{place}/restore' => [],
        // The own session and password take no id; tried last, for they end it.
        'PUT password' => ['current_password' => 'long-enough-1', 'password' => 'another-long-1'], 'DELETE session' => [], 'DELETE sessions' => [],
    ];
}

/** @return list<string> every route of the API that asks for a sign-in, as "METHOD address" */
function guarded(): array
{
    $found = [];
    foreach (Route::getRoutes() as $route) {
        if (in_array('auth', $route->gatherMiddleware(), true)) {
            foreach (array_diff($route->methods(), ['HEAD']) as $method) {
                $found[] = $method.' '.substr($route->uri(), strlen('api/'));
            }
        }
    }

    return $found;
}

/** The address with its ids in place. */
function addressed(string $route, array $ids): array
{
    [$method, $uri] = explode(' ', $route);
    $known = $ids + ['tool' => 'stopping', 'routine' => 'emerge-right', 'step' => 'look'];

    return [$method, 'api/'.preg_replace_callback('/\{(\w+)\}/', fn (array $name): string => $known[$name[1]], $uri)];
}

it('names every route', function (): void {
    expect(array_keys(walked($this->ours['ids'])))->toEqualCanonicalizing(guarded())->and(count(guarded()))->toBeGreaterThan(50);
});

it('answers every route to whom it belongs', function (): void {
    foreach (walked($this->ours['ids']) as $route => $body) {
        DB::beginTransaction();
        [$method, $uri] = addressed($route, $this->ours['ids']);
        expect($this->actingAs($this->ours['owner'])->json($method, $uri, $body)->status())->toBeLessThan(300, $route);
        DB::rollBack();
    }
});

it('gives and takes nothing of another school, whichever id is theirs', function (): void {
    $tried = 0;
    foreach (walked($this->ours['ids']) as $route => $body) {
        preg_match_all('/\{(\w+)\}/', $route, $inPath);
        $attempts = [];
        foreach (array_intersect($inPath[1], array_keys($this->theirs['ids'])) as $name) {
            $attempts["{$route} with their {$name}"] = [addressed($route, [$name => $this->theirs['ids'][$name]] + $this->ours['ids']), $body];
        }
        $said = json_encode($body);
        foreach ($this->ours['ids'] as $name => $id) {
            if (str_contains($said, $id)) {
                $attempts["{$route} with their {$name} in the body"] = [addressed($route, $this->ours['ids']), json_decode(str_replace($id, $this->theirs['ids'][$name], $said), true)];
            }
        }
        foreach ($attempts as $what => [[$method, $uri], $sent]) {
            DB::beginTransaction();
            $before = ($this->rows)();
            $answer = $this->actingAs($this->ours['owner'])->json($method, $uri, $sent);
            expect($answer->status())->toBeIn([403, 404, 422], $what)->and($answer->getContent())->not->toContain('Theirs')
                ->and(($this->rows)())->toEqual($before);
            DB::rollBack();
            $tried++;
        }
    }
    expect($tried)->toBeGreaterThan(40);
});

it('lets a colleague read a lesson and write nothing in it', function (): void {
    $colleague = $this->user(School::query()->findOrFail($this->ours['owner']->school_id));
    // What a school has in common: its learners, cars and places; a colleague's own lessons may take them.
    $common = '#^(PUT|DELETE|POST) (learners|vehicles|places)|^(POST|PUT|DELETE|PATCH) (lessons|compute/\{tool\}|school/records|password|sessions?|doctrines/mine)$#';
    $refused = 0;
    foreach (walked($this->ours['ids']) as $route => $body) {
        [$method, $uri] = addressed($route, $this->ours['ids']);
        if ($method === 'GET' || preg_match($common, $route) === 1 && $route !== 'POST places/{place}/drawings') {
            continue;
        }
        DB::beginTransaction();
        $before = ($this->rows)();
        expect($this->actingAs($colleague)->json($method, $uri, $body)->status())->toBe(403, $route)->and(($this->rows)())->toEqual($before);
        DB::rollBack();
        $refused++;
    }
    expect($refused)->toBeGreaterThan(12);
    $this->actingAs($colleague)->getJson("api/lessons/{$this->ours['ids']['lesson']}")->assertOk();
});

it('gives nobody anything', function (): void {
    auth()->logout();
    foreach (walked($this->ours['ids']) as $route => $body) {
        [$method, $uri] = addressed($route, $this->ours['ids']);
        expect($this->json($method, $uri, $body)->status())->toBe(401, $route);
    }
});
