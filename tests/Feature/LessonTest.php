<?php

use App\Models\Learner;
use App\Models\Place;
use NobleTurn\Core\Compute\Toolbox;
use NobleTurn\Core\Road\Road;
use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Trade\RoutineCode;

beforeEach(function (): void {
    $this->instructor = $this->user($this->school());
    $this->at = $this->lesson($this->instructor);
    $this->actingAs($this->instructor);
    $this->plan = fn (): array => $this->postJson(
        "api/lessons/{$this->at['lesson']->id}/items", ['place_id' => $this->at['place']->id],
    )->assertCreated()->json();
});

it('plans a lesson: places added, ordered, taken off and put back', function (): void {
    $lesson = $this->at['lesson']->id;
    [$first, $second] = [($this->plan)()['id'], ($this->plan)()['id']];
    $this->putJson("api/lessons/{$lesson}/order", ['items' => [$second, $first]])->assertNoContent();
    expect(array_column($this->getJson("api/lessons/{$lesson}")->json('items'), 'id'))->toBe([$second, $first]);
    $this->deleteJson("api/items/{$second}")->assertNoContent();
    expect($this->getJson("api/lessons/{$lesson}")->json('items'))->toHaveCount(1);
    $this->postJson("api/items/{$second}/restore")->assertOk();
    expect(array_column($this->getJson("api/lessons/{$lesson}")->json('items'), 'id'))->toBe([$second, $first]);
});

it('keeps only places the core can plan, and says why not in its words', function (): void {
    $place = [
        'name' => 'A into B', 'routine' => 'emerge-left',
        'road' => ['limit_mph' => 30, 'openings' => [['side' => 'left', 'from_m' => 60, 'to_m' => 55.5]]],
    ];
    $this->postJson('api/places', $place)->assertCreated()->assertJsonPath('road.openings.0.to_m', 55.5);
    $this->postJson('api/places', ['road' => ['limit_mph' => -3]] + $place)->assertUnprocessable()->assertJsonValidationErrors('road.limit_mph');
    $this->postJson('api/places', ['road' => ['speed_mph' => 30]] + $place)->assertUnprocessable()->assertJsonValidationErrors('road.speed_mph');
    expect(Place::query()->count())->toBe(2);
});

it('keeps of a car what the core understands, names what it does not, and plans with it', function (): void {
    $car = ['name' => 'The red one', 'transmission' => 'manual', 'controls' => 'standard', 'length_m' => 4.2, 'width_m' => 1.8];
    $id = $this->postJson(
        'api/vehicles', $car + ['figures' => ['tyre' => '185/60R15', 'mass_kg' => 1200]],
    )->assertCreated()->assertJsonPath('figures.mass_kg', 1200)->json('id');
    $this->putJson(
        "api/vehicles/{$id}", $car + ['figures' => ['ratios' => [1.3, 1.95]]],
    )->assertUnprocessable()->assertJsonValidationErrors('figures.ratios.1');
    $this->putJson("api/vehicles/{$id}", $car + ['figures' => ['mass_kg' => 0]])->assertUnprocessable()->assertJsonValidationErrors('figures.mass_kg');
    $this->putJson("api/vehicles/{$id}", $car + ['figures' => ['horns' => 2]])->assertUnprocessable()->assertJsonValidationErrors('figures');
    $this->putJson(
        "api/vehicles/{$id}", $car + ['figures' => ['wheelbase_m' => 2.4]],
    )->assertOk()->assertJsonPath('figures.wheelbase_m', 2.4)->assertJsonMissingPath('figures.tyre');
    $this->at['lesson']->update(['vehicle_id' => $id]);
    // What is put on the plan comes back as the lesson shows it.
    expect(($this->plan)())->toBe($this->getJson("api/lessons/{$this->at['lesson']->id}")->json('items.0'));
    $plan = $this->getJson("api/lessons/{$this->at['lesson']->id}")->json('items.0.plan');
    expect($plan['inputs']['vehicle']['wheelbase_m'])->toBe(2.4);
    $this->postJson("api/compute/{$plan['tool']}", $plan['inputs'])->assertOk()->assertJsonPath('version.core', $plan['version']);
    $this->deleteJson("api/vehicles/{$id}")->assertNoContent();
    expect(array_column($this->getJson('api/vehicles')->json(), 'id'))->not->toContain($id);
    // A lesson keeps the car it was given in.
    $this->getJson("api/lessons/{$this->at['lesson']->id}")->assertOk()->assertJsonPath('vehicle.name', 'The red one');
    $this->postJson("api/vehicles/{$id}/restore")->assertOk();
});

