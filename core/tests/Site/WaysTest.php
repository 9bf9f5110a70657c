<?php

declare(strict_types=1);

use NobleTurn\Core\Road\Road;
use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Tests\Site\Sites;
use NobleTurn\Core\Trade\RoutineCode;

/*
 * Which routine a way is: a table written by hand from the rules (common practice, no source; roundabout exits: Highway Code, rule 186).
 * A row: packs, kind, site, then each way with its routine (all it teaches, joined by +), and its way out where the name does not say it; # is the
 * number of the exit.
 */
const TABLE = <<<'TABLE'
gb ie na | junction       | T                   | s>w emerge-left, s>e emerge-right, w>s turn-right, w>e between-hazards, e>s turn-left, e>w between-hazards
gb ie na | junction       | skewed T            | se>w emerge-left, se>e emerge-right, w>se turn-right, e>se turn-left, w>e between-hazards
gb ie na | junction       | unmarked T          | s>w emerge-left, s>e emerge-right, w>s turn-right, e>s turn-left, w>e between-hazards
gb ie    | junction       | T under lights      | s>w lights-left, s>e lights-right, w>s lights-right, w>e lights-ahead, e>s lights-left, e>w lights-ahead
na       | junction       | T under lights      | s>w lights-left, s>e lights-right+right-on-red, w>s lights-right+right-on-red
na       | junction       | T under lights      | w>e lights-ahead, e>s lights-left, e>w lights-ahead
gb ie na | junction       | crossroads          | s>w emerge-left, s>n cross, s>e emerge-right, w>n turn-left, w>s turn-right
gb ie na | junction       | crossroads          | n>e emerge-left, n>s cross, n>w emerge-right
gb ie na | junction       | crossroads          | w>e between-hazards, e>s turn-left, e>n turn-right, e>w between-hazards
gb ie    | junction       | lights              | s>w lights-left, s>n lights-ahead, s>e lights-right, e>s lights-left, e>w lights-ahead, e>n lights-right
na       | junction       | lights              | s>w lights-left, s>n lights-ahead, s>e lights-right+right-on-red
na       | junction       | lights              | e>s lights-left, e>w lights-ahead, e>n lights-right+right-on-red
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
gb ie na | junction       | right-left stagger  | s>n emerge-right right, n>s emerge-right right, s>w emerge-left, w>n turn-left, e>n turn-right
gb ie na | junction       | left-right stagger  | s>n emerge-left left, n>s emerge-left left, s>e emerge-right, n>e emerge-left
gb ie na | junction       | hardly staggered    | s>n cross, n>s cross, s>e emerge-right
gb ie na | slip           | slip on             | w>n join, s>n between-hazards
gb ie na | slip           | slip off            | s>nw leave, s>n between-hazards
gb ie na | slip           | off and on          | s>nw leave, w>n join, s>n between-hazards
gb ie na | stretch        | bare road           | w>e between-hazards, e>w between-hazards
gb ie na | stretch        | shops               | w>e pass-parked+pass-bus+people, e>w people
gb ie na | stretch        | narrow lane         | w>e meet+hump, e>w meet+hump
gb ie na | stretch        | long road           | w>e overtake, e>w between-hazards
gb ie na | stretch        | two lanes           | w>e lane-change-right+lane-change-left, e>w queue-stop
gb ie na | stretch        | level crossing      | w>e rail-crossing, e>w rail-crossing
gb       | kerb           | free kerb           | w>e move-off+pull-up-left+pull-up-right-reverse
ie       | kerb           | free kerb           | w>e move-off+pull-up-left
na       | kerb           | free kerb           | w>e move-off+pull-up-right+back-up
gb ie na | kerb           | car park            | w>w bay-in+bay-out+ramp
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
    $site = Sites::of(Sites::arms($name), $kind, $pack);
    $found = Sites::ways($site)[$way];
    expect(Sites::taught($site, $way))->toEqualCanonicalizing(explode('+', $routine))->and($found['exit_number'])->toBe($exit);
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
        $site = Sites::of(Sites::arms('lights'), pack: $pack);
        expect(Sites::taught($site, 's>e'))->toBe($pack === 'na' ? ['lights-right', 'right-on-red'] : ['lights-right'])
            ->and(Sites::taught($site, 's>w'))->toBe(['lights-left']);
    }
});

