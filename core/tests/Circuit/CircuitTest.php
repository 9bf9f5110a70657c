<?php

declare(strict_types=1);

use NobleTurn\Core\Circuit\Order;
use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Tests\Circuit\Rounds;
use NobleTurn\Core\Tests\Inputs;

/* A lesson's minutes: what is driven, taught and talked adds up; what does not fit is said. */

/** @return array<string, mixed> the least call with something said otherwise */
function hour(array $other = [], array $way = []): array
{
    $asked = [...Inputs::LEAST['circuit'], ...$other];
    $asked['ways'][0] = [...$asked['ways'][0], ...$way];

    return $asked;
}

/** @return list<array{string, ?string, ?int, int}> kind, way, round and seconds of each part */
function line(array $answer): array
{
    return array_map(static fn (array $part): array => [$part['kind'], $part['way'], $part['round'], $part['until_s'] - $part['from_s']], $answer['parts']);
}

it('lays an hour out by the clock: there, brief, rounds with the loop between, back, debrief, what is left', function (): void {
    $answer = Ask::tool('circuit', hour([], ['brief_s' => 100, 'round_s' => 70, 'again_s' => 110]));
    // 0.004 degrees north and 0.004 west at 49.2: 531.6 m by the crow (GeodSolve), 691 m by road, at 26 km/h 96 s; back 597.6 m, 777 m, 108 s.
    expect(line($answer))->toBe([
        ['drive', 'a', null, 96], ['brief', 'a', null, 100], ['round', 'a', 1, 70], ['again', 'a', 2, 110], ['round', 'a', 2, 70], ['again', 'a', 3, 110],
        ['round', 'a', 3, 70], ['drive', null, null, 107], ['debrief', null, null, 300], ['spare', null, null, 2567],
    ])->and($answer)->toMatchArray([
        'fits' => true, 'exact' => true, 'order' => ['a'], 'spare_s' => 2567, 'driving_s' => 203, 'at_ways_s' => 530, 'left_out' => [],
        'message' => 'It fits, 42 min left over.',
    ])->and(array_column($answer['parts'], 'distance_m'))->toBe([691, 0, 173, 600, 173, 600, 173, 777, 0, 0])->and($answer['driven_m'])->toBe(3187);
});

it('says what each figure rests on, and takes another for every one of them', function (): void {
    $of = static fn (array $asked): array => array_column(Ask::tool('circuit', $asked)['assumptions'], null, 'name');
    $plain = $of(hour());
    expect($plain['detour factor'])->toMatchArray(['value' => 1.3, 'status' => 'assumed'])
        ->and($plain['pace on town roads'])->toMatchArray(['value' => 26.0, 'status' => 'assumed'])->and($plain)->toHaveKeys(['debrief', 'brief at a way']);
    $said = $of(hour(['detour_factor' => 1, 'debrief_s' => 120, 'speeds' => ['town_mph' => 20]], ['brief_s' => 0]));
    expect($said['detour factor']['status'])->toBe('given')->and($said['pace on town roads'])->toMatchArray(['value' => 32.2, 'status' => 'given'])
        ->and($said)->not->toHaveKeys(['debrief', 'brief at a way']);
    // As the crow flies at 20 mph, 8.94 m/s.
    expect(line(Ask::tool('circuit', hour(['detour_factor' => 1, 'speeds' => ['town_mph' => 20]])))[0])->toBe(['drive', 'a', null, 59]);
});

it('goes out to another place than it came from, and back by default', function (): void {
    $there = Ask::tool('circuit', hour(['end' => ['latitude_deg' => 49.205, 'longitude_deg' => -8.103]]));
    expect(array_filter($there['parts'], static fn (array $part): bool => $part['kind'] === 'drive' && $part['way'] === null))->toBe([])
        ->and($there['spare_s'])->toBeGreaterThan(Ask::tool('circuit', hour())['spare_s']);
});

