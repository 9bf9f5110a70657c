<?php

use App\Models\Change;
use App\Models\Place;
use App\Models\Site;
use Tests\Routes;

/* Sites: drawn once; the ways that lessons use follow what is drawn. */

beforeEach(function (): void {
    $this->owner = $this->user($this->school(), 'owner');
    $this->actingAs($this->owner);
    $this->draw = fn (array $more = []): array => $this->postJson('api/sites', [
        'name' => 'Ropewalk at Mole Street', 'kind' => 'junction', 'arms' => Routes::ARMS, ...$more,
    ])->assertCreated()->json();
    $this->redraw = fn (array $site, array $arms): Illuminate\Testing\TestResponse => $this->putJson("api/sites/{$site['id']}", [
        'name' => $site['name'], 'kind' => 'junction', 'arms' => $arms,
    ]);
});

it('keeps a site as it was drawn, and lists every way through it with its routine', function (): void {
    $site = ($this->draw)(['latitude_deg' => 49.2, 'longitude_deg' => -8.1, 'note' => 'school at four']);
    expect($site)->toMatchArray(['pack' => 'gb', 'latitude_deg' => 49.2, 'longitude_deg' => -8.1, 'arms' => Routes::ARMS, 'used' => []])
        ->and($this->getJson("api/sites/{$site['id']}")->json())->toEqual($site);
    $line = $this->getJson('api/sites')->assertOk()->json()[0];
    expect(array_column($line['ways'], 'routine'))->toEqualCanonicalizing(
        ['emerge-left', 'emerge-right', 'turn-left', 'turn-right', 'between-hazards', 'between-hazards'],
    )->and($line['used'])->toBe(0)->and($line['arms'])->toHaveCount(3);
});

it('makes the place of a way once, named after where one comes from, and plans it in a lesson', function (): void {
    $site = ($this->draw)();
    $place = $this->postJson("api/sites/{$site['id']}/ways", ['from' => 's', 'to' => 'e'])->assertCreated()->json();
    expect($place)->toMatchArray(['name' => 'Ropewalk at Mole Street: from Ropewalk, right', 'routine' => 'emerge-right', 'site_id' => $site['id']])
        ->and($place['road'])->toMatchArray(['kind' => 'junction', 'limit_mph' => 30, 'control' => 'give-way', 'road_met' => ['limit_mph' => 40]])
        ->and($this->postJson("api/sites/{$site['id']}/ways", ['from' => 's', 'to' => 'e'])->json('id'))->toBe($place['id'])
        // Mole Street comes twice: which of the two is told by the compass.
        ->and($this->postJson("api/sites/{$site['id']}/ways", ['from' => 'e', 'to' => 's'])->json('name'))
        ->toBe('Ropewalk at Mole Street: from Mole Street (east), left');
    ['lesson' => $lesson] = $this->lesson($this->owner);
    $item = $this->postJson("api/lessons/{$lesson->id}/items", ['place_id' => $place['id']])->assertCreated()->json();
    expect($item['plan']['inputs'])->toMatchArray(['pack' => 'gb', 'routine' => 'emerge-right', 'limit_mph' => 30]);
    $plan = $this->postJson('api/compute/approach', $item['plan']['inputs'])->assertOk()->json();
    expect($plan['steps'])->not->toBe([])->and($this->getJson("api/sites/{$site['id']}")->json('used'))->toHaveCount(2);
});

it('lets the ways that are used follow the drawing: what was measured once is true of all of them', function (): void {
    $site = ($this->draw)();
    $right = $this->postJson("api/sites/{$site['id']}/ways", ['from' => 's', 'to' => 'e'])->json('id');
    $left = $this->postJson("api/sites/{$site['id']}/ways", ['from' => 's', 'to' => 'w'])->json('id');
    $arms = Routes::ARMS;
    $arms[1]['limit_mph'] = 50;
    $arms[2] += ['measures' => [['of' => 'sight_left', 'by' => 'paces', 'number' => 28]], 'gradient' => 0.04];
    ($this->redraw)($site, $arms)->assertOk();
    foreach ([$right, $left] as $id) {
        expect(Place::query()->findOrFail($id)->road)->toMatchArray(['road_met' => ['limit_mph' => 50], 'sight_left_m' => 21, 'gradient' => 0.04]);
    }
});

