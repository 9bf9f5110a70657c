<?php

declare(strict_types=1);

use NobleTurn\Core\Road\Road;
use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Tests\Site\Sites;
use NobleTurn\Core\Trade\RoutineCode;

/*
 * Which routine a way is: a table written by hand from the rules (common practice, no source; roundabout exits: Highway Code, rule 186).
 * A row: packs, kind, site, then each way with its routine, and its way out where the name does not say it; # is the number of the exit.
 */
const TABLE = <<<'TABLE'
gb ie na | junction       | T                   | s>w emerge-left, s>e emerge-right, w>s turn-right, w>e between-hazards, e>s turn-left, e>w between-hazards
gb ie na | junction       | skewed T            | se>w emerge-left, se>e emerge-right, w>se turn-right, e>se turn-left, w>e between-hazards
gb ie na | junction       | unmarked T          | s>w emerge-left, s>e emerge-right, w>s turn-right, e>s turn-left, w>e between-hazards
gb ie na | junction       | T under lights      | s>w lights-left, s>e lights-right, w>s lights-right, w>e lights-ahead, e>s lights-left, e>w lights-ahead
gb ie na | junction       | crossroads          | s>w emerge-left, s>n cross, s>e emerge-right, w>n turn-left, w>s turn-right
gb ie na | junction       | crossroads          | n>e emerge-left, n>s cross, n>w emerge-right
gb ie na | junction       | crossroads          | w>e between-hazards, e>s turn-left, e>n turn-right, e>w between-hazards
gb ie na | junction       | lights              | s>w lights-left, s>n lights-ahead, s>e lights-right, e>s lights-left, e>w lights-ahead, e>n lights-right
na       | junction       | all stop            | s>w all-way-stop left, s>n all-way-stop ahead, s>e all-way-stop right, n>w all-way-stop right
gb ie na | junction       | unmarked crossroads | s>w emerge-left, s>n cross, s>e emerge-right, e>s emerge-left
gb ie na | junction       | bend                | s>e between-hazards, e>s between-hazards, s>n turn-left, s>w turn-left, e>w turn-right, e>n turn-right
gb ie na | junction       | bend                | n>e emerge-left, n>s emerge-right, w>e emerge-left, w>s emerge-right, n>w emerge-right, w>n emerge-left
gb ie na | junction       | one-way met         | s>e emerge-right, s>n cross, n>e emerge-left, n>s cross, w>n turn-left, w>s turn-right, w>e between-hazards
gb ie    | junction       | alley               | s>w emerge-left, s>e emerge-right, w>s turn-right
na       | junction       | alley               | s>w alley left, s>e alley right, w>s turn-right
na       | junction       | centre lane         | w>n centre-lane-left, e>n turn-right, n>e emerge-left
gb       | junction       | centre lane         | w>n turn-left, e>n turn-right
gb ie    | roundabout     | ring                | s>w roundabout left #1, s>n roundabout ahead #2, s>e roundabout right #3
na       | roundabout     | ring                | s>e roundabout right #1, s>n roundabout ahead #2, s>w roundabout left #3
gb ie    | roundabout     | ring of five        | s>w roundabout left #1, s>nw roundabout ahead #2, s>n roundabout ahead #3, s>e roundabout right #4
na       | roundabout     | ring of five        | s>e roundabout right #1, s>n roundabout ahead #2, s>nw roundabout left #3, s>w roundabout left #4
gb ie    | mini-roundabout | ring               | s>w mini-roundabout left #1, s>e mini-roundabout right #3
na       | mini-roundabout | ring               | s>e roundabout right #1, s>w roundabout left #3
TABLE;

/** @return iterable<string, array{string, string, string, string, string, ?string, ?int}> */
function table(): iterable
{
    foreach (explode("\n", TABLE) as $row) {
        [$packs, $kind, $name, $ways] = array_map(trim(...), explode('|', $row));
        foreach (explode(' ', $packs) as $pack) {
            foreach (explode(', ', $ways) as $way) {
                preg_match('/^(\S+) (\S+)(?: (left|ahead|right))?(?: #(\d))?$/', $way, $found);
                yield "{$pack}, {$name}, {$found[1]}" => [$pack, $kind, $name, $found[1], $found[2], ($found[3] ?? '') ?: null,
                    isset($found[4]) ? (int) $found[4] : null];
            }
        }
    }
}

