<?php

use App\Models\School;
use Illuminate\Support\Facades\DB;
use Tests\Routes;

/*
 * A walk over every route of the API with every id it takes, in its address and in its body: another school's, a colleague's, and
 * nobody's. A route that is not named here fails the walk.
 */
beforeEach(function (): void {
    $this->theirs = $this->world('Theirs');
    $this->ours = $this->world('Ours');
    $this->rows = fn (): array => collect(DB::select('SHOW TABLES'))->map(fn ($row) => current((array) $row))->reject(
        fn ($table) => in_array($table, ['sessions', 'cache', 'migrations', 'skill_answers', 'told_lessons', 'school_versions'], true),
    )
        ->mapWithKeys(fn ($table) => [$table => DB::table($table)->orderByRaw('1')->get()->toArray()])->all();
});

it('names every route', function (): void {
    expect(array_keys(Routes::withBodies($this->ours['ids'])))->toEqualCanonicalizing(Routes::guarded())->and(count(Routes::guarded()))->toBeGreaterThan(50);
});

it('answers every route to whom it belongs', function (): void {
    foreach (Routes::withBodies($this->ours['ids']) as $route => $body) {
        DB::beginTransaction();
        [$method, $uri] = Routes::addressed($route, $this->ours['ids']);
        expect($this->actingAs($this->ours['owner'])->json($method, $uri, $body)->status())->toBeLessThan(300, $route);
        DB::rollBack();
    }
});

it('gives and takes nothing of another school, whichever id is theirs', function (): void {
    $tried = 0;
    foreach (Routes::withBodies($this->ours['ids']) as $route => $body) {
        preg_match_all('/\{(\w+)\}/', $route, $inPath);
        $attempts = [];
        foreach (array_intersect($inPath[1], array_keys($this->theirs['ids'])) as $name) {
            $attempts["{$route} with their {$name}"] = [Routes::addressed($route, [$name => $this->theirs['ids'][$name]] + $this->ours['ids']), $body];
        }
        $said = json_encode($body);
        foreach ($this->ours['ids'] as $name => $id) {
            if (str_contains($said, $id)) {
                $attempts["{$route} with their {$name} in the body"] = [
                    Routes::addressed($route, $this->ours['ids']), json_decode(str_replace($id, $this->theirs['ids'][$name], $said), true),
                ];
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
    $common = '#^(PUT|DELETE|POST) (learners|vehicles|places|sites|pictures|accompanied|assessments|centres|legs|circuits(/plans|/gpx)?$)'
        .'|^(POST|PUT|DELETE|PATCH) '
        .'(lessons|busy-times(/import)?|late|working-hours|compute/\{tool\}|calendar|school/records|password|sessions?|sessions/\{session\}|rules/mine)$#';
    $refused = 0;
    foreach (Routes::withBodies($this->ours['ids']) as $route => $body) {
        [$method, $uri] = Routes::addressed($route, $this->ours['ids']);
        if (
            $method === 'GET'
            || preg_match($common, $route) === 1
            && ! in_array($route, ['POST places/{place}/drawings', 'PUT learners/{learner}/keep', 'POST learners/{learner}/erasure'], true)
        ) {
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
    foreach (Routes::withBodies($this->ours['ids']) as $route => $body) {
        [$method, $uri] = Routes::addressed($route, $this->ours['ids']);
        expect($this->json($method, $uri, $body)->status())->toBe(401, $route);
    }
});