it('wants a guardian for a minor, in the form and in the database', function (): void {
    $facts = ['name' => 'Young', 'transmission' => 'manual', 'level' => 'beginner', 'is_minor' => true];
    $this->postJson('api/learners', $facts)->assertUnprocessable()->assertJsonValidationErrors('guardian_name');
    $this->postJson('api/learners', $facts + ['guardian_name' => 'Elder'])->assertCreated();
    expect(fn () => Learner::query()->create($facts))->toThrow(Illuminate\Database\QueryException::class, 'learners_minor_has_guardian');
});

it('puts a learner away and brings the whole record back', function (): void {
    $id = $this->at['learner']->id;
    $this->deleteJson("api/learners/{$id}")->assertNoContent();
    expect($this->getJson('api/learners')->json())->toBe([]);
    $this->getJson("api/lessons/{$this->at['lesson']->id}")->assertOk()->assertJsonPath('learner.name', 'Test Learner');
    $this->postJson("api/learners/{$id}/restore")->assertOk();
    $this->getJson("api/learners/{$id}")->assertOk()->assertJsonCount(0, 'tallies');
});

it('rates, promises, closes, and shows what was promised in the next lesson', function (): void {
    $uri = "api/lessons/{$this->at['lesson']->id}";
    $this->patchJson($uri, ['self_rating' => ['look' => 'reminded'], 'went_well' => 'Calm'])->assertOk()->assertJsonPath('self_rating.look', 'reminded');
    $this->patchJson($uri, ['self_rating' => ['look' => 'superb']])->assertUnprocessable();
    $this->patchJson($uri, ['self_rating' => ['gear' => 'missed']])->assertUnprocessable();
    $promise = $this->postJson("{$uri}/promises", ['kind' => 'promise', 'text' => 'The quiet one first'])->assertCreated()->json('id');
    $this->patchJson($uri, ['state' => 'done'])->assertOk();
    $next = $this->postJson(
        'api/lessons',
        [
            'learner_id' => $this->at['learner']->id, 'vehicle_id' => $this->at['vehicle']->id, 'starts_at' => now()->addHours(3)->toIso8601String(),
            'minutes' => 60,
        ],
    )->assertCreated()->json('id');
    expect($this->getJson("api/lessons/{$next}")->json('promised_before.0.text'))->toBe('The quiet one first')
        ->and($this->getJson("api/lessons/{$next}")->json('number'))->toBe(2);
    $this->patchJson("api/promises/{$promise}", ['kept' => true])->assertOk();
    expect($this->getJson("api/lessons/{$next}")->json('promised_before'))->toBe([]);
});

it('shares a lesson’s minutes out: talk before and after, and each place', function (): void {
    $uri = "api/lessons/{$this->at['lesson']->id}";
    $this->getJson($uri)->assertJsonPath('brief_minutes', 5)->assertJsonPath('debrief_minutes', 5);
    $this->patchJson($uri, ['brief_minutes' => 0, 'debrief_minutes' => 60])->assertOk()->assertJsonPath('brief_minutes', 0)
        ->assertJsonPath('debrief_minutes', 60);
    foreach ([-1, 61, 2.5, 'ten', null] as $wrong) {
        $this->patchJson($uri, ['brief_minutes' => $wrong])->assertUnprocessable()->assertJsonValidationErrors('brief_minutes');
    }
    $item = $this->postJson("{$uri}/items", ['place_id' => $this->at['place']->id, 'minutes' => 20])->assertCreated()->json('id');
    $this->patchJson("api/items/{$item}", ['minutes' => 7])->assertOk()->assertJsonPath('minutes', 7);
    expect($this->getJson($uri)->json('items.0.minutes'))->toBe(7)->and($this->getJson($uri)->json('brief_minutes'))->toBe(0);
});