it('names the routine of a way', function (string $pack, string $kind, string $name, string $way, string $routine, ?string $out, ?int $exit): void {
    $found = Sites::ways(Sites::of(Sites::arms($name), $kind, $pack))[$way];
    expect($found['routine'])->toBe($routine)->and($found['exit_number'])->toBe($exit);
    if ($out !== null) {
        expect($found['out'])->toBe($out);
    }
})->with(table(...));

it('has rows enough in that table', function (): void {
    expect(count(iterator_to_array(table())))->toBeGreaterThan(60);
});

it('gives six ways to a T, twelve to a crossroads, and says why a one-way road has fewer', function (): void {
    expect(Sites::ways(Sites::of(Sites::arms('T'))))->toHaveCount(6)->and(Sites::ways(Sites::of(Sites::arms('crossroads'))))->toHaveCount(12);
    $answer = Ask::tool('site', Sites::of(Sites::arms('one-way met')));
    expect($answer['ways'])->toHaveCount(7)
        ->and(array_column($answer['closed'], 'message'))->toContain('W Road is one-way, towards us: no entry.')
        ->and(array_column($answer['closed'], 'message'))->toContain('E Road is one-way, away from here: nobody comes in by it.')
        ->and(count($answer['closed']))->toBe(5);
});

it('teaches right on red beside the right turn where that is allowed, and nowhere else', function (): void {
    foreach (RulePacks::codes() as $pack) {
        $ways = Sites::ways(Sites::of(Sites::arms('lights'), pack: $pack));
        expect(array_column($ways['s>e']['also'], 'routine'))->toBe($pack === 'na' ? ['right-on-red'] : [])->and($ways['s>w']['also'])->toBe([]);
    }
});

it('asks of every way what can be planned as it stands, and kept as a place', function (): void {
    foreach (['T', 'crossroads', 'lights', 'bend', 'one-way met', 'alley', 'unmarked crossroads', 'ring', 'T under lights', 'centre lane'] as $name) {
        foreach (RulePacks::codes() as $pack) {
            $site = Sites::of(Sites::arms($name), $name === 'ring' ? 'roundabout' : 'junction', $pack);
            // Whatever can be told of an approach is told of every arm: each way takes of it what its routine asks.
            foreach ($site['arms'] as $i => $arm) {
                $site['arms'][$i] += [
                    'limit_kmh' => 50, 'gradient' => 0.03, 'road_width_m' => 8, 'sight_left_m' => 70, 'sight_right_m' => 80, 'view_from_m' => 12,
                    'room_m' => 200,
                    'openings' => [['side' => 'left', 'from_m' => 40, 'to_m' => 44]], 'parked_along' => 'both', 'turn_radius_m' => 9,
                ];
            }
            foreach (Sites::ways($site) as $key => $way) {
                if ($way['tool'] === null) {
                    expect($way['routine'])->toBe('between-hazards');

                    continue;
                }
                $facts = array_diff_key($way['inputs'], ['pack' => 0, 'routine' => 0]);
                expect(Ask::tool('approach', $way['inputs'])['routine'])->toBe($way['routine'], "{$pack} {$name} {$key}")
                    ->and(Road::of(RoutineCode::from($way['routine']), $facts, RulePacks::byCode($pack))->facts)->toBe($facts);
            }
        }
    }
});