it('archives a way that is no more, or is another routine now, and takes it up again when it is back', function (): void {
    $site = ($this->draw)();
    $id = $this->postJson("api/sites/{$site['id']}/ways", ['from' => 's', 'to' => 'e'])->json('id');
    $lights = array_map(static fn (array $arm): array => ['control' => 'signals'] + $arm, Routes::ARMS);
    ($this->redraw)($site, $lights)->assertOk();
    expect(Place::query()->find($id))->toBeNull()->and(Place::withTrashed()->findOrFail($id)->routine)->toBe('emerge-right');
    $other = $this->postJson("api/sites/{$site['id']}/ways", ['from' => 's', 'to' => 'e'])->json();
    expect($other['routine'])->toBe('lights-right')->and($other['id'])->not->toBe($id);
    ($this->redraw)($site, Routes::ARMS)->assertOk();
    expect($this->postJson("api/sites/{$site['id']}/ways", ['from' => 's', 'to' => 'e'])->json('id'))->toBe($id);
});

it('takes no way out of lessons to come unless that is said, and says which it would be', function (): void {
    $site = ($this->draw)();
    $id = $this->postJson("api/sites/{$site['id']}/ways", ['from' => 's', 'to' => 'e'])->json('id');
    $plan = function (string $at) use ($id): void {
        ['lesson' => $lesson] = $this->lesson($this->owner);
        $lesson->update(['starts_at' => $at]);
        $this->postJson("api/lessons/{$lesson->id}/items", ['place_id' => $id])->assertCreated();
    };
    $lights = array_map(static fn (array $arm): array => ['control' => 'signals'] + $arm, Routes::ARMS);
    $plan(now()->subDay()->toDateTimeString());
    // Behind us it stands as it was driven.
    ($this->redraw)($site, $lights)->assertOk();
    ($this->redraw)($site, Routes::ARMS)->assertOk();
    expect($this->postJson("api/sites/{$site['id']}/ways", ['from' => 's', 'to' => 'e'])->json('id'))->toBe($id);
    $plan(now()->addDay()->toDateTimeString());
    $plan(now()->addDays(2)->toDateTimeString());
    $before = Site::query()->findOrFail($site['id'])->arms;
    $said = ($this->redraw)($site, $lights)->assertUnprocessable()->json('errors.archive');
    expect($said)->toBe(['As it is drawn now Ropewalk at Mole Street: from Ropewalk, right is no more, and that is planned in 2 lessons to come.'])
        ->and(Site::query()->findOrFail($site['id'])->arms)->toEqual($before)->and(Place::query()->find($id))->not->toBeNull();
    // What changes nothing of the way is kept without a word.
    $arms = Routes::ARMS;
    $arms[2]['gradient'] = 0.03;
    ($this->redraw)($site, $arms)->assertOk();
    $this->putJson("api/sites/{$site['id']}", ['name' => $site['name'], 'kind' => 'junction', 'arms' => $lights, 'archive' => true])->assertOk();
    expect(Place::query()->find($id))->toBeNull();
});

