<?php

declare(strict_types=1);

use NobleTurn\Core\Lanes\Arm;
use NobleTurn\Core\Lanes\Costs;
use NobleTurn\Core\Lanes\LanePlanner;
use NobleTurn\Core\Lanes\Ring;
use NobleTurn\Core\Lanes\Trip;
use NobleTurn\Core\Tests\Approaches;
use NobleTurn\Core\Tests\Ask;

/** @return array{Ring, Trip} up to eight arms and four lanes, with spirals, lanes that end, buses and dead ends */
function drawnRing(Approaches $draw): array
{
    $count = $draw->one([2, 3, 4, 5, 6, 7, 8]);
    $lanes = $draw->one([1, 2, 3, 4]);
    $names = array_map(static fn (int $i): string => "arm{$i}", range(0, $count - 1));
    $arms = [];
    foreach ($names as $i => $name) {
        $approach = [];
        for ($lane = 0; $lane < $draw->one([1, 1, 2, 3, 4]); $lane++) {
            $approach[] = $draw->one([[], [$draw->one($names)], [$draw->one($names), $draw->one($names)]]);
        }
        $arms[] = new Arm(
            $name, $i * 360.0 / $count, $approach === [] ? [[]] : $approach, $draw->one([0, 1, 1, 2, 3]), $draw->one([[], [], [1]]),
            $draw->one([null, 30.0, 200.0]),
        );
    }
    $spirals = $ends = [];
    for ($i = 0; $i < $draw->one([0, 0, 2, 4]); $i++) {
        $spirals[$draw->one(range(0, $count - 1)).'.'.$draw->one(range(1, $lanes))] = $draw->one(range(1, $lanes));
        $ends[$draw->one(range(0, $count - 1)).'.'.$draw->one(range(1, $lanes))] = true;
    }
    $sectors = $draw->one(range(1, $count));
    $costs = new Costs([
        'lane_change' => $draw->number(0, 5), 'late_change' => $draw->number(0, 5), 'leaving_off_side' => $draw->number(0, 5),
        'turn_soon' => $draw->number(0, 5), 'against_clock' => $draw->number(0, 5),
    ]);

    return [
        new Ring($arms, $lanes, $spirals, $ends),
        new Trip($sectors, $sectors * 360.0 / $count, $draw->one([true, false]), $draw->one([null, true, false]), $draw->number(20, 300), $costs,
            crampedShare: $draw->number(0, 1)),
    ];
}

/** Every way there is, tried out one by one; INF where none leads there. */
function cheapestByTrying(Ring $ring, Trip $trip, int $sector, int $lane): float
{
    $least = INF;
    foreach (range(1, $ring->lanes) as $to) {
        if (abs($to - $lane) > 1) {
            continue;
        }
        $here = $trip->costs->of('sector') + ($to === $lane ? 0.0 : $trip->costs->of('lane_change'));
        if ($sector === $trip->sectors - 1) {
            $exit = $ring->out($trip->sectors, $to);
            $rest = $exit === null ? INF : array_sum(
                $trip->exitCosts($ring->arms[$trip->sectors % count($ring->arms)], $exit),
            ) + ($to === $lane ? 0.0 : $trip->costs->of('late_change') * $trip->crampedShare);
        } else {
            $here += $to < $lane ? $trip->costs->of('early_change') : 0.0;
            $rest = $ring->goesOn($sector, $to) ? cheapestByTrying($ring, $trip, $sector + 1, $ring->into($sector + 1, $to)) : INF;
        }
        $least = min($least, $here + $rest);
    }

    return $least;
}