it('takes a leg as it was measured, says so, and lets nothing estimated be longer than by way of it', function (): void {
    $answer = Ask::tool('circuit', hour(['legs' => [
        ['from' => 'start', 'to' => 'a', 'time_s' => 240, 'distance_m' => 1500], ['from' => 'a', 'to' => 'end', 'time_s' => 55],
    ]]));
    $drives = array_values(array_filter($answer['parts'], static fn (array $part): bool => $part['kind'] === 'drive'));
    expect([$drives[0]['until_s'], $drives[0]['distance_m'], $drives[0]['measured']])->toBe([240, 1500, true])
        ->and([$drives[1]['until_s'] - $drives[1]['from_s'], $drives[1]['distance_m'], $drives[1]['measured']])->toBe([55, 777, true]);
    // The bridge somebody has timed: to the far way one goes by way of the near one.
    $far = ['id' => 'b', 'routine' => 'cross', 'in' => ['latitude_deg' => 49.24, 'longitude_deg' => -8.1]];
    $asked = hour(['order' => 'as-given']);
    $both = ['ways' => [$far, ...$asked['ways']]] + $asked;
    $first = static fn (array $answer): array => $answer['parts'][0];
    $bridge = ['legs' => [['from' => 'a', 'to' => 'b', 'time_s' => 30, 'distance_m' => 400]]];
    expect($first(Ask::tool('circuit', $both + $bridge))['until_s'])->toBeLessThan($first(Ask::tool('circuit', $both))['until_s'])
        ->and($first(Ask::tool('circuit', $both + $bridge)))->toMatchArray(['measured' => false, 'distance_m' => 691 + 173 + 400]);
});

it('takes longer in the busy hours of a working day, by the clock on the wall, without a jump', function (): void {
    $driving = static fn (string $at, array $other = []): int => Ask::tool('circuit', hour(['starts_at' => $at, 'minutes' => 30] + $other))['driving_s'];
    $quiet = $driving('2026-05-20T12:00:00Z');
    // Half past four in Britain, which is half past three in UTC; on a Saturday nobody is about.
    expect($driving('2026-05-20T15:30:00Z'))->toBe((int) round($quiet * 1.3))->and($driving('2026-05-23T15:30:00Z'))->toBe($quiet)
        ->and($driving('2026-05-20T15:30:00.000Z'))->toBe($driving('2026-05-20T15:30:00Z'))
        ->and($driving('2026-05-20T16:30:00+01:00'))->toBe($driving('2026-05-20T15:30:00Z'))
        ->and($driving('2026-05-20T15:30:00Z', ['time_zone' => 'America/New_York']))->toBe($quiet)
        ->and($driving('2026-05-20T15:30:00Z', ['pack' => 'ie']))->toBe($driving('2026-05-20T15:30:00Z'));
    $before = null;
    for ($minute = 0; $minute < 24 * 60; $minute += 3) {
        $now = $driving(sprintf('2026-05-20T%02d:%02d:00Z', intdiv($minute, 60), $minute % 60));
        expect(abs($now - ($before ?? $now)))->toBeLessThanOrEqual(4)->and($now)->toBeGreaterThanOrEqual($quiet);
        $before = $now;
    }
});

it('cuts what no longer fits and says by how much: rounds first, then the way; twenty minutes hold what twenty minutes hold', function (): void {
    $way = ['brief_s' => 100, 'round_s' => 70, 'again_s' => 110];
    // 203 s of driving, 170 s for the first round, 180 s for each further one, 300 s of debrief: all of it takes 1033.3 s.
    $within = static fn (float $minutes, string $order): array => Ask::tool('circuit', hour(['minutes' => $minutes, 'order' => $order], $way));
    foreach (Order::cases() as $order) {
        expect($within(1034.0 / 60.0, $order->value)['fits'])->toBeTrue($order->value);
        $two = $within(15, $order->value);
        expect($two['left_out'])->toBe([
            ['way' => 'a', 'rounds' => 1, 'reason' => 'no-time', 'short_by_s' => 134, 'message' => 'a: 2 of 3 rounds, the rest is 3 min too long.'],
        ])->and($two['spare_s'])->toBe(47)->and($two['message'])->toBe('Not all rounds fit.');
        $none = $within(11, $order->value);
        expect($none['left_out'][0])->toMatchArray(['rounds' => 3, 'reason' => 'out-of-reach', 'short_by_s' => 14])
            ->and($none['order'])->toBe([])->and(line($none))->toBe([['debrief', null, null, 300], ['spare', null, null, 360]])
            ->and($none['left_out'][0]['message'])->toBe('a is out of reach: there, one round and back take 1 min more than there is.');
    }
});