it('refuses what cannot be a site in the words of the core, and keeps nothing of it', function (array $more, string $field): void {
    $this->postJson('api/sites', ['name' => 'x', 'kind' => 'junction', 'arms' => Routes::ARMS, ...$more])->assertUnprocessable()
        ->assertJsonValidationErrorFor($field);
    expect(Site::query()->count())->toBe(0);
})->with([
    'two roads' => [['arms' => array_slice(Routes::ARMS, 1)], 'arms'],
    'a road with a field nobody knows' => [['arms' => [...array_slice(Routes::ARMS, 1), ['id' => 'n', 'name' => 'x', 'bearing_deg' => 0,
        'colour' => 'red']]], 'arms.2.colour'],
    'a limit out of its bounds' => [['arms' => [...array_slice(Routes::ARMS, 1), ['id' => 'n', 'name' => 'x', 'bearing_deg' => 0, 'limit_mph' => 300]]],
        'arms.2.limit_mph'],
    'arms that are none' => [['arms' => ['x', 'y', 'z']], 'arms.0'],
    'an all-way stop in Great Britain' => [['arms' => [...array_slice(Routes::ARMS, 1), ['id' => 'n', 'name' => 'x', 'bearing_deg' => 0,
        'control' => 'all-way-stop']]], 'arms.2.control'],
    'half a position' => [['latitude_deg' => 49], 'longitude_deg'],
    'beyond the pole' => [['latitude_deg' => 91, 'longitude_deg' => 0], 'latitude_deg'],
    'no kind' => [['kind' => 'square'], 'kind'],
    'no such law' => [['pack' => 'moon'], 'pack'],
]);

it('plans a way by the law of its place, whoever is taught', function (): void {
    $site = ($this->draw)(['pack' => 'na', 'arms' => array_map(static fn (array $arm): array => ['control' => 'all-way-stop'] + $arm, Routes::ARMS)]);
    $place = $this->postJson("api/sites/{$site['id']}/ways", ['from' => 's', 'to' => 'w'])->assertCreated()->json();
    expect($place['routine'])->toBe('all-way-stop');
    // Drawn anew by somebody who teaches under another: it stays where it is.
    ($this->redraw)($site, $site['arms'])->assertOk()->assertJson(['pack' => 'na']);
    ['lesson' => $lesson] = $this->lesson($this->owner);
    expect($this->postJson("api/lessons/{$lesson->id}/items", ['place_id' => $place['id']])->json('plan.inputs.pack'))->toBe('na');
});

it('has no place for the way along the main road, or for one that nobody may drive', function (): void {
    $site = ($this->draw)();
    foreach ([['w', 'e'], ['s', 's'], ['s', 'x']] as [$from, $to]) {
        $this->postJson("api/sites/{$site['id']}/ways", ['from' => $from, 'to' => $to])->assertUnprocessable()->assertJsonValidationErrorFor('to');
    }
    expect(Place::query()->count())->toBe(0);
});

it('archives a site and brings it back, and the log of changes says who', function (): void {
    $site = ($this->draw)();
    $this->deleteJson("api/sites/{$site['id']}")->assertNoContent();
    expect($this->getJson('api/sites')->json())->toBe([])->and($this->getJson('api/archived')->json('sites.0.name'))->toBe($site['name']);
    $this->getJson("api/sites/{$site['id']}")->assertNotFound();
    $this->postJson("api/sites/{$site['id']}/restore")->assertOk();
    expect($this->getJson('api/sites')->json())->toHaveCount(1)
        ->and(Change::query()->where('kind', 'site')->orderBy('at')->orderBy('id')->pluck('what')->all())->toBe(['added', 'archived', 'restored']);
});

it('makes a place of each routine that a stretch of road teaches, and says which where it is none of them', function (): void {
    $arms = [
        ['id' => 'w', 'name' => 'Cannery Street', 'bearing_deg' => 270, 'limit_mph' => 30, 'holds' => ['parked', 'bus-stop']],
        ['id' => 'e', 'name' => 'Cannery Street', 'bearing_deg' => 90],
    ];
    $site = ($this->draw)(['name' => 'Cannery Street shops', 'kind' => 'stretch', 'arms' => $arms]);
    $place = fn (?string $routine): array => $this->postJson("api/sites/{$site['id']}/ways", ['from' => 'w', 'to' => 'e', 'routine' => $routine])
        ->assertCreated()->json();
    expect($place(null))->toMatchArray(['routine' => 'pass-parked', 'name' => 'Cannery Street shops: from Cannery Street (west)', 'from_arm' => 'w'])
        ->and($place('pass-bus')['road'])->toMatchArray(['kind' => 'stretch', 'limit_mph' => 30])
        ->and($place('pass-bus')['id'])->not->toBe($place(null)['id'])
        ->and($this->postJson("api/sites/{$site['id']}/ways", ['from' => 'w', 'to' => 'e', 'routine' => 'hump'])->assertUnprocessable()
            ->json('errors.routine.0'))->toContain('pass-parked, pass-bus');
    // What is no longer there is archived, and the rest stays.
    $arms[0]['holds'] = ['bus-stop'];
    $this->putJson("api/sites/{$site['id']}", ['name' => 'Cannery Street shops', 'kind' => 'stretch', 'arms' => $arms])->assertOk();
    expect(Place::query()->pluck('routine')->all())->toBe(['pass-bus']);
});