it('finds what trying out every way finds, on thousands of roundabouts', function (): void {
    $reached = $unreachable = 0;
    for ($seed = 1; $seed <= 3000; $seed++) {
        [$ring, $trip] = drawnRing(new Approaches($seed));
        $found = LanePlanner::routes($ring, $trip);
        $target = $ring->arms[$trip->sectors % count($ring->arms)]->name;
        foreach ($ring->arms[0]->approach as $i => $painted) {
            $lane = $i + 1;
            $usable = ! in_array($lane, $ring->arms[0]->busLanes, true) && ($painted === [] || in_array($target, $painted, true));
            $tried = $usable ? $trip->entryCost($lane, $painted !== []) + cheapestByTrying($ring, $trip, 0, $ring->into(0, $ring->entered($lane))) : INF;
            if (is_infinite($tried)) {
                expect($found)->not->toHaveKey($lane, "seed {$seed}");
                $unreachable++;

                continue;
            }
            expect($found[$lane]->cost())->toEqualWithDelta($tried, 1e-9, "seed {$seed}, lane {$lane}")->and(count($found[$lane]->moves))->toBe($trip->sectors);
            $reached++;
        }
    }
    expect($reached)->toBeGreaterThan(1000)->and($unreachable)->toBeGreaterThan(500);
});

it('never makes the best way dearer by one more usable lane', function (): void {
    for ($seed = 1; $seed <= 400; $seed++) {
        [$ring, $trip] = drawnRing(new Approaches($seed));
        $best = fn (Ring $of): float => ($costs = array_map(fn ($route): float => $route->cost(), LanePlanner::routes($of, $trip))) === [] ? INF : min($costs);
        $before = $best($ring);
        $own = $ring->arms[0];
        $wider = new Arm($own->name, $own->angleDegrees, [...$own->approach, []], $own->exitLanes, $own->busLanes, $own->exitRoomMetres);
        expect($best(new Ring([$wider, ...array_slice($ring->arms, 1)], $ring->lanes, [], [])))->toBeLessThanOrEqual(
            $best(new Ring($ring->arms, $ring->lanes, [], [])) + 1e-9, "seed {$seed}: approach",
        );
        $at = $trip->sectors % count($ring->arms);
        $arms = $ring->arms;
        $target = $arms[$at];
        $arms[$at] = new Arm($target->name, $target->angleDegrees, $target->approach, $target->exitLanes + 1, $target->busLanes, $target->exitRoomMetres);
        $plain = new Ring($ring->arms, $ring->lanes, [], []);
        expect($best(new Ring($arms, $ring->lanes, [], [])))->toBeLessThanOrEqual($best($plain) + 1e-9, "seed {$seed}: exit");
        expect($before)->toBeGreaterThanOrEqual(0.0);
    }
});

it('chooses among the acceptable lanes the one with least cost, and mirrors with the pack', function (): void {
    $arms = fn (Approaches $draw): array => array_map(
        fn (int $i): array => [
            'name' => "a{$i}", 'angle_deg' => $i * 72, 'approach_lanes' => array_fill(0, $draw->one([1, 2, 3]), []),
            'exit_lanes' => $draw->one([1, 2]),
        ],
        range(0, 4),
    );
    $flip = ['left' => 'right', 'right' => 'left'];
    for ($seed = 1; $seed <= 100; $seed++) {
        $draw = new Approaches($seed);
        $input = ['arms' => $arms($draw), 'from' => 'a0', 'to' => $draw->one(['a1', 'a2', 'a3', 'a4', 'a0'])];
        $gb = Ask::tool('lanes', $input);
        expect($gb['acceptable_lanes'][0]['lane'])->toBe($gb['approach_lane'])->and($gb['acceptable_lanes'][0]['extra'])->toEqual(0.0)
            ->and(min(array_column($gb['acceptable_lanes'], 'cost')))->toBe($gb['cost']);
        $na = Ask::tool('lanes', ['pack' => 'na'] + $input);
        expect($na['approach_lane'])->toBe($gb['approach_lane']);
        foreach ($gb['path'] as $i => $stretch) {
            expect($na['path'][$i]['mirrors'])->toBe(array_map(fn (string $look): string => strtr($look, $flip), $stretch['mirrors']));
        }
    }
});

