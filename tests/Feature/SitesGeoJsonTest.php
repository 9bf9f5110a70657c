<?php

use App\Models\Place;
use App\Models\Site;
use Tests\Routes;

/* Sites out and in as GeoJSON (RFC 7946). GDAL's `ogrinfo` reads what goes out where it is installed (bin/test core installs it). */

beforeEach(function (): void {
    $this->actingAs($this->user($this->school(), 'owner'));
    $this->feature = fn (string $name, array $properties = [], mixed $geometry = ['type' => 'Point', 'coordinates' => [-8.1, 49.2]]): array => [
        'type' => 'Feature', 'geometry' => $geometry, 'properties' => ['name' => $name, 'kind' => 'junction', 'arms' => Routes::ARMS, ...$properties],
    ];
    $this->bring = fn (array $features, bool $keep = false): array => $this->postJson('api/sites/import', [
        'type' => 'FeatureCollection', 'features' => $features, 'keep' => $keep,
    ])->assertOk()->json();
});

it('brings back what it gave out, as it was', function (): void {
    $this->postJson('api/sites', ['name' => 'A', 'kind' => 'junction', 'arms' => Routes::ARMS, 'latitude_deg' => 49.2, 'longitude_deg' => -8.1, 'note' => 'x']);
    $this->postJson('api/sites', ['name' => 'B', 'kind' => 'roundabout', 'arms' => array_map(
        static fn (array $arm): array => ['control' => 'give-way'] + $arm, Routes::ARMS,
    )]);
    $out = $this->getJson('api/sites/geojson')->assertOk()->json();
    expect($out['features'][0]['geometry'])->toBe(['type' => 'Point', 'coordinates' => [-8.1, 49.2]])->and($out['features'][1]['geometry'])->toBeNull();
    // Into the same school it is nothing new.
    expect(array_column(($this->bring)($out['features'], true)['rows'], 'what'))->toBe(['same', 'same']);
    Site::query()->delete();
    expect(($this->bring)($out['features'], true))->toMatchArray(['whole' => true, 'kept' => 2]);
    $again = $this->getJson('api/sites/geojson')->json();
    $without = static fn (array $features): array => array_map(static fn (array $one): array => array_diff_key($one, ['id' => 0]), $features);
    expect($without($again['features']))->toEqual($without($out['features']));
    expect($this->getJson('api/sites')->json('0.ways'))->toHaveCount(6);
});

it('says what each would do before anything is kept, and keeps all or none', function (): void {
    $features = [
        ($this->feature)('New one'), ($this->feature)('', []), ($this->feature)('No such kind', ['kind' => 'square']),
        ($this->feature)('Two roads', ['arms' => array_slice(Routes::ARMS, 1)]), ($this->feature)('new ONE'),
        ($this->feature)('On a line', [], ['type' => 'LineString', 'coordinates' => [[0, 0], [1, 1]]]),
        ($this->feature)('Beyond the pole', [], ['type' => 'Point', 'coordinates' => [0, 91]]), 'nothing', ($this->feature)('Nobody’s law', ['pack' => 'moon']),
        ($this->feature)('An arm of text', ['arms' => ['x']]),
    ];
    $said = ($this->bring)($features, true);
    expect($said['whole'])->toBeFalse()->and($said['kept'])->toBe(0)->and(Site::query()->count())->toBe(0);
    $messages = array_column($said['rows'], 'message', 'line');
    expect(array_column($said['rows'], 'what'))->toBe(['new', ...array_fill(0, 9, 'refused')])
        ->and($messages[2])->toContain('name must be')->and($messages[3])->toContain('kind must be one of')->and($messages[4])->toContain('3 to 8 roads')
        ->and($messages[5])->toContain('line 1')->and($messages[6])->toContain('Point')->and($messages[7])->toContain('geometry')
        ->and($messages[9])->toContain('pack must be one of');
    expect(($this->bring)([$features[0]], false)['kept'])->toBe(0)->and(($this->bring)([$features[0]], true)['kept'])->toBe(1);
});