it('knows the road met from its arms: the faster limit, the wider side, which way it runs, where cars stand', function (): void {
    $arms = Sites::arms('crossroads');
    $arms['w'] = ['limit_mph' => 30, 'lanes_in' => 2, 'lanes_out' => 1, 'parked_along' => 'right'];
    $arms['e'] = ['limit_mph' => 40];
    $ways = Sites::ways(Sites::of($arms));
    // Who comes from the west has the southern mouth on the right.
    expect($ways['s>e']['inputs']['road_met'])->toBe(['limit_mph' => 40, 'lanes' => 2, 'parked' => 'near'])
        ->and($ways['n>e']['inputs']['road_met'])->toBe(['limit_mph' => 40, 'lanes' => 2, 'parked' => 'far']);
    $oneWay = Sites::ways(Sites::of(Sites::arms('one-way met')));
    expect($oneWay['s>e']['inputs']['road_met'])->toBe(['runs_to' => 'right'])->and($oneWay['n>e']['inputs']['road_met'])->toBe(['runs_to' => 'left'])
        // Out of a one-way road: its own right-hand side.
        ->and($oneWay['w>s']['inputs']['one_way'])->toBeTrue()->and($oneWay['s>e']['inputs'])->not->toHaveKey('one_way');
});

it('says that straight on leaves a main road that bends, and across whom', function (): void {
    $gb = Sites::ways(Sites::of(Sites::arms('bend')));
    expect($gb['s>n']['because'])->toBe('The main road bends to E Road: straight on you leave it, across nobody’s way but that of people and cycles.')
        ->and($gb['e>w']['because'])->toBe('The main road bends to S Road: straight on you leave it, across those who come towards you on it.');
    expect(Sites::ways(Sites::of(Sites::arms('bend'), pack: 'na'))['s>n']['because'])->toContain('across those who come towards you');
});

it('refuses a site that cannot be, by the name of the field', function (array $site, string $field, string $sentence): void {
    expect(Ask::refusal('site', $site))->toHaveKey($field)->and(Ask::refusal('site', $site)[$field][0])->toContain($sentence);
})->with([
    'two roads' => [Sites::of(['w' => [], 'e' => []]), 'arms', 'must be 3 to 8 roads at a junction'],
    'one road twice' => [['arms' => [['id' => 'a', 'name' => 'A', 'bearing_deg' => 0], ['id' => 'a', 'name' => 'B', 'bearing_deg' => 90],
        ['id' => 'c', 'name' => 'C', 'bearing_deg' => 180]]] + Sites::of([]), 'arms.1.id', 'twice'],
    'too near, over north' => [['arms' => [['id' => 'a', 'name' => 'A', 'bearing_deg' => 357], ['id' => 'b', 'name' => 'B', 'bearing_deg' => 3],
        ['id' => 'c', 'name' => 'C', 'bearing_deg' => 180]]] + Sites::of([]), 'arms.1.bearing_deg', '10 degrees or more from that of A'],
    'a road nobody drives' => [Sites::of(['w' => ['lanes_in' => 0, 'lanes_out' => 0], 'e' => [], 's' => []]),
        'arms.0.lanes_in', 'nobody could drive'],
    'half a lane' => [Sites::of(['w' => ['lanes_in' => 1.5], 'e' => [], 's' => []]), 'arms.0.lanes_in', 'whole number'],
    'all stop where there is none' => [Sites::of(Sites::arms('all stop')), 'arms.0.control', 'there is none in Great Britain'],
    'no line on to a roundabout' => [Sites::of(['w' => ['control' => 'none'], 'e' => [], 's' => []], 'roundabout'), 'arms.0.control',
        'give-way, stop or signals'],
    'two words for one view' => [Sites::of(['w' => [], 'e' => [], 's' => ['control' => 'stop', 'view' => 'open', 'view_from_m' => 9]]), 'arms.2.view_from_m',
        'beside view'],
    'a way there is none of' => [['from' => 's', 'to' => 'w'] + Sites::of(Sites::arms('one-way met')), 'to', 'can be driven'],
    'an unknown arm' => [['from' => 'x', 'to' => 'w'] + Sites::of(Sites::arms('T')), 'from', 'must be one of'],
    'half a way' => [['from' => 's'] + Sites::of(Sites::arms('T')), 'to', 'is missing'],
]);