it('signals as the Highway Code’s rule 186 says, and names what cannot be reached', function (): void {
    $four = [
        'arms' => array_map(
            fn (string $name, int $angle): array => ['name' => $name, 'angle_deg' => $angle, 'approach_lanes' => [[], []]], ['s', 'w', 'n', 'e'],
            [0, 90, 180, 270],
        ),
        'from' => 's',
    ];
    $signals = fn (string $to, array $more = []): array => array_map(
        fn (array $signal): array => [$signal['where'], $signal['side']], Ask::tool('lanes', ['to' => $to] + $more + $four)['signals'],
    );
    expect($signals('w'))->toBe([['approach', 'left']])
        ->and($signals('n'))->toBe([['approach', null], ['w', 'left']])
        ->and($signals('e'))->toBe([['approach', 'right'], ['n', 'left']])
        ->and($signals('s'))->toBe([['approach', 'right'], ['e', 'left']])
        ->and($signals('n', ['mini' => true]))->toHaveCount(1)
        ->and($signals('n', ['mini' => true, 'ring_radius_m' => 7]))->toHaveCount(2);
    // A third of the way round a mini takes under three seconds: no time for an exit signal.
    $small = [
        'arms' => array_map(fn (string $name, int $angle): array => ['name' => $name, 'angle_deg' => $angle], ['s', 'w', 'n'], [0, 60, 120]),
        'from' => 's', 'to' => 'n', 'mini' => true,
    ];
    expect(array_column(Ask::tool('lanes', $small)['signals'], 'where'))->toBe(['approach']);
    $closed = $four;
    $closed['arms'][2]['exit_lanes'] = 0;
    expect(Ask::refusal('lanes', $closed + ['to' => 'n']))->toHaveKey('to')
        ->and(Ask::refusal('lanes', $four + ['to' => 'nowhere']))->toHaveKey('to')
        ->and(
            Ask::refusal('lanes', ['arms' => [['name' => 'a', 'angle_deg' => 0], ['name' => 'a', 'angle_deg' => 90]], 'from' => 'a', 'to' => 'a']),
        )->toHaveKey('arms');
});

it('needs no change of lane on a roundabout whose spirals follow the paint, whatever exit is painted', function (): void {
    foreach ([2, 3, 4] as $lanes) {
        for ($seed = 1; $seed <= 60; $seed++) {
            $draw = new Approaches($seed);
            $exits = $draw->one([$lanes + 1, $lanes + 2, 7]);
            $names = array_map(fn (int $i): string => "a{$i}", range(0, $exits));
            // Paint in order: each lane takes over where the one outside it ends.
            $approach = [];
            $from = 1;
            for ($lane = 1; $lane <= $lanes; $lane++) {
                $until = $lane === $lanes ? $exits : $draw->one(range($from, $exits - ($lanes - $lane)));
                $approach[] = ['to' => array_slice($names, $from, $until - $from + 1)];
                $from = $until + 1;
            }
            $arms = array_map(fn (int $i): array => ['name' => $names[$i], 'angle_deg' => $i * 350 / ($exits + 1)], range(0, $exits));
            $arms[0]['approach_lanes'] = $approach;
            foreach ($approach as $i => $lane) {
                foreach ($lane['to'] as $to) {
                    $way = Ask::tool('lanes', ['arms' => $arms, 'from' => 'a0', 'to' => $to, 'spirals_by_paint' => true]);
                    expect([$way['approach_lane'], $way['exit_lane']])->toBe([$i + 1, 1], "{$lanes} lanes, seed {$seed}, {$to}")
                        ->and(array_filter($way['path'], fn (array $stretch): bool => $stretch['lane'] !== $stretch['to_lane']))->toBe([]);
                }
            }
        }
    }
});