it('plans under lights by what they show as they come into view, and by nothing of the kind elsewhere', function (): void {
    $arms = array_map(static fn (array $arm): array => $arm + ['light' => 'green-long'], Sites::arms('lights'));
    expect(Sites::ways(Sites::of($arms))['s>n']['inputs']['light'])->toBe('green-long');
    $arms = array_map(static fn (array $arm): array => $arm + ['light' => 'green-long'], Sites::arms('T'));
    expect(Sites::ways(Sites::of($arms))['s>e']['inputs'])->not->toHaveKey('light');
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

it('asks of what is met or done along a road, on a slip and at a kerb what can be planned as it stands, and kept as a place', function (): void {
    $sites = [
        'stretch' => ['bare road', 'shops', 'narrow lane', 'long road', 'two lanes', 'level crossing'], 'slip' => ['slip on', 'slip off', 'off and on'],
        'kerb' => ['free kerb', 'car park'],
    ];
    $planned = [];
    foreach ($sites as $kind => $names) {
        foreach ($names as $name) {
            foreach (RulePacks::codes() as $pack) {
                foreach (Ask::tool('site', Sites::of(Sites::arms($name), $kind, $pack))['ways'] as $way) {
                    if ($way['tool'] === null) {
                        expect($way['inputs'])->toBeNull()->and($way['routine'])->toBeIn(['between-hazards', 'bay-in', 'bay-out', 'ramp']);

                        continue;
                    }
                    Ask::tool($way['tool'], $way['inputs']);
                    $facts = array_diff_key($way['inputs'], ['pack' => 0, 'routine' => 0, 'to' => 0]);
                    $road = Road::of(RoutineCode::from($way['routine']), $facts, RulePacks::byCode($pack));
                    expect($road->facts)->toBe($facts)->and($road->kind->value)->toBe($kind, "{$pack} {$name} {$way['routine']}");
                    $planned[$way['routine']] = true;
                }
            }
        }
    }
    expect(count($planned))->toBeGreaterThanOrEqual(16);
});

it('asks of a slip what its roads say: the main road’s limit, the slip road’s own figures, and an ordinary one’s for the rest', function (): void {
    $arms = Sites::arms('off and on');
    $arms['s'] += ['limit_mph' => 70];
    $arms['w'] += ['slip_length_m' => 180, 'slip_angle_deg' => 7, 'limit_change_m' => 40, 'entry_speed_mph' => 35, 'gradient' => 0.02, 'end_speed_mph' => 20];
    $arms['nw'] += ['lanes_out' => 2, 'measures' => [['of' => 'slip_length', 'by' => 'car-lengths', 'number' => 50]]];
    $answer = Ask::tool('site', Sites::of($arms, 'slip'));
    $ways = array_column($answer['ways'], null, 'routine');
    expect($ways['join']['inputs'])->toEqualCanonicalizing([
        'pack' => 'gb', 'slip_length_m' => 180, 'slip_angle_deg' => 7, 'limit_change_m' => 40, 'entry_speed_mph' => 35, 'gradient' => 0.02,
        'main_speed_mph' => 70,
    ])->and($ways['leave']['inputs'])->toHaveKeys(['main_speed_mph', 'lanes'])
        ->and($ways['leave']['inputs']['lanes'])->toBe(2)
        // What was measured there, not what an ordinary one has.
        ->and($ways['leave']['inputs']['slip_length_m'])->toBe($answer['measured'][0]['value_m'])->and($answer['assumptions'])->toBe([]);
    $bare = Ask::tool('site', Sites::of(array_map(static fn (array $arm): array => array_diff_key($arm, ['limit_mph' => 0]), Sites::arms('slip on')), 'slip'));
    expect(array_column($bare['assumptions'], 'value', 'name'))->toBe(['slip_length_m' => 250, 'entry_speed_mph' => 30, 'main_speed_mph' => 60]);
    $kmh = Ask::tool('site', Sites::of(array_map(static fn (array $arm): array => array_diff_key($arm, ['limit_mph' => 0]) + ['limit_kmh' => 120],
        Sites::arms('slip on')), 'slip', 'ie'))['ways'];
    expect(array_column($kmh, null, 'routine')['join']['inputs']['main_speed_kmh'])->toBe(120);
});

it('asks for the length of a slip road where it decides, and not where it is long in any case', function (): void {
    $first = static function (float $metres, string $to = 'n', string $from = 'w', string $name = 'slip on'): array {
        $arms = Sites::arms($name);
        $arms[$name === 'slip on' ? 'w' : 'nw'] += ['measures' => [['of' => 'slip_length', 'by' => 'eye', 'length_m' => $metres]]];

        return Ask::tool('site', ['from' => $from, 'to' => $to] + Sites::of($arms, 'slip'))['measure_first'];
    };
    expect($first(900.0))->toBe([])->and($first(900.0, 'nw', 's', 'slip off'))->toBe([]);
    foreach ([$first(150.0), $first(140.0, 'nw', 's', 'slip off')] as $rows) {
        expect($rows)->toHaveCount(1)->and($rows[0]['of'])->toBe('slip_length')->and($rows[0]['status'])->toBe('measured')->and($rows[0]['decides'])->toBeTrue()
            ->and($rows[0]['message'])->toBe('Measure the length of the slip road first: whether it is long enough hangs on it.');
    }
});

it('plans both halves of a staggered crossroads: first one way, then the other, so far on', function (): void {
    $way = Sites::ways(Sites::of(Sites::arms('right-left stagger')))['s>n'];
    expect($way['because'])->toBe('Your road ends at a give-way line. N Road lies 18 m further right: first right, then left.')
        ->and($way['then'])->toBe(['routine' => 'turn-left', 'title' => 'Turn left off the main road', 'distance_m' => 18.0])
        ->and($way['inputs']['then'])->toBe(['routine' => 'turn-left', 'distance_m' => 18.0]);
    $plan = Ask::tool('approach', $way['inputs']);
    expect($plan['then'])->not->toBeNull()->and(Sites::ways(Sites::of(Sites::arms('hardly staggered')))['s>n']['then'])->toBeNull();
    expect(Sites::ways(Sites::of(Sites::arms('left-right stagger'), pack: 'na'))['n>s']['because'])->toContain('80 ft further left: first left, then right.');
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
    'three roads of a stretch' => [Sites::of(Sites::arms('T'), 'stretch'), 'arms', 'must be 2 roads at a stretch'],
    'a line across a stretch' => [Sites::of(['w' => ['control' => 'stop'], 'e' => []], 'stretch'), 'arms.0.control', 'no line ends the road'],
    'a bay in the road' => [Sites::of(['w' => ['holds' => ['bay']], 'e' => []], 'stretch'), 'arms.0.holds', 'must be of parked, narrow, bus-stop'],
    'a bus stop at a junction' => [Sites::of(['w' => ['holds' => ['bus-stop']]] + Sites::arms('T')), 'arms.0.holds', 'a stretch or a kerb of its own'],
    'what nobody passes' => [Sites::of(['w' => ['holds' => ['humps'], 'lanes_in' => 0], 'e' => []], 'stretch'), 'arms.0.holds', 'nobody comes in by W Road'],
    'overtaking beside a second lane' => [Sites::of(['w' => ['holds' => ['long-view'], 'lanes_in' => 2], 'e' => []], 'stretch'), 'arms.0.holds',
        'a lane change'],
    'overtaking where nobody comes' => [Sites::of(['w' => ['holds' => ['long-view'], 'lanes_out' => 0], 'e' => ['lanes_in' => 0]], 'stretch'), 'arms.0.holds',
        'one-way'],
    'a slip at a junction' => [Sites::of(['w' => ['slip' => true]] + Sites::arms('T')), 'arms.0.slip', 'only a slip has slip roads'],
    'a stagger on a roundabout' => [Sites::of(['w' => ['stagger_m' => 5]] + Sites::arms('ring'), 'roundabout'), 'arms.0.stagger_m', 'belongs to a junction'],
    'a slip road driven both ways' => [Sites::of(['w' => ['slip' => true]] + Sites::arms('slip on'), 'slip'), 'arms.0.lanes_in', 'every road of it one-way'],
    'a slip without a slip road' => [Sites::of(['w' => ['lanes_out' => 0]] + Sites::arms('slip on'), 'slip'), 'arms', 'marked as slip roads'],
    'a slip road shorter than its line' => [Sites::of(['w' => ['slip' => true, 'lanes_out' => 0, 'slip_length_m' => 90, 'solid_line_m' => 100]]
        + Sites::arms('slip on'), 'slip'), 'arms.0.solid_line_m', 'must not exceed the length'],
    'two words for one length' => [Sites::of(['w' => ['slip' => true, 'lanes_out' => 0, 'slip_length_m' => 90, 'measures' => [['of' => 'slip_length',
        'by' => 'eye', 'length_m' => 80]]]] + Sites::arms('slip on'), 'slip'), 'arms.0.slip_length_m', 'beside measures'],
    'a routine that way does not teach' => [['from' => 'w', 'to' => 'e', 'routine' => 'hump'] + Sites::of(Sites::arms('shops'), 'stretch'), 'routine',
        'pass-parked, pass-bus, people'],
    'half a way' => [['from' => 's'] + Sites::of(Sites::arms('T')), 'to', 'is missing'],
]);