it('takes another drawing of a site that is kept, and lets the ways that lessons use follow it', function (): void {
    ($this->bring)([($this->feature)('A')], true);
    $site = Site::query()->firstOrFail();
    $place = $this->postJson("api/sites/{$site->id}/ways", ['from' => 's', 'to' => 'e'])->json('id');
    $arms = Routes::ARMS;
    $arms[1]['limit_mph'] = 60;
    expect(($this->bring)([($this->feature)('a', ['arms' => $arms])], true)['rows'][0]['what'])->toBe('changed')
        ->and(Site::query()->count())->toBe(1)->and(Place::query()->findOrFail($place)->road['road_met'])->toBe(['limit_mph' => 60]);
});

it('says of a new one that it lies where another does already', function (): void {
    ($this->bring)([($this->feature)('Chapel T')], true);
    $said = ($this->bring)([
        ($this->feature)('The T by the chapel', [], ['type' => 'Point', 'coordinates' => [-8.1001, 49.2001]]),
        ($this->feature)('Far off', [], ['type' => 'Point', 'coordinates' => [-8.2, 49.2]]),
    ]);
    expect($said['rows'][0]['message'])->toMatch('/^lies 1\d m from Chapel T/')->and($said['rows'][1]['message'])->toBeNull();
});

it('gives out what a geographic library reads', function (): void {
    if (trim((string) shell_exec('command -v ogrinfo')) === '') {
        if (getenv('CI')) {
            throw new RuntimeException('ogrinfo is missing: bin/test installs it.');
        }
        $this->markTestSkipped('ogrinfo is not installed.');
    }
    ($this->bring)([($this->feature)('Chapel T'), ($this->feature)('Far off', [], ['type' => 'Point', 'coordinates' => [-8.2, 49.25]])], true);
    $file = tempnam(sys_get_temp_dir(), 'noble-turn').'.geojson';
    file_put_contents($file, (string) $this->getJson('api/sites/geojson')->getContent());
    $said = (string) shell_exec('ogrinfo -al -so '.escapeshellarg($file).' 2>&1');
    unlink($file);
    expect($said)->toContain('GeoJSON')->toContain('Geometry: Point')->toContain('Feature Count: 2')
        ->toContain('Extent: (-8.200000, 49.200000) - (-8.100000, 49.250000)');
});

it('goes out as its schema says, every kind of site, and comes in again with all that is said of its ways', function (): void {
    $remark = ['from' => 's', 'to' => 'e', 'routine' => 'emerge-right', 'note' => 'buses', 'difficulty' => 'hard'];
    $kept = [
        ['name' => 'T', 'kind' => 'junction', 'arms' => Routes::ARMS, 'remarks' => [$remark], 'latitude_deg' => 49.2, 'longitude_deg' => -8.1],
        ['name' => 'Slip', 'kind' => 'slip', 'arms' => Routes::SLIP],
        ['name' => 'Car park', 'kind' => 'kerb', 'arms' => [['id' => 'a', 'name' => 'Quay', 'bearing_deg' => 0, 'holds' => ['bay']]]],
    ];
    foreach ($kept as $site) {
        $this->postJson('api/sites', $site)->assertCreated();
    }
    $schema = (string) file_get_contents(base_path('docs/schemas/sites-geojson.json'));
    expect($schema)->toBe(App\Contract\Document::sites());
    $out = $this->getJson('api/sites/geojson')->assertOk();
    $valid = (new Opis\JsonSchema\Validator)->validate(json_decode($out->getContent()), $schema);
    expect($valid->isValid())->toBeTrue((string) $valid->error());
    expect(($this->bring)($out->json('features'), true)['rows'])->each->toMatchArray(['what' => 'same']);
    Site::query()->forceDelete();
    expect(($this->bring)($out->json('features'), true)['kept'])->toBe(3);
    expect(Site::query()->where('name', 'T')->sole()->remarks)->toEqual([$remark]);
    // What is said of a way is refused by its field as the rest is.
    $wrong = $out->json('features');
    foreach ($wrong as $i => $feature) {
        $wrong[$i]['properties']['remarks'] = [['difficulty' => 'awful'] + $remark];
    }
    expect(($this->bring)($wrong, true)['rows'][0]['message'])->toContain('remarks.0.difficulty');
});
