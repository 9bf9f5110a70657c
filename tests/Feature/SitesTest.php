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
