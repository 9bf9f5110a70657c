<?php

use App\Installation\Restore;
use App\Models\Place;
use App\Models\School;
use App\Models\User;
use App\School\ChosenRules;
use App\School\CurrentSchool;
use Illuminate\Support\Facades\DB;
use NobleTurn\Core\Road\Road;
use NobleTurn\Core\Trade\RoutineCode;

/*
 * The demo as it was before roads had kinds, items copied no routine and rounds kept no plan: a back-up made by the code of that day
 * (version 12 of the tables; everything in it is invented), opened by this one.
 */

beforeEach(function (): void {
    $this->file = base_path('tests/data/demo-of-version-12.jsonl.gz');
    $this->was = [];
    foreach (explode("\n", trim((string) gzdecode((string) file_get_contents($this->file)))) as $line) {
        $said = json_decode($line, true, 512, JSON_THROW_ON_ERROR);
        if (isset($said['row']['id'])) {
            $this->was[$said['table']][$said['row']['id']] = $said['row'];
        }
    }
    Restore::from($this->file);
});

it('keeps every fact of every place, now of a kind and in a version', function (): void {
    expect(DB::table('places')->count())->toBe(count($this->was['places']))->and(count($this->was['places']))->toBeGreaterThan(35);
    $kinds = [];
    foreach (School::query()->get() as $school) {
        app(CurrentSchool::class)->within($school, function () use (&$kinds, $school): void {
            foreach (Place::query()->get() as $place) {
                $was = $this->was['places'][$place->id];
                $kinds[$place->road['kind']] = true;
                expect($place->facts())->toEqual(json_decode($was['approach'], true))->and($place->road['version'])->toBe(Road::VERSION);
                // What was kept can be constructed under the rules it was kept under.
                $packs = [
                    ChosenRules::of($school)->pack(),
                    ...array_map(static fn (User $user) => ChosenRules::of($school, $user)->pack(), User::query()->where('school_id',
                        $school->id)->get()->all()),
                ];
                $kept = array_filter(
                    $packs,
                    static fn ($pack): bool => in_array(RoutineCode::from($place->routine), NobleTurn\Core\Routine\Catalogue\Catalogue::codes($pack), true),
                );
                expect(Road::of(RoutineCode::from($place->routine), $place->road, array_values($kept)[0])->toArray())->toEqual($place->road);
            }
        });
    }
    expect(array_keys($kinds))->toEqualCanonicalizing(['junction', 'roundabout', 'slip', 'stretch', 'kerb']);
});

it('opens every lesson that was kept, with a plan for each place on it', function (): void {
    expect(DB::table('planned_items')->count())->toBe(count($this->was['planned_items']))->and(DB::table('rounds')->count())->toBe(count($this->was['rounds']))
        ->and(DB::table('rounds')->whereNotNull('plan')->exists())->toBeFalse();
    $opened = 0;
    foreach (User::query()->where('email', 'like', '%@harbourschool.test')->get() as $user) {
        $this->actingAs($user);
        $ids = DB::table('lessons')->where('instructor_id', $user->id)->orderBy('starts_at')->pluck('id')->all();
        foreach (array_filter($ids, static fn (int $i): bool => $i % 12 === 0 || $i > count($ids) - 4, ARRAY_FILTER_USE_KEY) as $id) {
            $lesson = $this->getJson("api/lessons/{$id}")->assertOk()->json();
            foreach ($lesson['items'] as $item) {
                expect($item['routine'])->toBe($this->was['planned_items'][$item['id']]['routine']);
                $this->postJson("api/compute/{$item['plan']['tool']}", $item['plan']['inputs'])->assertOk();
            }
            $opened++;
        }
    }
    expect($opened)->toBeGreaterThan(10);
});

it('keeps pages of the bench as links where it is not known what their tools were asked', function (): void {
    $drawings = DB::table('drawings')->get();
    expect($drawings)->toHaveCount(count($this->was['drawings']));
    foreach ($drawings as $drawing) {
        $was = $this->was['drawings'][$drawing->id];
        $page = ['roundabout' => 'lanes', 'gears' => 'engine', 'reversing' => 'reverse', 'long-vehicle' => 'swept-path'][$was['tool']] ?? $was['tool'];
        expect([$drawing->page, $drawing->state, $drawing->title, $drawing->asked])->toBe([$page, $was['state'], $was['title'], null]);
    }
    $this->actingAs(User::query()->where('email', 'instructor@harbourschool.test')->firstOrFail());
    $shown = array_merge(...array_column($this->getJson('api/places')->assertOk()->json(), 'drawings'));
    expect(count($shown))->toBeGreaterThan(2)->and(array_unique(array_column($shown, 'asked')))->toBe([null]);
});

it('draws its places as sites, each by the law it was taught under, and changes nothing of what was driven there', function (): void {
    $drawn = DB::table('places')->whereNotNull('site_id')->get();
    expect($drawn->count())->toBeGreaterThan(30)->and(DB::table('sites')->count())->toBe($drawn->count());
    foreach ($drawn as $place) {
        $site = DB::table('sites')->where('id', $place->site_id)->first();
        $ways = NobleTurn\Core\Compute\Toolbox::run('site', ['pack' => $site->pack, 'kind' => $site->kind, 'arms' => json_decode($site->arms, true)])['ways'];
        $way = array_values(array_filter($ways, static fn (array $one): bool => [$one['from'], $one['to'], $one['routine']]
            === [$place->from_arm, $place->to_arm, $place->routine]));
        expect($way)->toHaveCount(1)->and($place->name)->toBe($this->was['places'][$place->id]['name']);
        $packs = DB::table('lessons')->join('learners', 'learners.id', '=', 'learner_id')->join('users', 'users.id', '=', 'instructor_id')
            ->join('schools', 'schools.id', '=', 'lessons.school_id')
            ->whereIn('lessons.id', DB::table('rounds')->where('place_id', $place->id)->select('lesson_id'))
            ->distinct()->selectRaw('COALESCE(learners.pack, users.pack, schools.pack) AS pack')->pluck('pack')->all();
        expect($packs === [] || $packs === [$site->pack])->toBeTrue();
    }
    expect(DB::table('rounds')->whereNotNull('place_id')->pluck('place_id', 'id')->all())
        ->toEqual(array_filter(array_column($this->was['rounds'], 'place_id', 'id')));
    // What is taught under no law that is known, or under several, is described by itself as before.
    $this->actingAs(User::query()->where('email', 'instructor@harbourschool.test')->firstOrFail());
    foreach ($this->getJson('api/sites')->assertOk()->json() as $site) {
        $this->getJson("api/sites/{$site['id']}")->assertOk();
        $this->getJson("api/sites/{$site['id']}/past")->assertOk();
    }
});

it('can go back to the tables of before', function (): void {
    Illuminate\Support\Facades\Artisan::call('migrate:rollback', ['--step' => 29, '--force' => true]);
    foreach (DB::table('places')->get() as $place) {
        expect(json_decode($place->approach, true))->toEqual(json_decode($this->was['places'][$place->id]['approach'], true));
    }
    foreach (DB::table('planned_items')->get() as $item) {
        expect($item->routine)->toBe($this->was['planned_items'][$item->id]['routine']);
    }
});