it('plans what a slip and a kerb teach in a lesson, each with its tool', function (string $kind, array $arms, array $way, string $tool): void {
    $site = ($this->draw)(['kind' => $kind, 'arms' => $arms]);
    $place = $this->postJson("api/sites/{$site['id']}/ways", $way)->assertCreated()->json();
    ['lesson' => $lesson] = $this->lesson($this->owner);
    $plan = $this->postJson("api/lessons/{$lesson->id}/items", ['place_id' => $place['id']])->assertCreated()->json('plan');
    expect($plan['tool'])->toBe($tool);
    $this->postJson("api/compute/{$tool}", $plan['inputs'])->assertOk();
})->with([
    'joining' => ['slip', Routes::SLIP, ['from' => 's', 'to' => 'e'], 'join'],
    'pulling up' => ['kerb', [['id' => 'a', 'name' => 'Quay', 'bearing_deg' => 0, 'holds' => ['free-kerb']]], ['from' => 'a', 'to' => 'a',
        'routine' => 'pull-up-left'], 'approach'],
    'overtaking' => ['stretch', [['id' => 'a', 'name' => 'Lighthouse Road', 'bearing_deg' => 0, 'holds' => ['long-view'], 'limit_mph' => 60],
        ['id' => 'b', 'name' => 'Lighthouse Road', 'bearing_deg' => 180]], ['from' => 'a', 'to' => 'b'], 'overtake'],
]);

it('has no place for what cannot be planned, and says what to do instead', function (): void {
    $site = ($this->draw)(['kind' => 'kerb', 'arms' => [['id' => 'a', 'name' => 'Quay car park', 'bearing_deg' => 0, 'holds' => ['bay']]]]);
    $said = $this->postJson("api/sites/{$site['id']}/ways", ['from' => 'a', 'to' => 'a'])->assertUnprocessable()->json('errors.to.0');
    expect($said)->toContain('done elsewhere');
});

it('keeps what instructors say of a way: a note, and how hard they find it', function (): void {
    $said = ['from' => 's', 'to' => 'e', 'routine' => 'emerge-right', 'note' => 'buses at ten past', 'difficulty' => 'hard'];
    $site = ($this->draw)(['remarks' => [$said]]);
    expect($site['remarks'])->toBe([$said]);
    $way = fn (): array => array_values(array_filter($this->getJson('api/sites')->json('0.ways'), static fn (array $one): bool => $one['to'] === 'e'))[0];
    // Their word is the middle of what is called that, on the scale of the score.
    $hard = NobleTurn\Core\Plan\Difficulty::middleOf('hard');
    expect($way())->toMatchArray(['words' => 'hard', 'overruled' => true, 'note' => 'buses at ten past', 'score' => $hard])
        // What a drawing does not say anew stands.
        ->and(($this->redraw)($site, Routes::ARMS)->json('remarks'))->toBe([$said])
        ->and($this->putJson("api/sites/{$site['id']}", ['remarks' => [], 'name' => 'x', 'kind' => 'junction', 'arms' => Routes::ARMS])->json('remarks'))
        ->toBe([])->and($way())->toMatchArray(['overruled' => false, 'note' => null]);
    foreach ([['from' => 'x'], ['difficulty' => 'awful'], ['routine' => 'dance'], ['note' => str_repeat('a', 301)]] as $wrong) {
        $this->postJson('api/sites', ['name' => 'x', 'kind' => 'junction', 'arms' => Routes::ARMS, 'remarks' => [$wrong + $said]])->assertUnprocessable()
            ->assertJsonValidationErrorFor('remarks.0.'.array_key_first($wrong));
    }
});

