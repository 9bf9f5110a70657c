<?php

declare(strict_types=1);

use NobleTurn\Core\Compute\Findings;
use NobleTurn\Core\Compute\Tool\JoinTool;
use NobleTurn\Core\Compute\Tool\PlannedBy;
use NobleTurn\Core\Compute\Toolbox;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\FastRoad\Joining;
use NobleTurn\Core\FastRoad\Neighbour;
use NobleTurn\Core\FastRoad\Slip;
use NobleTurn\Core\FastRoad\WayIn;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Tests\Approaches;
use NobleTurn\Core\Tests\Ask;

/** @return array<string, mixed> */
function drawnSlip(Approaches $draw): array
{
    $entry = $draw->number(5, 18);
    $vehicles = [];
    $at = $draw->number(-150, -60);
    for ($i = 0; $i < $draw->one([0, 1, 2, 4]); $i++) {
        $vehicles[] = ['distance_m' => $at, 'speed_mps' => $draw->number(18, 31), 'length_m' => $draw->one([4.5, 12.0, 16.5])];
        $at += $draw->number(25, 90);
    }

    return [
        'slip_length_m' => $draw->number(60, 500), 'entry_speed_mps' => $entry, 'main_speed_mps' => $draw->number($entry + 2, 31),
        'gradient' => $draw->number(-0.05, 0.05),
        'vehicle' => $draw->one(['small-petrol-hatch', 'small-automatic', 'small-electric', 'loaded-van']), 'vehicles' => $vehicles,
        'gap_s' => $draw->one([0.8, 1.0, 2.0]), 'slip_angle_deg' => $draw->number(2, 20),
    ];
}

it('never prefers a way of joining to one that asks less', function (): void {
    $met = 0;
    for ($seed = 1; $seed <= 150; $seed++) {
        $input = drawnSlip(new Approaches($seed));
        $answer = Ask::tool('join', $input);
        // Room alone is no way in: nobody joins more than 10 mph below the traffic and calls it good.
        $open = array_filter($answer['options'], fn (array $option): bool => $option['feasible'] && $option['short_mps'] <= 4.47);
        expect($answer['feasible'])->toBe($open !== [], "seed {$seed}")->and($answer['best'] === null)->toBe($open === []);
        if ($answer['best'] === null) {
            $slow = array_filter($answer['options'], fn (array $option): bool => $option['feasible']);
            expect($answer['decide_by_m'])->toBeNull()->and($slow === [] || $answer['fault_of_slip'] !== null)->toBeTrue("seed {$seed}")
                ->and(array_intersect(['no-gap-seen', 'fault-of-slip', 'too-slow-for-the-road'], array_column($answer['warnings'], 'code')))->not->toBe([]);

            continue;
        }
        $met++;
        $best = $answer['options'][$answer['best']];
        foreach ($open as $option) {
            $counts = fn (array $one): float => $one['effort_mps2'] + max(0.0, $one['short_mps'] - 2.2352);
            expect($counts($best))->toBeLessThanOrEqual($counts($option) + 0.021, "seed {$seed}")
                ->and($option['latest_m'])->toBeLessThanOrEqual($answer['choose_from_m'] + 0.1)->toBeGreaterThanOrEqual($answer['join_at_m'] - 0.1)
                ->and($answer['decide_by_m'])->toBeGreaterThanOrEqual($option['latest_m']);
            // What is called room is room: nobody is nearer than the gap asked for.
            if ($option['gap_s'] !== null) {
                expect($option['gap_s'])->toBeGreaterThanOrEqual($input['gap_s'] - 0.02, "seed {$seed}");
            }
        }
        $places = array_column($answer['glances'], 'at_m');
        $sorted = $places;
        rsort($sorted);
        expect($places)->toBe($sorted, "seed {$seed}");
    }
    expect($met)->toBeGreaterThan(60);
});

it('has no more on a hill in the same gear, and needs no more on a longer slip', function (): void {
    for ($seed = 1; $seed <= 80; $seed++) {
        $draw = new Approaches($seed);
        $input = ['vehicles' => [], 'gradient' => 0.0, 'solid_line_m' => 0] + drawnSlip($draw);
        unset($input['slip_angle_deg']);
        $gear = Ask::tool('join', $input)['gear'];
        $before = [INF, INF];
        foreach ([-0.06, -0.03, 0.0, 0.03, 0.06] as $gradient) {
            // A car that changes by itself may change elsewhere on a hill: one gear from end to end.
            $answer = Ask::tool(
                'join', ['gear' => max(3, $gear), 'gradient' => $gradient, 'vehicle' => 'small-petrol-hatch', 'slip_length_m' => 90.0] + $input,
            );
            expect($answer['accel_available_mps2'])
                ->toBeLessThanOrEqual($before[0] + 1e-6, "seed {$seed}")
                ->and($answer['speed_at_end_mps'])
                ->toBeLessThanOrEqual($before[1] + 1e-6);
            $before = [$answer['accel_available_mps2'], $answer['speed_at_end_mps']];
        }
        $needed = INF;
        foreach ([80, 120, 200, 400] as $length) {
            $now = Ask::tool('join', ['slip_length_m' => $length] + $input)['accel_needed_mps2'];
            expect($now)->toBeLessThanOrEqual($needed);
            $needed = $now;
        }
    }
});

