<?php

use App\Interchange\TrackGpx;
use App\Interchange\UnreadableTrack;
use App\Models\Leg;
use Tests\Routes;

/*
 * Circuits out as GPX 1.1, recorded drives in. What goes out is held against the published schema (Topografix, GPX 1.1, out of Debian's package
 * pytrainer, which bin/test fetches) and read by GDAL; what comes in wrong is refused with its reason, and nothing in it is looked up anywhere.
 */

/**
 * @param  list<array{float, float, string}>  $points  latitude, longitude, time
 */
function trackOf(array $points, string $head = '<gpx xmlns="http://www.topografix.com/GPX/1/1" version="1.1" creator="x">', string $before = ''): string
{
    $all = array_map(
        static fn (array $point): string => "<trkpt lat=\"{$point[0]}\" lon=\"{$point[1]}\"><ele>3</ele><time>{$point[2]}</time></trkpt>", $points,
    );

    return "<?xml version=\"1.0\"?>{$before}{$head}<trk><name>x</name><trkseg>".implode("\n", $all).'</trkseg></trk></gpx>';
}

/** @return list<array{float, float, string}> due north at 10 m/s, a point every two seconds, through 49.2 and 49.206 */
function drivenNorth(int $points = 60, string $from = '2026-05-20T09:00:00Z', int $every = 2): array
{
    return array_map(static fn (int $i): array => [
        round(49.199 + 10 * $every * $i / 111_220, 7), -8.1, date('Y-m-d\TH:i:s\Z', strtotime($from) + $every * $i),
    ], range(0, $points - 1));
}

beforeEach(function (): void {
    $this->actingAs($this->user($this->school(), 'owner'));
    $draw = fn (string $name, float $north): string => $this->postJson('api/sites', [
        'name' => $name, 'kind' => 'junction', 'arms' => Routes::ARMS, 'latitude_deg' => 49.2 + $north, 'longitude_deg' => -8.1,
    ])->assertCreated()->json('id');
    $this->near = $draw('Ropewalk & Tar <Lane>', 0.0);
    $this->far = $draw('Mill', 0.006);
    $way = ['from' => 's', 'to' => 'e', 'routine' => 'emerge-right'];
    $this->out = fn (array $more = []): string => $this->postJson('api/circuits/gpx', [
        'name' => 'Right turns “quiet first”', 'start' => ['name' => 'Pick-up', 'latitude_deg' => 49.19, 'longitude_deg' => -8.11],
        'end' => ['name' => 'Pick-up', 'latitude_deg' => 49.19, 'longitude_deg' => -8.11],
        'ways' => [[...$way, 'site' => $this->far, 'rounds' => 3], [...$way, 'site' => $this->near, 'rounds' => 1]], ...$more,
    ])->assertOk()->json('gpx');
    $this->read = fn (string $gpx, bool $keep = false): Illuminate\Testing\TestResponse => $this->postJson('api/legs/track', ['gpx' => $gpx, 'keep' => $keep]);
});

it('gives a circuit out as the schema of GPX 1.1 has it', function (): void {
    $schema = base_path('var/schemas/gpx11.xsd');
    if (! is_file($schema)) {
        if (getenv('CI')) {
            throw new RuntimeException('The schema of GPX is missing: bin/test fetches it.');
        }
        $this->markTestSkipped('The schema of GPX is not there.');
    }
    $document = new DOMDocument;
    $elsewhere = ['end' => ['name' => "Harbour\u{0001}", 'latitude_deg' => '49.25', 'longitude_deg' => 179.9999999]];
    foreach ([($this->out)(), ($this->out)($elsewhere)] as $gpx) {
        expect($document->loadXML($gpx))->toBeTrue()->and($document->schemaValidate($schema))->toBeTrue();
    }
    // The schema is no lookout for everything: a point beyond the pole it does refuse.
    $document->loadXML(str_replace('lat="49.190000"', 'lat="151"', ($this->out)()));
    $before = libxml_use_internal_errors(true);
    expect($document->schemaValidate($schema))->toBeFalse();
    libxml_clear_errors();
    libxml_use_internal_errors($before);
});

it('says the start, the ways in the order driven and the end, once as places and once as a route', function (): void {
    $xml = simplexml_load_string(($this->out)());
    $names = static fn (iterable $points): array => array_map(static fn ($point): string => (string) $point->name, iterator_to_array($points, false));
    expect($names($xml->wpt))->toBe(['Pick-up', 'Mill', 'Ropewalk & Tar <Lane>'])
        ->and($names($xml->rte->rtept))->toBe(['Pick-up', 'Mill', 'Ropewalk & Tar <Lane>', 'Pick-up'])
        ->and((string) $xml->rte->rtept[1]['lat'])->toBe('49.206000')->and((string) $xml->rte->rtept[1]->desc)->toBe('Emerge right, 3 rounds')
        ->and((string) $xml->rte->rtept[2]->desc)->toBe('Emerge right, once')->and((string) $xml->metadata->name)->toBe('Right turns “quiet first”');
});