it('keeps as given what comes first, and drives easy to hard what is not harder than the next', function (): void {
    $at = static fn (float $north): array => ['latitude_deg' => 49.2 + $north, 'longitude_deg' => -8.1];
    $way = static fn (string $id, float $north, float $difficulty): array => [
        'id' => $id, 'name' => "Way {$id}", 'routine' => 'cross', 'in' => $at($north), 'difficulty' => $difficulty, 'rounds' => 1, 'brief_s' => 60,
        'round_s' => 60,
    ];
    $ways = [$way('far', 0.03, 0.9), $way('near', 0.01, 0.9), $way('middle', 0.02, 0.1)];
    $ask = static fn (string $order, int $minutes): array => Ask::tool('circuit', ['order' => $order, 'minutes' => $minutes, 'ways' => $ways] + hour());
    expect($ask('as-given', 60)['order'])->toBe(['far', 'near', 'middle'])->and($ask('easy-to-hard', 60)['order'])->toBe(['middle', 'far', 'near'])
        ->and($ask('shortest', 60)['driving_s'])->toBeLessThan($ask('easy-to-hard', 60)['driving_s']);
    // 8670 m there and back to the far one in 21 min: with two minutes there it fits in 30, and then not a second one.
    $short = $ask('as-given', 26);
    expect($short['order'][0])->toBe('far')->and(array_column($short['left_out'], 'way'))->not->toContain('far')
        ->and($short['left_out'][0]['message'])->toStartWith('Way ');
});

it('adds up whatever it is asked, and what it leaves out would not fit', function (int $seed): void {
    foreach (Order::cases() as $order) {
        foreach ([25, 60, 120] as $minutes) {
            $ways = Rounds::ways($seed, 4 + $seed % 11);
            $answer = Ask::tool('circuit', Rounds::asked($ways, $minutes, $order));
            $at = 0;
            foreach ($answer['parts'] as $part) {
                expect($part['from_s'])->toBe($at)->and($part['until_s'])->toBeGreaterThan($at);
                $at = $part['until_s'];
            }
            expect($at)->toBe(60 * $minutes)->and($answer['driving_s'] + $answer['at_ways_s'] + $answer['spare_s'] + 240)->toBe(60 * $minutes);
            $driven = array_count_values(array_column(array_filter($answer['parts'], static fn (array $part): bool => $part['kind'] === 'round'), 'way'));
            $left = array_column($answer['left_out'], null, 'way');
            foreach ($ways as $way) {
                expect(($driven[$way['id']] ?? 0) + ($left[$way['id']]['rounds'] ?? 0))->toBe($way['rounds'])
                    ->and($left[$way['id']]['short_by_s'] ?? 1)->toBeGreaterThan(0);
            }
            expect(array_keys($driven))->toEqualCanonicalizing($answer['order'])->and($answer['fits'])->toBe($left === []);
            $hard = array_map(static fn (string $id): float => array_column($ways, 'difficulty', 'id')[$id], $answer['order']);
            $sorted = $hard;
            sort($sorted);
            expect($order !== Order::EasyToHard || $hard === $sorted)->toBeTrue();
            // What is said to be missing is: with it and a second for rounding that way is driven as often as was wanted, in its turn.
            foreach (array_slice($answer['left_out'], 0, 1) as $out) {
                $more = ['minutes' => $minutes + ($out['short_by_s'] + 1) / 60.0] + Rounds::asked($ways, $minutes, $order);
                expect(array_sum(array_column(Ask::tool('circuit', $more)['left_out'], 'rounds')))
                    ->toBeLessThan(max(1, array_sum(array_column($answer['left_out'], 'rounds'))) + ($order === Order::LeastLeftOver ? 99 : 0));
            }
        }
    }
})->with(range(1, 8));