it('shows the school’s day, not the server’s', function (): void {
    // 23:30 UTC in July is half past midnight of the next day in London.
    $this->travelTo('2026-07-10 22:00:00');
    $this->at['lesson']->update(['starts_at' => '2026-07-10 23:30:00']);
    expect($this->getJson('api/today?day=2026-07-11')->json('lessons'))->toHaveCount(1)
        ->and($this->getJson('api/today?day=2026-07-10')->json('lessons'))->toBe([]);
});

it('keeps a page of the bench with a place, or for one lesson’s brief there', function (): void {
    $place = $this->at['place']->id;
    $lesson = $this->at['lesson']->id;
    $keep = fn (array $more = []) => $this->postJson(
        "api/places/{$place}/drawings",
        [
            'title' => 'The wheel for this corner', 'page' => 'steering', 'state' => 'kerb=6',
            'asked' => ['tool' => 'steering', 'inputs' => ['wheelbase_m' => 2.6, 'radius_m' => 6]], ...$more,
        ],
    );
    $keep(['page' => '../learners'])->assertUnprocessable()->assertJsonValidationErrors('page');
    $keep(['lesson_id' => $lesson])->assertUnprocessable()->assertJsonValidationErrors('lesson_id');
    $this->postJson("api/lessons/{$lesson}/items", ['place_id' => $place])->assertCreated();
    expect(array_column($this->getJson("api/places/{$place}/lessons")->json(), 'id'))->toBe([$lesson]);
    $always = $keep()->assertCreated()->json('id');
    $once = $keep(['title' => 'For today', 'lesson_id' => $lesson])->assertCreated()->json('id');
    expect(array_column($this->getJson('api/places')->json('0.drawings'), 'id'))->toBe([$always])
        ->and(array_column($this->getJson("api/lessons/{$lesson}")->json('items.0.drawings'), 'id'))->toEqualCanonicalizing([$always, $once]);
    $this->deleteJson("api/drawings/{$always}")->assertNoContent();
    expect($this->getJson('api/places')->json('0.drawings'))->toBe([]);
    $this->postJson("api/drawings/{$always}/restore")->assertOk();
    $this->actingAs($this->user($this->school()));
    $keep()->assertNotFound();
    $this->deleteJson("api/drawings/{$always}")->assertNotFound();
});

it('shows a learner’s reference points in the car they belong to, and no other', function (): void {
    [$learner, $car] = [$this->at['learner'], $this->at['vehicle']->id];
    $other = $this->postJson('api/vehicles', ['name' => 'Other', 'transmission' => 'manual', 'controls' => 'standard'])->assertCreated()->json('id');
    $points = [
        ['what' => 'Touching', 'where' => 'wiper', 'vehicle_id' => $car], ['what' => 'Steer now', 'where' => 'vent', 'vehicle_id' => $other],
        ['what' => 'Stop', 'where' => 'mirror', 'vehicle_id' => null],
    ];
    $facts = ['name' => 'N', 'transmission' => 'manual', 'level' => 'beginner'];
    $this->putJson("api/learners/{$learner->id}", $facts + ['reference_points' => $points])->assertOk();
    expect(array_column($this->getJson("api/lessons/{$this->at['lesson']->id}")->json('reference_points'), 'what'))->toBe(['Touching', 'Stop']);
    $this->actingAs($this->user($this->school()));
    $this->postJson(
        'api/learners', $facts + ['reference_points' => $points],
    )->assertUnprocessable()->assertJsonValidationErrors('reference_points.0.vehicle_id');
});