it('takes lanes through an ordinary junction and on to the next one, and says where there is no room for it', function (): void {
    $arms = [
        ['name' => 'south', 'angle_deg' => 0, 'approach_lanes' => [['to' => ['west', 'north']], ['to' => ['north']], ['to' => ['east']]]],
        ['name' => 'west', 'angle_deg' => 90, 'exit_lanes' => 1], ['name' => 'north', 'angle_deg' => 180, 'exit_lanes' => 2],
        ['name' => 'east', 'angle_deg' => 270, 'exit_lanes' => 1],
    ];
    $ask = fn (string $to, array $more = []): array => Ask::tool(
        'lanes', ['arms' => $arms, 'from' => 'south', 'to' => $to, 'layout' => 'junction', 'speed_mps' => 10.0] + $more,
    );
    expect([$ask('west')['approach_lane'], $ask('north')['approach_lane'], $ask('east')['approach_lane']])->toBe([1, 1, 3])
        ->and(array_column($ask('west')['signals'], 'side'))->toBe(['left'])
        ->and(array_column($ask('north')['signals'], 'side'))->toBe([null])
        ->and(array_column($ask('east')['signals'], 'side'))->toBe(['right']);
    // Worked by hand: 70 m take one change of 7 s at 10 m/s; the second lane here is right for the turn after.
    $next = fn (float $metres): array => [
        'next_junction' => ['to' => 'quay', 'distance_m' => $metres, 'approach_lanes' => [['to' => ['hill']], ['to' => ['quay']]]],
    ];
    $close = $ask('north', $next(69.0));
    expect([$close['approach_lane'], $close['exit_lane'], $close['onward']['changes'], $close['onward']['fits']])->toBe([2, 2, 0, true])
        // From lane 1: forced (6.0) instead of leaving in lane 2 (2.0).
        ->and($close['acceptable_lanes'][1]['extra'])->toEqualWithDelta(4.0, 1e-9)
        // With room for the change the nearside lane is the cheaper one: one change after (1.5) against 2.0.
        ->and($ask('north', $next(71.0))['approach_lane'])->toBe(1)
        ->and($ask('north', $next(71.0))['onward'])->toMatchArray(['lane' => 2, 'changes' => 1, 'needed_m' => 70.0, 'fits' => true]);
    $only = $arms;
    $only[0]['approach_lanes'] = [['to' => ['north']], ['to' => ['east']]];
    $tight = Ask::tool('lanes', ['arms' => $only, 'from' => 'south', 'to' => 'north', 'layout' => 'junction', 'speed_mps' => 10.0] + $next(30.0));
    expect(array_column($tight['warnings'], 'code'))->toContain('no-room-for-changes');
    // More room never makes it dearer.
    $before = INF;
    foreach (range(10, 200, 10) as $metres) {
        $cost = $ask('north', $next((float) $metres))['cost'];
        expect($cost)->toBeLessThanOrEqual($before);
        $before = $cost;
    }
});

it('closes a bus lane in its hours only, and asks for whole hours', function (): void {
    $arms = fn (array $hours): array => [
        'arms' => [
            ['name' => 'a', 'angle_deg' => 0, 'approach_lanes' => [$hours, ['to' => []]]], ['name' => 'b', 'angle_deg' => 90],
            ['name' => 'c', 'angle_deg' => 200],
        ],
        'from' => 'a', 'to' => 'b',
    ];
    $hours = ['to' => [], 'bus_from' => '22:00', 'bus_until' => '06:30'];
    $lane = fn (array $more): int => Ask::tool('lanes', $more + $arms($hours))['approach_lane'];
    expect([$lane(['time' => '21:59']), $lane(['time' => '22:00']), $lane(['time' => '06:29']), $lane(['time' => '06:30']), $lane([])])->toBe([1, 2, 2, 1, 2])
        ->and(Ask::refusal('lanes', $arms(['to' => [], 'bus_from' => '7 am', 'bus_until' => '09:00'])))->toHaveKey('arms.0.approach_lanes.0.bus_from')
        ->and(Ask::refusal('lanes', $arms(['to' => [], 'bus_from' => '07:00'])))->toHaveKey('arms.0.approach_lanes.0.bus_until');
});

