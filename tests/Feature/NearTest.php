<?php

use App\Models\Change;
use App\Models\Learner;
use App\Models\School;
use Tests\Routes;

/* Where the school lies and learners are picked up, and which sites are near. */

beforeEach(function (): void {
    $this->owner = $this->user($this->school(), 'owner');
    $this->actingAs($this->owner);
    $this->draw = fn (string $name, ?float $north, float $east = 0.0): string => $this->postJson('api/sites', [
        'name' => $name, 'kind' => 'junction', 'arms' => Routes::ARMS,
        ...$north === null ? [] : ['latitude_deg' => 49.2 + $north, 'longitude_deg' => -8.1 + $east],
    ])->assertCreated()->json('id');
    $this->near = fn (float $latitude = 49.2, float $longitude = -8.1): array => $this->getJson(
        "api/sites/near?latitude_deg={$latitude}&longitude_deg={$longitude}",
    )->assertOk()->json();
    $this->learner = ['name' => 'Orla', 'transmission' => 'manual', 'level' => 'beginner', 'pick_up' => '4 Chandlers Row'];
});

it('lists sites by how far one drives, and none that lies nowhere', function (): void {
    $far = ($this->draw)('Far', 0.09);
    $near = ($this->draw)('Near', 0.01);
    ($this->draw)('Nowhere', null);
    $here = ($this->draw)('Here', 0.0);
    $rows = ($this->near)();
    expect(array_column($rows, 'site'))->toBe([$here, $near, $far]);
    // 0.01 degrees of latitude at 49.2 are 1112.2 m (GeodSolve); 1.3 times as far by road, at 26 km/h.
    expect($rows[0])->toMatchArray(['distance_m' => 0, 'driven_m' => 0, 'time_s' => 0])
        ->and($rows[1])->toMatchArray(['distance_m' => 1112, 'driven_m' => 1446, 'time_s' => 200])
        // Far off one drives on faster roads.
        ->and($rows[2]['time_s'])->toBeLessThan($rows[2]['driven_m'] * 3.6 / 26)->toBeGreaterThan($rows[2]['driven_m'] * 3.6 / 50);
    // From elsewhere it is another order.
    expect(array_column(($this->near)(49.3), 'site'))->toBe([$far, $near, $here]);
});

it('asks for somewhere on the earth, by the name of the field', function (string $query, string $field): void {
    $this->getJson("api/sites/near?{$query}")->assertUnprocessable()->assertJsonValidationErrors($field);
})->with([
    ['longitude_deg=1', 'latitude_deg'], ['latitude_deg=91&longitude_deg=1', 'latitude_deg'], ['latitude_deg=1&longitude_deg=x', 'longitude_deg'],
]);

it('shows nobody the sites of another school', function (): void {
    ($this->draw)('Ours', 0.01);
    $this->actingAs($this->user($this->school(), 'owner'));
    expect(($this->near)())->toBe([]);
});

it('keeps where a learner is picked up, beside the address, and leaves it alone where nothing is said of it', function (): void {
    $at = ['pick_up_latitude_deg' => 49.21, 'pick_up_longitude_deg' => -8.12];
    $learner = $this->postJson('api/learners', $this->learner + $at)->assertCreated()->assertJson($at)->json();
    expect($this->getJson('api/learners')->json()[0])->toMatchArray(['id' => $learner['id']] + $at);
    $this->putJson("api/learners/{$learner['id']}", ['name' => 'Orla P.'] + $this->learner)->assertOk()->assertJson($at);
    $this->putJson("api/learners/{$learner['id']}", $this->learner + ['pick_up_latitude_deg' => null, 'pick_up_longitude_deg' => null])
        ->assertOk()->assertJson(['pick_up_latitude_deg' => null, 'pick_up_longitude_deg' => null]);
    expect(Learner::query()->findOrFail($learner['id'])->pick_up)->toBe('4 Chandlers Row');
});

it('refuses half a position, and one that is not on the earth', function (array $said, string $field): void {
    $this->postJson('api/learners', $this->learner + $said)->assertUnprocessable()->assertJsonValidationErrors($field);
    $this->putJson('api/school/position', array_combine(
        array_map(static fn (string $name): string => str_replace('pick_up_', '', $name), array_keys($said)), $said,
    ))->assertUnprocessable()->assertJsonValidationErrors(str_replace('pick_up_', '', $field));
    expect(Learner::query()->count())->toBe(0);
})->with([
    'half' => [['pick_up_latitude_deg' => 49.2], 'pick_up_longitude_deg'],
    'the other half' => [['pick_up_latitude_deg' => null, 'pick_up_longitude_deg' => -8.1], 'pick_up_latitude_deg'],
    'beyond a pole' => [['pick_up_latitude_deg' => 90.1, 'pick_up_longitude_deg' => -8.1], 'pick_up_latitude_deg'],
]);

it('puts the school on the map, by its owner, and tells whoever is signed in', function (): void {
    $at = ['latitude_deg' => 49.2, 'longitude_deg' => -8.1];
    expect($this->getJson('api/session')->json('school.latitude_deg'))->toBeNull();
    $this->putJson('api/school/position', $at)->assertOk()->assertExactJson($at);
    expect($this->getJson('api/session')->json('school'))->toMatchArray($at);
    $school = School::query()->findOrFail($this->owner->school_id);
    $this->actingAs($this->user($school))->putJson('api/school/position', $at)->assertForbidden();
    expect($this->getJson('api/session')->json('school'))->toMatchArray($at);
});

it('hands the position out with the rest of what is kept of a learner, and erases it with the rest', function (): void {
    $at = ['pick_up_latitude_deg' => 49.21, 'pick_up_longitude_deg' => -8.12];
    $learner = $this->postJson('api/learners', $this->learner + $at)->json('id');
    expect($this->getJson("api/learners/{$learner}/data")->json('learner'))->toMatchArray($at);
    $this->deleteJson("api/learners/{$learner}")->assertNoContent();
    $this->postJson("api/learners/{$learner}/erasure", ['name' => 'Orla'])->assertSuccessful();
    $kept = Learner::withTrashed()->findOrFail($learner);
    expect([$kept->pick_up, $kept->pick_up_latitude_deg, $kept->pick_up_longitude_deg])->toBe([null, null, null])
        ->and(json_encode(Change::query()->pluck('details')->all()))->not->toContain('49.21');
});