it('resolves pack and practice from the school, the instructor and the learner, question by question', function (): void {
    $lesson = "api/lessons/{$this->at['lesson']->id}";
    ($this->plan)();
    $owner = $this->user(App\Models\School::query()->findOrFail($this->instructor->school_id), 'owner');
    $this->putJson('api/rules/school', ['pack' => 'ie', 'practice' => []])->assertForbidden();
    $this->actingAs($owner)->putJson('api/rules/school', ['pack' => 'ie', 'practice' => ['gears' => 'sequential', 'signal' => 'car-lengths']])->assertOk();
    $this->actingAs($this->instructor->fresh());
    expect($this->getJson($lesson)->json('items.0.plan.inputs'))->toMatchArray(['pack' => 'ie', 'routine' => 'emerge-right', 'limit_mph' => 30])->and(
        $this->getJson($lesson)->json('items.0.plan.inputs.practice.gears'),
    )->toBe('sequential');
    $this->putJson(
        'api/rules/mine', ['pack' => null, 'practice' => ['signal' => 'braking-lead', 'leave_marker' => 200]],
    )->assertOk()->assertJsonPath('mine.practice.leave_marker', 200);
    $this->putJson("api/learners/{$this->at['learner']->id}/rules", ['pack' => 'na', 'practice' => ['steps' => 'six']])->assertOk();
    $inputs = $this->getJson($lesson)->json('items.0.plan.inputs');
    expect($inputs['pack'])->toBe('na')->and($inputs['practice'])->toBe([
        'gears' => 'sequential', 'signal' => 'braking-lead', 'leave_marker' => 200, 'steps' => 'six',
    ]);
    $this->postJson('api/compute/approach', $inputs)->assertOk()->assertJsonPath('place.keeps', 'right');
    $this->putJson('api/rules/mine', ['practice' => ['gears' => 'none at all']])->assertUnprocessable()->assertJsonValidationErrors('practice.gears');
    $this->putJson('api/rules/mine', ['pack' => 'zz', 'practice' => []])->assertUnprocessable()->assertJsonValidationErrors('pack');
    expect(count($this->getJson('api/routines?pack=na')->json()))->toBeGreaterThan(40)->and($this->getJson('api/session')->json('rules.pack'))->toBe('ie');
});

it('has demo places the core can plan, every one under its own pack', function (): void {
    foreach (['gb' => Database\Seeders\DemoWorld::places(), 'na' => Database\Seeders\DemoWorld::placesKeepingRight()] as $pack => $places) {
        foreach ($places as $place) {
            $routine = RoutineCode::from($place['routine']);
            $road = Road::of($routine, $place['road'], RulePacks::byCode($pack));
            $plan = Toolbox::run($road->tool()->name(), $road->inputs());
            expect($plan[$road->tool()->name() === 'approach' ? 'steps' : 'assumptions'])->not->toBeEmpty($place['name']);
        }
    }
});

it('keeps slip roads as places for the tools that plan them, and nothing for a routine that belongs to no place', function (): void {
    $slip = ['name' => 'Slip', 'routine' => 'join', 'road' => ['slip_length_m' => 200, 'entry_speed_mph' => 30, 'main_speed_mph' => 60]];
    $this->postJson('api/places', $slip)->assertCreated()->assertJsonPath('road.slip_length_m', 200);
    $this->postJson(
        'api/places', ['road' => ['entry_speed_mph' => 170] + $slip['road']] + $slip,
    )->assertUnprocessable()->assertJsonValidationErrors('road.entry_speed_mph');
    $this->postJson('api/places', ['road' => ['openings' => []] + $slip['road']] + $slip)->assertUnprocessable()->assertJsonValidationErrors('road.openings');
    $this->postJson('api/places', ['routine' => 'overtake', 'road' => ['limit_mph' => 60]] + $slip)->assertCreated();
    $this->postJson('api/places', ['routine' => 'lane-change-left', 'road' => ['limit_mph' => 40]] + $slip)->assertCreated();
    $this->postJson('api/places', ['routine' => 'vehicle-check', 'road' => []] + $slip)->assertUnprocessable()->assertJsonValidationErrors('routine');
});