it('lets the names of its ways follow the site’s, but not those that were given by hand', function (): void {
    $site = ($this->draw)();
    $right = $this->postJson("api/sites/{$site['id']}/ways", ['from' => 's', 'to' => 'e'])->json('id');
    $left = $this->postJson("api/sites/{$site['id']}/ways", ['from' => 's', 'to' => 'w'])->json('id');
    Place::query()->whereKey($left)->update(['name' => 'Under the clock']);
    $this->putJson("api/sites/{$site['id']}", ['name' => 'The mole', 'kind' => 'junction', 'arms' => Routes::ARMS])->assertOk();
    expect(Place::query()->findOrFail($right)->name)->toBe('The mole: from Ropewalk, right')
        ->and(Place::query()->findOrFail($left)->name)->toBe('Under the clock');
});

it('changes a way where it is drawn, not by the form of a place', function (): void {
    $site = ($this->draw)();
    $id = $this->postJson("api/sites/{$site['id']}/ways", ['from' => 's', 'to' => 'e'])->json('id');
    $this->putJson("api/places/{$id}", ['name' => 'x', 'routine' => 'emerge-right', 'road' => ['limit_mph' => 20]])->assertUnprocessable()
        ->assertJsonValidationErrorFor('road');
    expect(Place::query()->findOrFail($id)->road['limit_mph'])->toBe(30);
});

it('says what went wrong on its ways, by kind and by how many, and leaves out what was only shown', function (): void {
    $site = ($this->draw)();
    $place = $this->postJson("api/sites/{$site['id']}/ways", ['from' => 's', 'to' => 'e'])->json('id');
    expect($this->getJson("api/sites/{$site['id']}/past")->assertOk()->json())->toBe([]);
    $drive = function (array ...$rounds) use ($place): void {
        ['lesson' => $lesson] = $this->lesson($this->owner);
        $id = static fn (): string => (string) Illuminate\Support\Str::uuid7();
        $at = '2026-05-20T10:00:00.250Z';
        foreach ($rounds as $marks) {
            $round = ['id' => $id(), 'lesson_id' => $lesson->id, 'place_id' => $place, 'routine' => 'emerge-right', 'device_at' => $at];
            $marks = array_map(static fn (array $mark): array => $mark + ['id' => $id(), 'round_id' => $round['id'], 'device_at' => $at], $marks);
            $this->postJson('api/sync', ['rounds' => [$round], 'marks' => $marks])->assertOk();
        }
    };
    $step = static fn (string $step, string $outcome, ?string $fault = null): array => array_filter(
        ['kind' => 'step', 'step' => $step, 'outcome' => $outcome, 'fault' => $fault],
    );
    $drive([$step('position', 'missed', 'wide'), $step('look', 'unaided')], [$step('position', 'prompted', 'wide'), $step('signal', 'reminded', 'late')]);
    $drive([$step('position', 'missed', 'wide')], [$step('look', 'missed'), ['kind' => 'taught', 'taught' => 'shown']]);
    // What the one key timed there: the latest first, whatever became of the round.
    $drive([['kind' => 'count', 'what' => 'length', 'number' => 56, 'seconds' => 4.2], ['kind' => 'count', 'what' => 'wait', 'number' => 1, 'seconds' => 9]]);
    $past = $this->getJson("api/sites/{$site['id']}/past")->assertOk()->json();
    expect($past[0]['lengths'])->toBe([['on' => '2026-05-20', 'length_m' => 56, 'seconds' => 4.2]]);
    expect($past)->toHaveCount(1)->and($past[0])->toMatchArray(['from' => 's', 'to' => 'e', 'rounds' => 5, 'taught' => 1, 'learners' => 3])
        // A reminder is no going wrong, and what was shown says nothing of the learner.
        ->and($past[0]['wrong'])->toBe([['step' => 'position', 'fault' => 'wide', 'rounds' => 3, 'learners' => 2]])
        ->and(array_sum($past[0]['levels']))->toBe(3);
    $this->actingAs($this->user($this->school(), 'owner'))->getJson("api/sites/{$site['id']}/past")->assertNotFound();
});