it('brings everything of leaving in its order, and reaches each speed where it should', function (): void {
    for ($seed = 1; $seed <= 200; $seed++) {
        $draw = new Approaches($seed);
        $length = $draw->number(60, 600);
        $main = $draw->number(15, 31);
        $input = [
            'pack' => $draw->one(['gb', 'ie', 'na']), 'slip_length_m' => $length, 'main_speed_mps' => $main, 'end_speed_mps' => $draw->number(0, 12),
            'next_turn' => $draw->one(['left', 'right']), 'lanes' => $draw->one([1, 2, 3]),
            'practice' => ['leave_signal' => $draw->one(['half-way', 'at-once']), 'slip_lane' => $draw->one(['by-length', 'straight'])],
        ] + ($draw->one([true, false]) ? ['bend_radius_m' => $draw->number(20, 120), 'bend_from_m' => $draw->number(0.3, 0.8) * $length] : []);
        $answer = Ask::tool('leave', $input);
        $places = array_column($answer['events'], 'at_m');
        $sorted = $places;
        rsort($sorted);
        expect($places)->toBe($sorted, "seed {$seed}");
        $kinds = array_column($answer['events'], 'kind');
        $order = array_values(array_intersect(['sign', 'near-lane', 'mirrors', 'signal', 'slip', 'cancel', 'next-mirrors', 'next-signal', 'end'], $kinds));
        $positions = array_map(fn (string $kind): int => (int) array_search($kind, $kinds, true), $order);
        $ascending = $positions;
        sort($ascending);
        expect($positions)->toBe($ascending, "seed {$seed}");
        $profile = $answer['profile'];
        // Kept on the main road, never gained on the slip, at the end what was asked for.
        foreach ($profile['speed_mps'] as $i => $speed) {
            expect(
                $profile['distance_m'][$i] >= 0 ? abs($speed - $main) < 0.01 : true,
            )->toBeTrue()->and($speed)->toBeLessThanOrEqual($profile['speed_mps'][max(0, $i - 1)] + 1e-6, "seed {$seed}");
        }
        expect(end($profile['speed_mps']))->toEqualWithDelta(min($main, $input['end_speed_mps'], $answer['bend_speed_mps'] ?? INF), 0.05, "seed {$seed}");
        foreach ($answer['events'] as $event) {
            if ($event['kind'] === 'bend' && $answer['bend_speed_mps'] < $main) {
                expect($event['speed_mps'])->toBeLessThanOrEqual($answer['bend_speed_mps'] + 0.05, "seed {$seed}");
            }
        }
    }
});

it('never shortens the sight for a faster oncoming car, and turns back sooner than it turns no more', function (): void {
    for ($seed = 1; $seed <= 60; $seed++) {
        $draw = new Approaches($seed);
        $limit = $draw->number(20, 31);
        $input = [
            'limit_mps' => $limit, 'other_speed_mps' => $draw->number(0.4, 0.85) * $limit, 'other_length_m' => $draw->one([4.5, 12.0, 16.5]),
            'gradient' => $draw->number(-0.04, 0.04), 'vehicle' => $draw->one(['small-petrol-hatch', 'small-electric', 'loaded-van']),
        ];
        $before = 0.0;
        foreach ([10, 20, 30] as $oncoming) {
            $answer = Ask::tool('overtake', ['oncoming_speed_mps' => $oncoming] + $input);
            if ($answer['time_s'] === null) {
                expect($answer['verdict'])->toBe('drop-back');

                continue;
            }
            expect($answer['sight_needed_m'])
                ->toBeGreaterThanOrEqual($before, "seed {$seed}")
                ->and($answer['point_of_no_return_s'])
                ->toBeGreaterThanOrEqual(0.0)
                ->toBeLessThanOrEqual($answer['time_s'] + 1e-6);
            $before = $answer['sight_needed_m'];
            $seen = fn (float $share): string => Ask::tool(
                'overtake', ['sight_m' => max(100.0, $share * $answer['sight_needed_m'])] + ['oncoming_speed_mps' => $oncoming] + $input,
            )['verdict'];
            if (0.9 * $answer['sight_needed_m'] > 100.0) {
                expect($seen(0.9))->toBe('drop-back')->and($seen(1.3))->toBe('go');
            }
        }
    }
});