it('tells what is met in the order of time, with our lane taken before the mirrors for the junction', function (): void {
    for ($seed = 1; $seed <= 80; $seed++) {
        $draw = new Approaches($seed);
        $lanes = $draw->one([1, 2, 3]);
        $arms = array_map(
            fn (int $i): array => [
                'name' => "a{$i}", 'angle_deg' => $i * 72, 'exit_lanes' => $draw->one([1, 2]), 'approach_lanes' => array_fill(0, $lanes, []),
            ],
            range(0, 4),
        );
        $way = Ask::tool(
            'lanes',
            [
                'arms' => $arms, 'from' => 'a0', 'to' => $draw->one(['a1', 'a2', 'a3', 'a4', 'a0']), 'in_lane' => $draw->one(range(1, $lanes)),
                'speed_mph' => $draw->one([20, 30, 40, 50]),
            ],
        );
        $times = array_column($way['met'], 'time_s');
        $sorted = $times;
        rsort($sorted);
        expect($times)->toBe($sorted, "seed {$seed}");
        foreach ($way['met'] as $row) {
            expect($row['at_m'] <=> 0.0)->toBe($row['time_s'] <=> 0.0);
            if ($row['kind'] === 'change-lane') {
                expect($row['at_m'])->toBeGreaterThan($way['lane_by_m'])->and($row['at_m'])->toBeLessThan($way['decide_by_m']);
            }
        }
        expect(array_column($way['met'], 'kind'))->toContain('line', 'leave', 'mirrors');
    }
});

it('moves nobody sideways on the roundabout before mirrors and signal of that move, and out only past the exit before ours unless two lanes are to '
    .'be crossed', function (): void {
        $moves = $outward = 0;
        for ($seed = 1; $seed <= 400; $seed++) {
            $draw = new Approaches($seed);
            $count = $draw->one([3, 4, 5, 6]);
            $lanes = $draw->one([1, 2, 3, 4]);
            $names = array_map(static fn (int $i): string => "a{$i}", range(0, $count - 1));
            $arms = array_map(static fn (int $i): array => [
                'name' => $names[$i], 'angle_deg' => $i * 360 / $count, 'exit_lanes' => $draw->one([1, 1, 2]),
                'approach_lanes' => array_map(static fn (): array => ['to' => $draw->one([[], [], $names])], range(1, $lanes)),
            ], range(0, $count - 1));
            $input = [
                'arms' => $arms, 'from' => 'a0', 'to' => $draw->one($names), 'spirals_by_paint' => $draw->one([true, false]), 'passing' => $draw->one([true,
                    false]),
                'mini' => $draw->one([true, false]), 'ring_radius_m' => $draw->number(4, 40),
                'practice' => ['roundabout_signal' => $draw->one(['rule', 'rule-with-check', 'none-if-misleading'])],
            ];
            if (Ask::refusal('lanes', $input) !== []) {
                continue;
            }
            $way = Ask::tool('lanes', $input);
            $on = $way['signals'][0]['side'];
            $looked = $on === null ? [] : [$on => true];
            $signalled = null;
            foreach ($way['met'] as $row) {
                if ($row['kind'] === 'mirrors') {
                    $looked = array_fill_keys(array_filter(['left', 'right'], static fn (string $side): bool => in_array("{$side}-mirror", $row['mirrors'],
                        true)), true);
                }
                if ($row['kind'] === 'signal') {
                    expect($looked)->toHaveKey($row['side'], "seed {$seed}: a signal before its mirrors");
                    $signalled = $row['side'];
                }
                if (in_array($row['kind'], ['move', 'spiral'], true)) {
                    $moves++;
                    expect($looked)->toHaveKey($row['side'], "seed {$seed}: a move before its mirrors");
                    if ($row['kind'] === 'move') {
                        expect($signalled)->toBe($row['side'], "seed {$seed}: a move before its signal");
                    }
                }
            }
            $out = array_filter($way['path'], static fn (array $stretch): bool => $stretch['action'] === 'move-out');
            $outward += count($out);
            foreach ($out as $stretch) {
                $isLast = $stretch['sector'] === array_key_last($way['path']);
                expect($isLast || $stretch['to_lane'] > 1 || count($out) > 1)->toBeTrue("seed {$seed}: out too early");
            }
        }
        expect($moves)->toBeGreaterThan(30)->and($outward)->toBeGreaterThan(10);
    });