it('is read by a geographic library', function (): void {
    if (trim((string) shell_exec('command -v ogrinfo')) === '') {
        if (getenv('CI')) {
            throw new RuntimeException('ogrinfo is missing: bin/test installs it.');
        }
        $this->markTestSkipped('ogrinfo is not installed.');
    }
    $file = tempnam(sys_get_temp_dir(), 'noble-turn').'.gpx';
    file_put_contents($file, ($this->out)());
    $said = (string) shell_exec('ogrinfo -al '.escapeshellarg($file).' 2>&1');
    unlink($file);
    expect($said)->toContain("using driver `GPX' successful")->toContain('LINESTRING (-8.11 49.19,-8.1 49.206,-8.1 49.2,-8.11 49.19)')
        ->toContain('Ropewalk & Tar <Lane>')->not->toContain('ERROR');
});

it('measures a recorded drive between the sites it passed, and keeps it once', function (): void {
    $gpx = trackOf(drivenNorth());
    $read = ($this->read)($gpx)->assertOk()->json();
    // 0.006 degrees at 10 m/s: 667 m.
    expect($read['drives'])->toHaveCount(1)->and($read['drives'][0])->toMatchArray([
        'from' => $this->near, 'to' => $this->far, 'time_s' => 67, 'distance_m' => 667, 'driven_at' => '2026-05-20T09:00:11Z', 'stood_s' => 0, 'known' => false,
    ])->and($read)->toMatchArray(['points' => 60, 'time_s' => 118, 'left_out' => [], 'kept' => 0])->and(Leg::query()->count())->toBe(0);
    expect(($this->read)($gpx, true)->json('kept'))->toBe(1)->and(($this->read)($gpx, true)->json())->toMatchArray(['kept' => 0])
        ->and(($this->read)($gpx)->json('drives.0.known'))->toBeTrue()->and(Leg::query()->count())->toBe(1);
    // Driven on two other days, slower: the middle one counts.
    foreach ([['2026-05-21T09:00:00Z', 3], ['2026-05-22T09:00:00Z', 4]] as [$from, $every]) {
        $points = array_map(static fn (array $point, int $i): array => [$point[0], $point[1], date('Y-m-d\TH:i:s\Z', strtotime($from) + $every * $i)],
            drivenNorth(), range(0, 59));
        expect(($this->read)(trackOf($points), true)->json('kept'))->toBe(1);
    }
    $legs = $this->getJson('api/legs')->assertOk()->json();
    expect($legs['measured'])->toBe([['from' => $this->near, 'to' => $this->far, 'time_s' => 100, 'distance_m' => 667, 'times' => 3]])
        ->and(array_column($legs['drives'], 'time_s'))->toBe([133, 100, 67]);
    // One that was wrong is thrown out, and does not come back with its file.
    $this->deleteJson("api/legs/{$legs['drives'][0]['id']}")->assertNoContent();
    expect($this->getJson('api/legs')->json('measured.0'))->toMatchArray(['time_s' => 84, 'times' => 2]);
    $this->postJson("api/legs/{$legs['drives'][0]['id']}/restore")->assertOk()->assertExactJson($legs['drives'][0]);
});

it('measures from where the school lies too', function (): void {
    $this->putJson('api/school/position', ['latitude_deg' => 49.203, 'longitude_deg' => -8.1])->assertSuccessful();
    $drives = ($this->read)(trackOf(drivenNorth()))->json('drives');
    expect(array_map(static fn (array $drive): array => [$drive['from'], $drive['to'], $drive['time_s']], $drives))
        ->toBe([[$this->near, null, 33], [null, $this->far, 33]]);
});

it('reads what other receivers write', function (string $gpx): void {
    expect(($this->read)($gpx)->assertOk()->json('drives.0.time_s'))->toBe(67);
})->with([
    'the form before' => [fn (): string => trackOf(drivenNorth(), '<gpx xmlns="http://www.topografix.com/GPX/1/0" version="1.0" creator="x">')],
    'another prefix' => [fn (): string => (string) preg_replace('#<(/?)(gpx|trk|trkseg|trkpt|time|ele|name)\b#', '<$1g:$2',
        str_replace('xmlns=', 'xmlns:g=', trackOf(drivenNorth())))],
    'tenths of a second, in another zone' => [fn (): string => trackOf(array_map(
        static fn (array $point): array => [$point[0], $point[1], str_replace(['T09', 'Z'], ['T10', '.500+01:00'], $point[2])], drivenNorth(),
    ))],
    'extensions with a time of their own' => [fn (): string => str_replace(
        '</time>', '</time><extensions><x:a xmlns:x="x"><x:time>y</x:time></x:a></extensions>', trackOf(drivenNorth()),
    )],
    'every moment twice' => [fn (): string => trackOf(array_merge(...array_map(static fn (array $point): array => [$point, $point], drivenNorth())))],
]);