it('chooses the lane change that asks least, with room on both sides, and mirrors with the pack', function (): void {
    $found = 0;
    for ($seed = 1; $seed <= 80; $seed++) {
        $draw = new Approaches($seed);
        $vehicles = [];
        $at = $draw->number(-90, -30);
        for ($i = 0; $i < $draw->one([1, 2, 3]); $i++) {
            $vehicles[] = ['lane' => 'right', 'distance_m' => $at, 'speed_mps' => $draw->number(10, 20)];
            $at += $draw->number(20, 60);
        }
        $input = ['speed_mps' => $draw->number(10, 18), 'limit_mps' => 20.0, 'to' => 'right', 'vehicles' => $vehicles, 'gap_s' => 1.0];
        $answer = Ask::tool('lane-change', $input);
        foreach ($answer['options'] as $option) {
            if (! $option['feasible']) {
                continue;
            }
            $found++;
            expect(
                min($option['gap_ahead_s'] ?? INF, $option['gap_behind_s'] ?? INF),
            )->toBeGreaterThanOrEqual(0.99, "seed {$seed}")->and($option['speed_mps'])->toBeLessThanOrEqual(20.01);
            $best = array_values(array_filter($answer['options'], fn (array $one): bool => $one['kind'] === $answer['best']))[0];
            expect($best['cost'])->toBeLessThanOrEqual($option['cost'] + 1e-9);
        }
        $flip = ['left' => 'right', 'right' => 'left'];
        $mirrored = ['to' => 'left', 'vehicles' => array_map(fn (array $one): array => ['lane' => 'left'] + $one, $vehicles)] + $input;
        expect(
            array_map(fn (array $check): string => strtr($check['at'], $flip), Ask::tool('lane-change', $mirrored)['checks']),
        )->toBe(array_column($answer['checks'], 'at'));
    }
    expect($found)->toBeGreaterThan(80);
    // Order of the schools: signal first across the water, mirrors first here; the shoulder by practice.
    $order = fn (array $more): array => array_column(Ask::tool('lane-change', ['speed_mph' => 30, 'limit_mph' => 40, 'to' => 'right'] + $more)['checks'], 'at');
    expect($order(['pack' => 'na'])[0])->toBe('signal')->and($order([])[0])->toBe('interior')
        ->and(
            array_search('right-shoulder', $order(['practice' => ['shoulder' => 'before-signal']]), true),
        )->toBeLessThan(array_search('signal', $order(['practice' => ['shoulder' => 'before-signal']]), true))
        ->and(array_search('right-shoulder', $order([]), true))->toBeGreaterThan(array_search('signal', $order([]), true));
    // 7 s at 15 m/s: two junctions 100 m apart leave no room between them, 110 m do.
    $two = fn (float $metres): string => Ask::tool(
        'lane-change', ['speed_mps' => 15, 'limit_mps' => 20, 'to' => 'left', 'second_junction_m' => $metres],
    )['junctions'];
    expect($two(100.0))->toBe('before-the-first')->and($two(110.0))->toBe('room-between');
});

it('draws a joining that is the drive it speaks of, by a second integration', function (): void {
    for ($seed = 1; $seed <= 60; $seed++) {
        $answer = Ask::tool('join', drawnSlip(new Approaches($seed)));
        ['time_s' => $times, 'distance_m' => $places, 'speed_mps' => $speeds] = $answer['profile'];
        for ($i = 1; $i < count($times); $i++) {
            // The way between two rows is the mean of their speeds: exact for steady gains, a little off where one begins.
            expect($places[$i - 1] - $places[$i])->toEqualWithDelta(
                ($speeds[$i - 1] + $speeds[$i]) / 2.0 * ($times[$i] - $times[$i - 1]), 0.05, "seed {$seed}, row {$i}",
            );
        }
        foreach ($answer['others'] as $other) {
            expect(($other['distance_m'][0] - $other['distance_m'][1]) / ($times[1] - $times[0]))->toBeGreaterThan(17.9);
        }
    }
});