it('orders routines by what a learner’s record asks for, of the own school only', function (): void {
    $learner = $this->at['lesson']->learner_id;
    $needs = $this->getJson("api/learners/{$learner}/needs")->assertOk()->json();
    expect(array_unique(array_column($needs, 'need')))->toContain('never-driven')->and(count($needs))->toBeGreaterThan(38);
    $this->actingAs($this->user($this->school()))->getJson("api/learners/{$learner}/needs")->assertNotFound();
});

it('says what the marks mean, of the own school’s learners only', function (): void {
    $learner = $this->at['lesson']->learner_id;
    $this->getJson("api/learners/{$learner}/skill")->assertOk()->assertJsonStructure(['cells', 'holds_back']);
    $this->actingAs($this->user($this->school()))->getJson("api/learners/{$learner}/skill")->assertNotFound();
});

it('has demo pages of the bench whose tools answer what they were asked', function (): void {
    $places = array_column(Database\Seeders\DemoWorld::places(), 'routine', 'name');
    foreach (Database\Seeders\DemoWorld::drawings() as $place => $drawing) {
        expect($places)->toHaveKey($place)->and(
            Toolbox::run($drawing['asked']['tool'], $drawing['asked']['inputs'])['version']['core'],
        )->toBe($drawing['asked']['version']);
    }
});

it('plans a lesson’s place as the place is now, whatever it was when it was put on the plan', function (): void {
    $place = $this->at['place'];
    $lesson = "api/lessons/{$this->at['lesson']->id}";
    ($this->plan)();
    $this->postJson(
        'api/sync',
        [
            'rounds' => [
                [
                    'id' => (string) Illuminate\Support\Str::uuid7(), 'lesson_id' => $this->at['lesson']->id, 'place_id' => $place->id,
                    'routine' => 'emerge-right', 'device_at' => '2026-05-20T10:00:00Z',
                ],
            ],
            'marks' => [],
        ],
    )->assertOk();
    $slip = ['name' => $place->name, 'routine' => 'join', 'road' => ['slip_length_m' => 200, 'entry_speed_mph' => 30, 'main_speed_mph' => 60]];
    $this->putJson("api/places/{$place->id}", $slip)->assertOk()->assertJsonPath('road.kind', 'slip')->assertJsonPath('road.version', 1);
    $item = $this->getJson($lesson)->json('items.0');
    expect($item['routine'])->toBe('join')->and($item['plan']['tool'])->toBe('join')->and($item['plan']['inputs'])->not->toHaveKeys(['kind', 'version']);
    $this->postJson("api/compute/{$item['plan']['tool']}", $item['plan']['inputs'])->assertOk();
    // The rounds that were driven there keep their own routine.
    expect($this->getJson($lesson)->json('rounds.0.routine'))->toBe('emerge-right');
});

it('keeps a page of the bench with what its tool was asked, and refuses what the tool does not understand', function (): void {
    $page = [
        'title' => 'Gap here', 'page' => 'gap', 'state' => 'distance=90', 'lesson_id' => null,
        'asked' => ['tool' => 'gap', 'inputs' => ['manoeuvre' => 'cross', 'other_speed_mph' => 30, 'other_distance_m' => 90]],
    ];
    $kept = $this->postJson("api/places/{$this->at['place']->id}/drawings", $page)->assertCreated()->json('asked');
    expect($kept)->toBe($page['asked'] + ['version' => Toolbox::VERSION]);
    $this->postJson(
        "api/places/{$this->at['place']->id}/drawings", ['asked' => ['tool' => 'gap', 'inputs' => ['manoeuvre' => 'fly']]] + $page,
    )->assertUnprocessable()->assertJsonValidationErrors('asked.inputs.manoeuvre');
    $this->postJson(
        "api/places/{$this->at['place']->id}/drawings", ['asked' => ['tool' => 'crystal-ball', 'inputs' => []]] + $page,
    )->assertUnprocessable()->assertJsonValidationErrors('asked.tool');
    $this->postJson(
        "api/places/{$this->at['place']->id}/drawings", array_diff_key($page, ['asked' => 0]),
    )->assertUnprocessable()->assertJsonValidationErrors('asked');
});