it('refuses what it cannot read, and says why', function (string $gpx, string $why): void {
    ($this->read)($gpx, true)->assertUnprocessable()->assertJsonValidationErrors(['gpx' => $why]);
    expect(Leg::query()->count())->toBe(0);
})->with([
    'no XML' => ['Sunday drive', 'must be XML that can be read: line 1'],
    'half of one' => [fn (): string => substr(trackOf(drivenNorth()), 0, 900), 'must be XML that can be read'],
    'another language' => ['<kml xmlns="http://www.opengis.net/kml/2.2"/>', 'must be GPX: its first element is another.'],
    'GPX of nobody' => [fn (): string => trackOf(drivenNorth(), '<gpx version="1.1">'), 'must be GPX: its first element is another.'],
    'no track' => ['<gpx xmlns="http://www.topografix.com/GPX/1/1" version="1.1" creator="x"><wpt lat="1" lon="1"/></gpx>', 'two points or more'],
    'one point' => [fn (): string => trackOf(drivenNorth(1)), 'two points or more'],
    'no times' => [fn (): string => (string) preg_replace('#<time>[^<]*</time>#', '', trackOf(drivenNorth())), 'point 1 has none'],
    'shuffled' => [fn (): string => trackOf([...array_slice(drivenNorth(), 0, 20), ...array_reverse(array_slice(drivenNorth(), 20))]),
        'point 22 is earlier than the one before it.'],
    'beyond the pole' => [fn (): string => str_replace('lat="49.2000790"', 'lat="151"', trackOf([[49.2, -8.1, '2026-05-20T09:00:00Z'],
        [49.200079, -8.1, '2026-05-20T09:00:02Z'], [151, -8.1, '2026-05-20T09:00:04Z']])), 'point 3 a lat from -90 to 90'],
    'no number' => [fn (): string => trackOf([['north', -8.1, '2026-05-20T09:00:00Z']]), 'point 1 a lat from -90 to 90'],
    'a day there is not' => [fn (): string => trackOf([[49.2, -8.1, '2026-13-20T09:00:00Z']]), 'point 1 a time'],
    'a time of no clock' => [fn (): string => trackOf([[49.2, -8.1, 'noon']]), 'point 1 a time such as'],
    'the last century' => [fn (): string => trackOf([[49.2, -8.1, '1999-05-20T09:00:00Z']]), 'of this century'],
    'an entity' => [fn (): string => trackOf(drivenNorth(), before: '<!DOCTYPE gpx [<!ENTITY x SYSTEM "file:///etc/passwd">]>'), 'no document type'],
    'an entity in a point' => [fn (): string => str_replace('<ele>3</ele>', '<ele>&x;</ele>', trackOf(drivenNorth(),
        before: '<!DOCTYPE gpx [<!ENTITY x "3">]>')), 'no document type'],
    'an entity nobody said' => [fn (): string => str_replace('<name>x</name>', '<name>&secret;</name>', trackOf(drivenNorth())), 'entities'],
    'a laugh that grows' => [fn (): string => trackOf(drivenNorth(), before: '<!DOCTYPE a [<!ENTITY a "ha"><!ENTITY b "&a;&a;&a;&a;&a;&a;&a;&a;">]>'),
        'no document type'],
    'not UTF-8' => ["<gpx>\xE9</gpx>", 'gpx'],
]);

it('cuts what is longer than lessons are, and says so', function (): void {
    $long = trackOf(drivenNorth(400, every: 60));
    $read = ($this->read)($long)->assertOk()->json();
    expect($read['left_out'])->toContain('Only the first 4 hours are read.')->and($read['time_s'])->toBe(4 * 3600)->and($read['points'])->toBe(241);
    $half = static fn (int $i): string => date('Y-m-d\TH:i:s', 1_780_000_000 + intdiv($i, 2)).'.'.($i % 2 * 5).'Z';
    $many = TrackGpx::read(trackOf(array_map(static fn (int $i): array => [49.2, -8.1, $half($i)], range(0, 20_500))));
    expect($many->left)->toBe(['Only the first 20,000 points are read.'])->and($many->track->fixes)->toHaveCount(20_000);
    $jumped = drivenNorth();
    $jumped[40][0] = 51.0;
    expect(($this->read)(trackOf($jumped))->json('left_out.0'))->toStartWith('The receiver jumped or was silent 2 times');
});

it('never fails on what only looks like a track', function (): void {
    $chance = new Random\Randomizer(new Random\Engine\Mt19937(3));
    $whole = trackOf(drivenNorth(12));
    $sound = $refused = 0;
    for ($i = 0; $i < 2_000; $i++) {
        $spoilt = $whole;
        for ($n = $chance->getInt(1, 2); $n > 0; $n--) {
            $spoilt[$chance->getInt(0, strlen($spoilt) - 1)] = chr($chance->getInt(0, 127));
        }
        try {
            $read = TrackGpx::read($chance->getInt(0, 4) === 0 ? substr($spoilt, 0, $chance->getInt(1, strlen($spoilt))) : $spoilt);
            $sound++;
            $before = -1.0;
            foreach ($read->track->fixes as $fix) {
                expect($fix->seconds)->toBeGreaterThan($before);
                $before = $fix->seconds;
            }
        } catch (UnreadableTrack $problem) {
            $refused++;
            expect($problem->getMessage())->toStartWith('must ');
        }
    }
    expect($sound)->toBeGreaterThan(20)->and($refused)->toBeGreaterThan(500);
});