it('loses on the slip road just the speed it brakes away, and drives in a lane change what it says', function (): void {
    for ($seed = 1; $seed <= 60; $seed++) {
        $draw = new Approaches($seed);
        $answer = Ask::tool(
            'leave', ['main_speed_mps' => $draw->number(15, 31), 'slip_length_m' => $draw->number(100, 500), 'end_speed_mps' => $draw->number(0, 12)],
        );
        ['distance_m' => $places, 'speed_mps' => $speeds, 'decel_mps2' => $brake] = $answer['profile'];
        // The work of the brake is the energy lost: sum of 2 a s, row by row, where the brake does not change between two rows.
        for ($i = 1; $i < count($places); $i++) {
            if ($brake[$i] === $brake[$i - 1]) {
                expect($speeds[$i - 1] ** 2 - $speeds[$i] ** 2)->toEqualWithDelta(
                    2.0 * $brake[$i - 1] * ($places[$i - 1] - $places[$i]), 0.2, "seed {$seed}, row {$i}",
                );
            }
        }
        $change = Ask::tool(
            'lane-change',
            [
                'speed_mps' => $draw->number(8, 18), 'limit_mps' => 20.0, 'to' => 'left',
                'vehicles' => [['distance_m' => $draw->number(-60, 40), 'speed_mps' => $draw->number(8, 20)]],
            ],
        );
        foreach ($change['options'] as $option) {
            ['time_s' => $times, 'ours_m' => $ours, 'over' => $over] = $option['motion'];
            if ($option['kind'] === 'stay') {
                expect(max($over))->toEqual(0.0);

                continue;
            }
            $in = array_search(1.0, $over, true);
            expect($in)->not->toBeFalse()->and($ours[$in])->toEqualWithDelta(
                $option['metres_m'] + $option['speed_mps'] * ($times[$in] - $option['time_s'] - 3.0), 0.1, "seed {$seed}",
            );
        }
    }
});

it('plans an ordinary road for every routine that has no approach, under every pack', function (): void {
    $planned = 0;
    foreach (RulePacks::all() as $pack) {
        foreach (Catalogue::codes($pack) as $code) {
            $tool = PlannedBy::tool($code);
            if ($tool === null || $tool === 'approach') {
                expect(PlannedBy::ordinary($code, $pack))->toBe([]);

                continue;
            }
            $road = PlannedBy::ordinary($code, $pack);
            expect(array_diff(array_keys($road), PlannedBy::fields($code)))->toBe([])
                ->and(Toolbox::run($tool, PlannedBy::inputs($code, $road, $pack))['tool'])->toBe($tool);
            $planned++;
        }
    }
    expect($planned)->toBe(15);
});

it('takes the lane of the second lights before the first where they are six seconds apart', function (): void {
    // The trade's example: a change takes about seven seconds. 6 s at 30 mph are 80 m, 7.1 s are 95 m.
    $junctions = fn (float $seconds): string => Ask::tool(
        'lane-change', ['speed_mph' => 30, 'limit_mph' => 30, 'to' => 'right', 'second_junction_m' => $seconds * 13.4112],
    )['junctions'];
    expect($junctions(6.0))->toBe('before-the-first')->and($junctions(7.1))->toBe('room-between');
});

it('says where others would drive into each other meanwhile', function (): void {
    $codes = fn (float $ahead): array => array_column(
        Ask::tool(
            'lane-change',
            [
                'speed_mph' => 35, 'limit_mph' => 40, 'to' => 'right',
                'vehicles' => [['distance_m' => 25, 'speed_mph' => $ahead], ['distance_m' => -12, 'speed_mph' => 38]],
            ],
        )['warnings'],
        'code',
    );
    expect($codes(20))->toContain('others-meet')->and($codes(39))->not->toContain('others-meet');
});

it('can still do at the last place what it says can be chosen until there, and at a speed nobody minds', function (): void {
    $held = 0;
    for ($seed = 1; $seed <= 100; $seed++) {
        $asked = (new JoinTool)->input()->read(['pack' => 'gb', ...drawnSlip(new Approaches($seed))], '', new Findings);
        $joining = (new JoinTool)->scene($asked ?? new Values([]));
        $from = $joining->slip->chooseFromMetres();
        foreach (array_filter($joining->waysIn(), static fn (WayIn $way): bool => $way->isGood() && $way->latestMetres !== null) as $way) {
            if ($way->latestMetres > $from - 1.0) {
                continue;
            }
            // The same slip, but looked into only there: everybody as they are by then.
            $slip = $joining->slip;
            $then = $joining->secondsTo($way->latestMetres);
            $late = new Joining(
                new Slip($slip->lengthMetres, $slip->gradient, $slip->limitChangeMetres, $way->latestMetres, $slip->solidUntilMetres, $slip->wholeSlip),
                $joining->vehicle, $joining->gear, $joining->entryMps, $joining->mainMps, $joining->limitMps, $joining->room,
                array_map(static fn (Neighbour $other): Neighbour => new Neighbour(
                    $other->name, $other->frontMetresAt($then) - ($from - $way->latestMetres), $other->speedMps, $other->lengthMetres,
                ), $joining->seen),
            );
            $same = array_filter($late->waysIn(), static fn (WayIn $again): bool => $again->which === $way->which && $again->ahead === $way->ahead);
            expect(array_values($same)[0]->isGood())->toBeTrue("seed {$seed}, at {$way->latestMetres} m");
            $held++;
        }
    }
    expect($held)->toBeGreaterThan(60);
});
