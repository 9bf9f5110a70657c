<?php

use App\Models\Circuit;
use App\Models\Leg;
use App\Models\School;
use Tests\Routes;

/* Circuits are kept by whoever planned them, shared where they say so; the file of a centre belongs to the whole school. */

beforeEach(function (): void {
    $this->owner = $this->user($this->school(), 'owner');
    $this->school = School::query()->findOrFail($this->owner->school_id);
    $this->wanda = $this->user($this->school);
    $this->actingAs($this->wanda);
    $draw = fn (string $name, float $north): string => $this->postJson('api/sites', [
        'name' => $name, 'kind' => 'junction', 'arms' => Routes::ARMS, 'latitude_deg' => 49.2 + $north, 'longitude_deg' => -8.1,
    ])->assertCreated()->json('id');
    $this->site = $draw('Ropewalk', 0.0);
    $this->other = $draw('Tar Lane', 0.006);
    $this->way = fn (string $site, int $rounds = 2): array => ['site' => $site, 'from' => 's', 'to' => 'e', 'routine' => 'emerge-right', 'rounds' => $rounds];
    $this->asked = [
        'name' => 'Right turns, quiet first', 'minutes' => 60, 'order' => 'easy-to-hard', 'shared' => false,
        'ways' => [($this->way)($this->site), ($this->way)($this->other, 3)],
    ];
});

it('keeps a circuit as it was planned, changes it, archives it and brings it back', function (): void {
    $kept = $this->postJson('api/circuits', $this->asked)->assertCreated()->json();
    expect($kept)->toMatchArray([...$this->asked, 'rehearsal' => false, 'centre_id' => null, 'mine' => true, 'may_change' => true, 'by' => 'A instructor'])
        ->and($this->getJson('api/circuits')->json())->toBe([$kept]);
    $more = ['rehearsal' => true, 'minutes' => 45, 'note' => 'In silence'];
    $changed = $this->putJson("api/circuits/{$kept['id']}", [...$this->asked, ...$more])->assertOk()->json();
    expect($changed)->toMatchArray($more);
    // What is no longer said is no longer kept.
    expect($this->putJson("api/circuits/{$kept['id']}", $this->asked)->json())->toBe($kept);
    $this->deleteJson("api/circuits/{$kept['id']}")->assertNoContent();
    expect($this->getJson('api/circuits')->json())->toBe([]);
    $this->postJson("api/circuits/{$kept['id']}/restore")->assertOk()->assertExactJson($kept);
});

it('shows a colleague what is shared and nothing else, and lets only its keeper and the owner change it', function (): void {
    $mine = $this->postJson('api/circuits', $this->asked)->json('id');
    $shared = $this->postJson('api/circuits', [...$this->asked, 'shared' => true])->json('id');
    foreach ([[$this->user($this->school), 403], [$this->owner, 200]] as [$other, $status]) {
        $this->actingAs($other);
        expect(array_column($this->getJson('api/circuits')->json(), 'id'))->toBe([$shared])
            ->and($this->getJson('api/circuits')->json('0'))->toMatchArray(['mine' => false, 'may_change' => $status === 200, 'by' => 'A instructor']);
        $this->putJson("api/circuits/{$mine}", $this->asked)->assertForbidden();
        $this->putJson("api/circuits/{$shared}", [...$this->asked, 'shared' => true, 'minutes' => 30])->assertStatus($status);
        $this->deleteJson("api/circuits/{$mine}")->assertForbidden();
        // Copied it is their own.
        expect($this->postJson('api/circuits', $this->asked)->assertCreated()->json('mine'))->toBeTrue();
    }
    expect(Circuit::withoutGlobalScopes()->find($mine)?->deleted_at)->toBeNull();
});

it('takes ways that there are, and says of another which it is', function (array $wrong, string $field): void {
    $asked = [...$this->asked];
    $asked['ways'][1] = [...$asked['ways'][1], ...$wrong];
    $this->postJson('api/circuits', $asked)->assertUnprocessable()->assertJsonValidationErrors($field);
    expect(Circuit::query()->count())->toBe(0);
})->with([
    'a site of nobody' => [['site' => '01a224cf-0000-7000-8000-000000000000'], 'ways.1.site'],
    'a way nobody drives' => [['to' => 's'], 'ways.1.routine'], 'a routine not taught there' => [['routine' => 'overtake'], 'ways.1.routine'],
    'no rounds' => [['rounds' => 0], 'ways.1.rounds'], 'half a round' => [['rounds' => 1.5], 'ways.1.rounds'],
]);

it('refuses a circuit of nothing, of no time, in no order, from a centre of nobody', function (array $wrong): void {
    $this->postJson('api/circuits', [...$this->asked, ...$wrong])->assertUnprocessable()->assertJsonValidationErrors(array_keys($wrong));
})->with([
    [['ways' => []]], [['minutes' => 5]], [['order' => 'best']], [['name' => '']], [['centre_id' => '01a224cf-0000-7000-8000-000000000000']],
]);

it('says what each way is planned with, as whoever asks teaches, and keeps nothing', function (): void {
    $this->putJson('api/rules/mine', ['pack' => null, 'practice' => ['signal' => 'limit-number']])->assertOk();
    $plans = $this->postJson('api/circuits/plans', ['ways' => [($this->way)($this->other)]])->assertOk()->json();
    expect($plans)->toHaveCount(1)->and($plans[0])->toMatchArray(['name' => 'Tar Lane: from Ropewalk, right', 'tool' => 'approach'])
        ->and($plans[0]['inputs'])->toMatchArray(['routine' => 'emerge-right', 'pack' => 'gb', 'limit_mph' => 30, 'practice' => ['signal' => 'limit-number']]);
    // As it is given it can be asked.
    $this->postJson('api/compute/approach', $plans[0]['inputs'])->assertOk();
    expect(Circuit::query()->count())->toBe(0);
});