it('never takes longer for fewer ways, nor teaches less in more minutes', function (int $seed): void {
    foreach ([Order::Shortest, Order::EasyToHard, Order::AsGiven] as $order) {
        $ways = Rounds::ways($seed, 7);
        $whole = Ask::tool('circuit', Rounds::asked($ways, 400, $order));
        foreach (array_keys($ways) as $i) {
            $rest = $ways;
            array_splice($rest, $i, 1);
            $fewer = Ask::tool('circuit', Rounds::asked($rest, 400, $order));
            // What is driven at a way carries us on as well: to leave it out saves at least its talking and waiting.
            expect($fewer['spare_s'])->toBeGreaterThanOrEqual($whole['spare_s'])
                ->and($fewer['driving_s'])->toBeLessThanOrEqual($whole['driving_s'] + (int) ceil(145 * 3.6 / 26) + 1);
        }
    }
    foreach ([[Order::Shortest, 'rounds'], [Order::LeastLeftOver, 'at_ways_s']] as [$order, $what]) {
        $most = 0;
        foreach (range(15, 90, 5) as $minutes) {
            $answer = Ask::tool('circuit', Rounds::asked($ways, $minutes, $order));
            $now = $what === 'rounds' ? count(array_keys(array_column($answer['parts'], 'kind'), 'round', true)) : $answer[$what] + count($answer['parts']);
            expect($now)->toBeGreaterThanOrEqual($most - ($what === 'rounds' ? 0 : count($answer['parts'])));
            $most = max($most, $what === 'rounds' ? $now : $answer[$what]);
        }
    }
})->with(range(61, 66));

it('moves by seconds where the pick-up moves by metres', function (): void {
    $ways = Rounds::ways(7, 6);
    $before = null;
    for ($step = 0; $step < 40; $step++) {
        $start = ['latitude_deg' => 49.2 + $step / 1e5, 'longitude_deg' => -8.1];
        $now = Ask::tool('circuit', ['start' => $start] + Rounds::asked($ways, 240, Order::Shortest))['driving_s'];
        // 1.1 m further: twice 1.5 m of road at the most, and a second for the rounding of each part.
        expect(abs($now - ($before ?? $now)))->toBeLessThanOrEqual(3);
        $before = $now;
    }
});

it('refuses by the name of the field', function (array $other, array $way, string $field, string $sentence): void {
    $said = Ask::refusal('circuit', hour($other, $way));
    expect($said)->toHaveKey($field)->and($said[$field][0])->toContain($sentence);
})->with([
    'no time even for the debrief' => [['minutes' => 5, 'debrief_s' => 400], [], 'minutes', 'must be 7 or more'],
    'an end out of reach' => [['end' => ['latitude_deg' => 50.2, 'longitude_deg' => -8.1]], [], 'minutes', 'the drive from start to end'],
    'a way twice' => [['ways' => [Inputs::LEAST['circuit']['ways'][0], Inputs::LEAST['circuit']['ways'][0]]], [], 'ways.1.id', 'twice'],
    'a way called end' => [[], ['id' => 'end'], 'ways.0.id', 'must not be end'],
    'half a round' => [[], ['rounds' => 1.5], 'ways.0.rounds', 'whole number'],
    'a routine that is not there' => [['pack' => 'na'], ['routine' => 'mini-roundabout'], 'ways.0.routine', 'not driven under the rules'],
    'a leg from nowhere' => [['legs' => [['from' => 'b', 'to' => 'a', 'time_s' => 10]]], [], 'legs.0.from', 'id of a way'],
    'a leg to the start' => [['legs' => [['from' => 'a', 'to' => 'start', 'time_s' => 10]]], [], 'legs.0.to', 'id of a way, or end'],
    'a leg round to itself' => [['legs' => [['from' => 'a', 'to' => 'a', 'time_s' => 10]]], [], 'legs.0.to', 'again_s'],
    'a leg twice' => [['legs' => array_fill(0, 2, ['from' => 'start', 'to' => 'a', 'time_s' => 10])], [], 'legs.1.from', 'twice'],
    'no time' => [['starts_at' => 'nine'], [], 'starts_at', 'such as'],
    'a day there is not' => [['starts_at' => '2026-13-40T09:00:00Z'], [], 'starts_at', 'such as'],
    'no zone' => [['time_zone' => 'Skerrivane'], [], 'time_zone', 'such as'],
    'nowhere' => [['start' => ['latitude_deg' => 91, 'longitude_deg' => 0]], [], 'start.latitude_deg', 'between'],
]);