describe('a site that was met twice', function (): void {
    beforeEach(function (): void {
        $this->into = ($this->draw)();
        $arms = Routes::ARMS;
        $arms[2] = ['id' => 'x', 'name' => 'The rope walk', 'bearing_deg' => 200, 'control' => 'give-way', 'gradient' => 0.06, 'limit_mph' => 20,
            'measures' => [['of' => 'sight_left', 'by' => 'eye', 'length_m' => 40]]];
        $this->other = ($this->draw)(['name' => 'Out of the rope walk', 'arms' => $arms, 'latitude_deg' => 49.2, 'longitude_deg' => -8.1, 'note' => 'steep']);
        $this->way = fn (array $site, string $from, string $to): string => $this->postJson("api/sites/{$site['id']}/ways", ['from' => $from, 'to' => $to])
            ->assertCreated()->json('id');
        $this->merge = fn (array $ways, ?string $other = null): Illuminate\Testing\TestResponse => $this->postJson("api/sites/{$this->into['id']}/merge",
            ['other' => $other ?? $this->other['id'], 'ways' => $ways]);
    });

    it('becomes one: its ways come with their lessons, and what only the other drawing knew of their road', function (): void {
        $place = ($this->way)($this->other, 'x', 'e');
        ['lesson' => $lesson] = $this->lesson($this->owner);
        $item = $this->postJson("api/lessons/{$lesson->id}/items", ['place_id' => $place])->assertCreated()->json();
        $one = ($this->merge)([['place_id' => $place, 'from' => 's', 'to' => 'e']])->assertOk()->json();
        expect($one)->toMatchArray(['latitude_deg' => 49.2, 'note' => 'steep', 'name' => 'Ropewalk at Mole Street'])
            ->and(array_column($one['used'], 'place_id'))->toBe([$place]);
        $stem = array_column($one['arms'], null, 'id')['s'];
        // Its own limit, name and bearing stand; slope and sight it had not.
        expect($stem)->toMatchArray(['name' => 'Ropewalk', 'bearing_deg' => 180, 'limit_mph' => 30, 'gradient' => 0.06])
            ->and($stem['measures'][0]['length_m'])->toBe(40);
        expect(Place::query()->findOrFail($place)->road)->toMatchArray(['gradient' => 0.06, 'sight_left_m' => 40, 'limit_mph' => 30])
            ->and($this->getJson("api/lessons/{$lesson->id}")->json('items.0.id'))->toBe($item['id'])
            ->and($this->getJson('api/sites')->json())->toHaveCount(1)->and($this->getJson('api/archived')->json('sites.0.name'))->toBe('Out of the rope walk');
    });

    it('moves what is planned to the way that was used here already', function (): void {
        $here = ($this->way)($this->into, 's', 'e');
        $there = ($this->way)($this->other, 'x', 'e');
        ['lesson' => $lesson] = $this->lesson($this->owner);
        $this->postJson("api/lessons/{$lesson->id}/items", ['place_id' => $there])->assertCreated();
        ($this->merge)([['place_id' => $there, 'from' => 's', 'to' => 'e']])->assertOk();
        expect($this->getJson("api/lessons/{$lesson->id}")->json('items.0.place.id'))->toBe($here)->and(Place::query()->find($there))->toBeNull();
    });

    it('counts what was driven at either together: at the site, in the school and in what the learner’s record says of places', function (): void {
        $here = ($this->way)($this->into, 's', 'e');
        $there = ($this->way)($this->other, 'x', 'e');
        ['lesson' => $lesson, 'learner' => $learner] = $this->lesson($this->owner);
        $id = static fn (): string => (string) Illuminate\Support\Str::uuid7();
        $drive = function (string $place, ?string $said = null) use ($lesson, $id): void {
            $round = ['id' => $id(), 'lesson_id' => $lesson->id, 'place_id' => $place, 'routine' => 'emerge-right', 'device_at' => '2026-05-20T10:00:00.250Z'];
            $mark = static fn (array $more): array => ['id' => $id(), 'round_id' => $round['id'], 'device_at' => '2026-05-20T10:00:00.250Z'] + $more;
            $marks = [$mark(['kind' => 'step', 'step' => 'look', 'outcome' => 'missed']), ...($said ? [$mark(['kind' => 'place', 'place_id' => $said])] : [])];
            $this->postJson('api/sync', ['rounds' => [$round], 'marks' => $marks])->assertOk();
        };
        $drive($here);
        $drive($there);
        $drive($here, $there);
        ($this->merge)([['place_id' => $there, 'from' => 's', 'to' => 'e']])->assertOk();
        $drivenAt = fn (): array => array_map(static fn (array $row): array => [$row['place'], $row['failed']],
            (new App\School\DrivenRounds($this->owner->school_id))->failedSteps());
        $places = fn (): array => array_values(array_unique(array_map(
            static fn ($round): ?string => $round->place, App\Marks\StandingMarks::of($learner),
        )));
        $past = $this->getJson("api/sites/{$this->into['id']}/past")->json();
        expect($past)->toHaveCount(1)->and($past[0])->toMatchArray(['from' => 's', 'to' => 'e', 'rounds' => 3])
            ->and($drivenAt())->toBe([[$here, 3]])->and($places())->toBe([$here]);
        // And so it stays where that is one with yet another; taken out again it is a place of its own.
        $third = ($this->draw)(['name' => 'A third drawing']);
        $last = ($this->way)($third, 's', 'e');
        $this->postJson("api/sites/{$third['id']}/merge", [
            'other' => $this->into['id'], 'ways' => [['place_id' => $here, 'from' => 's', 'to' => 'e']],
        ])->assertOk();
        expect($drivenAt())->toBe([[$last, 3]])->and($places())->toBe([$last])
            ->and($this->getJson("api/sites/{$third['id']}/past")->json('0.rounds'))->toBe(3);
        $this->postJson("api/places/{$there}/restore")->assertOk();
        expect($drivenAt())->toEqualCanonicalizing([[$there, 2], [$last, 1]]);
    });

    it('is refused where a way has no like here, is left out, or the law is another, and then nothing has moved', function (): void {
        $place = ($this->way)($this->other, 'x', 'e');
        foreach ([[], [['place_id' => $place, 'from' => 's', 'to' => 'w']], [['place_id' => $place, 'from' => 'w', 'to' => 'e']]] as $ways) {
            ($this->merge)($ways)->assertUnprocessable()->assertJsonValidationErrorFor('ways');
        }
        ($this->merge)([], $this->into['id'])->assertUnprocessable()->assertJsonValidationErrorFor('other');
        ($this->merge)([], (string) Illuminate\Support\Str::uuid7())->assertUnprocessable()->assertJsonValidationErrorFor('other');
        $abroad = ($this->draw)(['name' => 'Abroad', 'pack' => 'ie']);
        ($this->merge)([], $abroad['id'])->assertUnprocessable()->assertJsonValidationErrorFor('other');
        expect(Place::query()->findOrFail($place)->site_id)->toBe($this->other['id'])->and(Site::query()->count())->toBe(3);
    });

    it('keeps this drawing as it is where the two contradict each other', function (): void {
        $arms = Routes::ARMS;
        $arms[2] += ['path_before_m' => 6, 'room_m' => 40];
        $site = ($this->draw)(['name' => 'Another', 'arms' => $arms]);
        $own = Site::query()->findOrFail($this->into['id'])->arms;
        $own[2] += ['view_beyond_m' => 3];
        Site::query()->whereKey($this->into['id'])->update(['arms' => json_encode($own)]);
        $place = ($this->way)($site, 's', 'e');
        $one = ($this->merge)([['place_id' => $place, 'from' => 's', 'to' => 'e']], $site['id'])->assertOk()->json();
        expect(array_column($one['used'], 'place_id'))->toBe([$place])->and($one['arms'][2])->toMatchArray(['view_beyond_m' => 3]);
    });
});