it('keeps what one must know at a test centre, and its routes with it', function (): void {
    $said = [
        'name' => 'Lantern Hill', 'latitude_deg' => 49.21, 'longitude_deg' => -8.12, 'arrival' => 'Five minutes before; wait in the lay-by.',
        'bays' => 'Twelve, nose in, the last two for tests only.', 'ways_in_and_out' => 'In by the east gate only.', 'note' => null,
        'checks' => ['Show me how you would wash the windscreen.', 'Where is the engine oil checked?'],
        'traps' => [['site' => $this->site, 'note' => 'The lane ends behind the crest.'], ['site' => $this->other, 'note' => null]],
    ];
    $centre = $this->postJson('api/centres', $said)->assertCreated()->json();
    expect($centre)->toMatchArray($said);
    $route = $this->postJson('api/circuits', [...$this->asked, 'centre_id' => $centre['id'], 'rehearsal' => true])->assertCreated()->json();
    expect($route['centre_id'])->toBe($centre['id']);
    $short = $this->putJson("api/centres/{$centre['id']}", ['name' => 'Lantern Hill'])->assertOk()->json();
    expect($short)->toMatchArray(['arrival' => null, 'checks' => [], 'traps' => [], 'latitude_deg' => null]);
    $this->deleteJson("api/centres/{$centre['id']}")->assertNoContent();
    expect($this->getJson('api/centres')->json())->toBe([])->and($this->getJson('api/circuits')->json('0.centre_id'))->toBe($centre['id']);
    // No more routes for one that is gone, until it is back.
    $this->postJson('api/circuits', [...$this->asked, 'centre_id' => $centre['id']])->assertUnprocessable();
    $this->postJson("api/centres/{$centre['id']}/restore")->assertOk()->assertExactJson($short);
    $this->postJson('api/centres', ['name' => 'x', 'latitude_deg' => 49])->assertUnprocessable()->assertJsonValidationErrors('longitude_deg');
    $this->postJson('api/centres', ['name' => 'x', 'traps' => [['site' => $centre['id']]]])->assertUnprocessable()->assertJsonValidationErrors('traps.0.site');
});

it('follows a site that was drawn twice, where the roads of both are known', function (): void {
    $twin = $this->postJson('api/sites', ['name' => 'Out of the rope walk', 'kind' => 'junction', 'arms' => array_map(
        static fn (array $arm): array => [...$arm, 'id' => "x{$arm['id']}"], Routes::ARMS,
    )])->json('id');
    $place = $this->postJson("api/sites/{$twin}/ways", ['from' => 'xs', 'to' => 'xe'])->json('id');
    $known = ['site' => $twin, 'from' => 'xs', 'to' => 'xe', 'routine' => 'emerge-right', 'rounds' => 2];
    $unknown = [...$known, 'to' => 'xw', 'routine' => 'emerge-left'];
    $circuit = $this->postJson('api/circuits', [...$this->asked, 'ways' => [$known, $unknown, ($this->way)($this->other)]])->assertCreated()->json();
    $traps = [['site' => $twin, 'note' => 'a'], ['site' => $this->other, 'note' => null]];
    $centre = $this->postJson('api/centres', ['name' => 'x', 'traps' => $traps])->json('id');
    foreach ([[$twin, $this->other], [$twin, $this->site]] as [$from, $to]) {
        Leg::query()->create(['from_site_id' => $from, 'to_site_id' => $to, 'time_s' => 60, 'distance_m' => 500, 'driven_at' => now()]);
    }
    $this->postJson("api/sites/{$this->site}/merge", ['other' => $twin, 'ways' => [['place_id' => $place, 'from' => 's', 'to' => 'e']]])->assertOk();
    // What nobody has said stays as it was: the page says that it is no longer drawn.
    expect($this->getJson('api/circuits')->json('0.ways'))->toBe([($this->way)($this->site), $unknown, ($this->way)($this->other)])
        ->and(collect($this->getJson('api/centres')->json())->firstWhere('id', $centre)['traps'])->toBe([
            ['site' => $this->site, 'note' => 'a'], ['site' => $this->other, 'note' => null],
        ])->and(array_map(static fn (array $leg): array => [$leg['from'], $leg['to']], $this->getJson('api/legs')->json('measured')))
        ->toBe([[$this->site, $this->other]])->and($circuit['ways'][0]['site'])->toBe($twin);
});

it('stands among what was archived, for who may bring it back, and in what was changed', function (): void {
    $mine = $this->postJson('api/circuits', $this->asked)->json('id');
    $centre = $this->postJson('api/centres', ['name' => 'Lantern Hill'])->json('id');
    $this->deleteJson("api/circuits/{$mine}");
    $this->deleteJson("api/centres/{$centre}");
    $names = fn (): array => array_map(fn (string $of): array => array_column($this->getJson('api/archived')->json($of), 'name'), ['circuits', 'centres']);
    expect($names())->toBe([['Right turns, quiet first'], ['Lantern Hill']]);
    $this->actingAs($this->user($this->school));
    expect($names())->toBe([[], ['Lantern Hill']]);
    $this->actingAs($this->owner);
    $said = array_map(static fn (array $change): string => "{$change['what']} {$change['kind']}", $this->getJson('api/changes')->json('changes'));
    expect($said)->toContain('added circuit', 'archived circuit', 'added centre', 'archived centre');
});
