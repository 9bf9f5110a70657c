<?php

declare(strict_types=1);

use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Tests\Scenes;

const MPH = 0.44704;

/**
 * @param  list<array{float, float}>  $others  metres ahead of us, mph
 * @param  array<string, mixed>  $more
 * @return array<string, mixed>
 */
function joinScene(float $slip, float $entry, float $main, array $others = [], array $more = []): array
{
    return Ask::tool('join', [
        'slip_length_m' => $slip, 'entry_speed_mph' => $entry, 'main_speed_mph' => $main,
        'vehicles' => array_map(static fn (array $one): array => ['distance_m' => $one[0], 'speed_mph' => $one[1]], $others), ...$more,
    ]);
}

/** Speed of the best way in below the traffic, mph; null where there is none. @param  array<string, mixed>  $answer */
function shortOf(array $answer): ?float
{
    return $answer['best'] === null ? null : $answer['options'][$answer['best']]['short_mps'] / MPH;
}

Scenes::show('a short slip, 35 to 50 mph, three cars beside it: off the gas first, then gas, and in behind the second at the traffic’s speed, never at '
    .'walking pace', function (): void {
        $answer = joinScene(150, 35, 50, [[40, 50], [-20, 50], [-80, 50]]);
        $best = $answer['options'][$answer['best']];
        expect(shortOf($answer))->toBeLessThan(5.05)->and($best['accel_mps2'])->toBeLessThan(0.0)->and($best['then_mps2'])->toBeGreaterThan(0.8)
            ->and($best['behind_of'])->toBe('vehicle 2')->and($best['ahead_of'])->toBe('vehicle 3')->and($answer['message'])->toContain('ease off')
            ->toContain('then gain speed');
    });

Scenes::show('keeping right, a ramp of 900 ft, 35 to 65, a car ahead and one behind: within 10 mph of the traffic, and what is '
    .'short is said', function (): void {
        $answer = joinScene(274.32, 35, 65, [[30, 65], [-40, 65]], ['pack' => 'na']);
        expect(shortOf($answer))->toBeLessThanOrEqual(10.0)->and($answer['speed_short_mps'])->toEqualWithDelta(shortOf($answer) * MPH, 0.01)
            ->and(array_column($answer['warnings'], 'code'))->toContain('joins-slowly');
    });

Scenes::show('whatever stands beside a slip road, the best way in is within 10 mph of the traffic, or it is the slip’s fault, or there is no gap: then who '
    .'joins gives way', function (): void {
        $seen = ['good' => 0, 'short' => 0, 'fault' => 0, 'no gap' => 0];
        foreach ([100, 150, 200, 300] as $slip) {
            foreach ([20, 30, 40] as $entry) {
                foreach ([50, 60, 70] as $main) {
                    foreach ([-60, -20, 20, 60, 100, 140] as $at) {
                        $answer = joinScene($slip, $entry, $main, [[$at, $main], [$at - 60, $main], [$at - 120, $main]]);
                        $short = shortOf($answer);
                        $codes = array_column($answer['warnings'], 'code');
                        $seen[match (true) {
                            $short === null => $answer['fault_of_slip'] === null ? 'no gap' : 'fault', $short <= 5.01 => 'good', default => 'short'
                        }]++;
                        expect($short ?? 0.0)->toBeLessThanOrEqual(10.01)->and($short !== null || array_intersect($codes, ['no-gap-seen', 'fault-of-slip',
                            'too-slow-for-the-road']) !== [])->toBeTrue()
                            ->and($answer['fault_of_slip'] === null || str_contains($answer['fault_of_slip'], 'who joins gives way'))->toBeTrue();
                        if ($short !== null && $short > 5.01) {
                            expect(array_intersect(['joins-slowly', 'not-quite-the-speed'], $codes))->not->toBe([]);
                        }
                    }
                }
            }
        }
        expect(min($seen))->toBeGreaterThan(3)->and($seen['good'])->toBeGreaterThan(50);
    });

Scenes::show('a slip too short for the car says at which speed it would have to begin, and that beginning there does', function (): void {
    $answer = joinScene(90, 20, 60);
    expect($answer['best'])->toBeNull()->and($answer['fault_of_slip'])->toMatch('/Begin the slip road at \d+ mph/');
    preg_match('/Begin the slip road at (\d+) mph/', $answer['fault_of_slip'], $said);
    expect(shortOf(joinScene(90, (int) $said[1] + 1, 60)))->toBeLessThan(5.5)->and(shortOf(joinScene(90, (int) $said[1] - 4,
        60)) ?? 99.0)->toBeGreaterThan(5.0);
});

Scenes::show('traffic slower than we are, a queue or a temporary limit, gets an answer: down to it on the slip, then in as it rolls', function (): void {
    $answer = joinScene(250, 40, 20, [[30, 20], [0, 20]]);
    expect($answer['best'])->not->toBeNull()->and($answer['speed_at_end_mps'] / MPH)->toEqualWithDelta(20.0, 0.6)
        ->and(array_column($answer['warnings'], 'code'))->toContain('slower-traffic');
    // The same speed in another unit is the same speed.
    expect(Ask::refusal('join', ['slip_length_m' => 200, 'entry_speed_kmh' => 80.4672, 'main_speed_mph' => 50]))->toBe([]);
});

Scenes::show('up a hill of 12 % second is held where third would lose speed; on the level and on gentle hills third', function (): void {
    $gear = static fn (float $gradient): int => joinScene(180, 30, 50, [], ['gradient' => $gradient])['gear'];
    expect([$gear(-0.04), $gear(0.0), $gear(0.03), $gear(0.12)])->toBe([3, 3, 3, 2])
        ->and(joinScene(180, 30, 50, [], ['gradient' => 0.12])['speed_at_end_mps'])
        ->toBeGreaterThan(joinScene(180, 30, 50, [], ['gradient' => 0.12, 'gear' => 3])['speed_at_end_mps'] + 1.0);
});

Scenes::show('the signal for joining is given as soon as the main road is seen, not from the limit sign', function (): void {
    $answer = joinScene(250, 30, 60, [], ['view_from_m' => 200, 'limit_change_m' => 120]);
    expect($answer['signal_m'])->toEqual(200.0)->and($answer['limit_sign_m'])->toEqual(130.0);
});

Scenes::show('a car ahead on the slip: fall back first, and look over the shoulder only with the room for it', function (): void {
    $with = static fn (float $metres, float $mph): array => joinScene(250, 30, 60, [], ['leader' => ['distance_m' => $metres, 'speed_mph' => $mph]]);
    expect($with(20, 30)['hold_back_m'])->toBeGreaterThan(20.0)->and($with(60, 30)['hold_back_m'])->toEqualWithDelta($with(20, 30)['hold_back_m'] - 40.0, 0.2)
        ->and($with(20, 45)['hold_back_m'])->toBeLessThan($with(20, 30)['hold_back_m'])->and($with(400, 60)['hold_back_m'])->toEqual(0.0)
        ->and(joinScene(250, 30, 60)['hold_back_m'])->toEqual(0.0)
        ->and(array_column($with(20, 30)['warnings'], 'code'))->toContain('hold-back')->and($with(20, 30)['glances'][1]['why'])->toContain('room for it');
});

Scenes::show('somebody seems to move over, or to leave across us: that counts only once it is done, and the answer says what it '
    .'would change', function (): void {
        $ask = static fn (string $intends): array => Ask::tool('join', [
            'slip_length_m' => 250, 'entry_speed_mph' => 35, 'main_speed_mph' => 60,
            'vehicles' => [['distance_m' => -5, 'speed_mph' => 60, 'name' => 'the lorry', 'intends' => $intends, 'length_m' => 16.5]],
        ]);
        [$stays, $moves, $leaves] = [$ask('stays'), $ask('moves-over'), $ask('leaves')];
        expect($moves['options'])->toBe($stays['options'])->and($leaves['options'])->toBe($stays['options']);
        $said = array_column($moves['warnings'], 'message', 'code');
        expect($said['moves-over'])->toContain('only once it has')->toMatch('/\d+ mph|nothing for us/')
            ->and(array_column($leaves['warnings'], 'code'))->toContain('leaves')->and(array_column($stays['warnings'], 'code'))->not->toContain('moves-over');
    });

/**
 * @param  array<string, mixed>  $more
 * @return array<string, mixed>
 */
function leaveScene(float $main, float $slip, array $more = []): array
{
    return Ask::tool('leave', ['main_speed_mph' => $main, 'slip_length_m' => $slip, ...$more]);
}

Scenes::show('off at 60 onto a slip of 110 m with a tight bend after 60: the brake begins with the slip; where even that is too hard it is said, with how '
    .'much would have to go before', function (): void {
        $tight = leaveScene(60, 110, ['bend_from_m' => 60, 'bend_radius_m' => 25]);
        expect($tight['brake_from_m'])->toEqual(0.0)->and($tight['verdict'])->toBe('harsh')->and($tight['peak_decel_mps2'])->toBeLessThan(7.0)
            ->and($tight['shed_before_mps'])->toBeGreaterThan(3.0)->and(array_column($tight['warnings'], 'message',
                'code')['harsh-braking'])->toMatch('/about \d+ mph would have to go/');
        // With that gone, the brake stays firm.
        $slower = leaveScene(60 - $tight['shed_before_mps'] / MPH - 0.3, 110, ['bend_from_m' => 60, 'bend_radius_m' => 25]);
        expect($slower['verdict'])->toBe('firm')->and($slower['shed_before_mps'])->toEqual(0.0);
    });

Scenes::show('slow before the bend, not in it, whatever its radius: a little tighter asks a little more and never turns an even brake into a '
    .'harsh one', function (): void {
        foreach ([[70, 250], [60, 200], [50, 150]] as [$main, $slip]) {
            foreach (['bend_radius_m' => range(200, 40, -1), 'bend_from_m' => range(60, $slip - 50, 1)] as $field => $values) {
                $before = null;
                foreach ($values as $value) {
                    $answer = leaveScene($main, $slip, [$field => $value] + ['bend_radius_m' => 80, 'bend_from_m' => $slip / 2, 'end_speed_mph' => 15]);
                    if ($before !== null) {
                        expect(abs($answer['peak_decel_mps2'] - $before['peak_decel_mps2']))->toBeLessThan(0.25, "{$main} {$slip} {$field} {$value}")
                            ->and(abs($answer['brake_from_m'] - $before['brake_from_m']))->toBeLessThan(3.5);
                    }
                    $before = $answer;
                }
            }
        }
        $answer = leaveScene(70, 250, ['bend_radius_m' => 75, 'bend_from_m' => 125, 'end_speed_mph' => 15]);
        foreach ($answer['profile']['distance_m'] as $i => $place) {
            if (-$place > 126 && -$place < 164) {
                expect($answer['profile']['decel_mps2'][$i])->toEqual(0.0)->and($answer['profile']['speed_mps'][$i])
                    ->toBeLessThanOrEqual($answer['bend_speed_mps'] + 0.01);
            }
        }
    });

Scenes::show('a short slip is braked from its beginning, a long one after a moment straight on it', function (): void {
    $from = 0.0;
    foreach (range(60, 400, 5) as $slip) {
        $answer = leaveScene(60, $slip, ['end_speed_mph' => 15]);
        expect(-$answer['brake_from_m'])->toBeGreaterThanOrEqual($from - 0.01)->and(-$answer['brake_from_m'] - $from)->toBeLessThan(6.0);
        $from = -$answer['brake_from_m'];
    }
    expect(leaveScene(60, 100, ['end_speed_mph' => 15])['brake_from_m'])->toEqual(0.0)->and(-leaveScene(60, 400,
        ['end_speed_mph' => 15])['brake_from_m'])->toBeGreaterThan(20.0);
});

Scenes::show('leaving, a gear is taken while there is still a speed for it, never fifth down to idling speed', function (): void {
    foreach ([50, 60, 70] as $main) {
        foreach ([5, 10, 15, 20, 25] as $end) {
            $answer = leaveScene($main, 300, ['end_speed_mph' => $end]);
            $gears = array_values(array_filter($answer['events'], static fn (array $event): bool => $event['kind'] === 'gear'));
            $car = NobleTurn\Core\Vehicle\DemoVehicles::byId('small-petrol-hatch');
            expect($gears)->not->toBe([])->and($car->gearbox->rpmAt($gears[0]['speed_mps'], 5))->toBeGreaterThan($car->engine->idleRpm, "{$main} to {$end}")
                ->and($car->gearbox->rpmAt($gears[0]['speed_mps'], $gears[0]['gear']))->toBeLessThan($car->engine->redLineRpm);
        }
    }
});

Scenes::show('on a wet slip the bend takes less speed and the brake begins earlier', function (): void {
    $on = static fn (string $surface): array => leaveScene(60, 220, ['bend_radius_m' => 60, 'bend_from_m' => 120, 'end_speed_mph' => 15,
        'surface' => $surface]);
    expect($on('wet')['bend_speed_mps'])->toBeLessThan($on('dry')['bend_speed_mps'])->and($on('ice')['verdict'])->toBe('harsh')
        ->and(-$on('wet')['brake_from_m'])->toBeLessThanOrEqual(-$on('dry')['brake_from_m']);
});

Scenes::show('overtaking on ice: no. In the wet the brake of giving up is weaker, and one stays four seconds behind', function (): void {
    $on = static fn (string $surface, int $sight = 900): array => Ask::tool(
        'overtake', ['limit_mph' => 60, 'other_speed_mph' => 40, 'oncoming_speed_mph' => 60, 'sight_m' => $sight, 'surface' => $surface],
    );
    expect([$on('dry')['verdict'], $on('wet')['verdict'], $on('ice')['verdict']])->toBe(['go', 'go',
        'drop-back'])->and($on('ice')['message'])->toContain('On ice: no')
        ->and($on('wet')['follow_m'])->toEqualWithDelta(4.0 * 40 * MPH, 0.1)
        ->and($on('wet')['point_of_no_return_s'])->toBeLessThan($on('dry')['point_of_no_return_s']);
});

Scenes::show('before overtaking one stays back for the view; who closes up first has less way to gain and needs less road', function (): void {
    $from = static fn (array $more): array => Ask::tool('overtake', [
        'limit_mph' => 60, 'other_speed_mph' => 40, 'oncoming_speed_mph' => 60, 'sight_m' => 700, ...$more,
    ]);
    $kept = $from([]);
    $closed = $from(['practice' => ['overtake_place' => 'closed-up']]);
    $other = 40 * MPH;
    expect($kept['position_m'])->toEqualWithDelta(2.0 * $other, 0.1)->and($closed['position_m'])->toEqualWithDelta(0.5 * $other, 0.1)
        // To be gained: the gap behind, both lengths, the gap ahead.
        ->and($kept['relative_m'] - $closed['relative_m'])->toEqualWithDelta(1.5 * $other, 0.2)
        ->and($kept['sight_needed_m'])->toBeGreaterThan($closed['sight_needed_m'] + 50.0)
        ->and($kept['steps'][1]['text'])->toContain('kept back')->and($closed['steps'][1]['text'])->toContain('half a second');
    // As the place moves from the one to the other, so does the road that is needed: never a jump.
    $before = $closed['sight_needed_m'];
    foreach (range(6, 20) as $tenths) {
        $needed = $from(['position_gap_s' => $tenths / 10.0])['sight_needed_m'];
        expect($needed - $before)->toBeGreaterThan(0.0)->toBeLessThan(16.0);
        $before = $needed;
    }
    expect($before)->toEqualWithDelta($kept['sight_needed_m'], 0.1)->and(Ask::refusal('overtake', ['limit_mph' => 60, 'position_gap_s' => 0]))
        ->toHaveKey('position_gap_s');
});

Scenes::show('back in after overtaking: left mirrors first, then the left signal as it is taught', function (): void {
    $back = static fn (string $choice, string $pack = 'gb'): array => array_slice(Ask::tool('overtake', [
        'pack' => $pack, 'limit_mph' => 60, 'other_speed_mph' => 40, 'sight_m' => 900, 'practice' => ['return_signal' => $choice],
    ])['signals'], 1);
    $mirror = array_slice(array_values(array_filter(
        Ask::tool('overtake', ['limit_mph' => 60, 'other_speed_mph' => 40, 'sight_m' => 900])['steps'],
        static fn (array $step): bool => $step['step'] === 'mirrors',
    )), -1)[0];
    expect($back('always')[0]['side'])->toBe('left')->and($back('always', 'na')[0]['side'])->toBe('right')->and($back('mirror-only'))->toBe([])
        ->and($back('where-it-helps')[0]['message'])->toContain('gains by it')->and($back('always')[0]['at_s'])->toBeGreaterThan($mirror['time_s']);
});

/**
 * @param  list<array<string, mixed>>  $vehicles
 * @param  array<string, mixed>  $more
 * @return array<string, mixed>
 */
function changeScene(float $mph, float $limit, array $vehicles, array $more = []): array
{
    return Ask::tool('lane-change', ['speed_mph' => $mph, 'limit_mph' => $limit, 'to' => 'right', 'vehicles' => $vehicles, ...$more]);
}

Scenes::show('35 in a 45, a car alongside and a truck 22 m behind it, both 36: faster into the space ahead, or stay; nobody eases far below the traffic in '
    .'a live lane', function (): void {
        $answer = changeScene(35, 45, [['distance_m' => 0, 'speed_mph' => 36], ['distance_m' => -26.5, 'speed_mph' => 36, 'length_m' => 16.5]],
            ['pack' => 'na']);
        expect($answer['best'])->toBeIn(['faster-ahead', 'stay']);
        for ($at = -60; $at <= 60; $at += 7) {
            foreach ([30, 36, 42] as $theirs) {
                $way = changeScene(35, 45, [['distance_m' => $at, 'speed_mph' => $theirs], ['distance_m' => $at - 30, 'speed_mph' => $theirs],
                    ['distance_m' => $at - 60, 'speed_mph' => $theirs]]);
                foreach ($way['options'] as $option) {
                    expect($option['feasible'] && $option['short_mps'] > 4.48)->toBeFalse();
                    if ($option['kind'] === $way['best']) {
                        expect($option['speed_mps'] / MPH)->toBeGreaterThan(min(35, $theirs) - 10.1);
                    }
                }
            }
        }
    });

Scenes::show('nothing asks for the change and no gap comes: stay is an answer; where the lane ends it is none', function (): void {
    $wall = array_map(static fn (int $i): array => ['distance_m' => 9 * $i, 'speed_mph' => 35], range(-9, 9));
    expect(changeScene(35, 40, $wall)['best'])->toBe('stay')->and(changeScene(35, 40, $wall)['message'])->toContain('Stay')
        ->and(changeScene(35, 40, $wall, ['room_m' => 150])['best'])->toBeNull();
});

Scenes::show('who follows us in our own lane counts: with somebody close behind we do not ease', function (): void {
    $beside = [['distance_m' => 2, 'speed_mph' => 35], ['distance_m' => 40, 'speed_mph' => 35]];
    $easier = static fn (array $more): array => array_column(changeScene(35, 40, [...$beside, ...$more])['options'], null, 'kind')['easier-behind'];
    expect($easier([])['feasible'])->toBeTrue()->and($easier([['distance_m' => -9, 'speed_mph' => 36, 'lane' => 'own']])['feasible'])->toBeFalse()
        ->and($easier([['distance_m' => -90, 'speed_mph' => 35, 'lane' => 'own']])['feasible'])->toBeTrue();
});

Scenes::show('somebody in the lane beyond could take the same gap: the last look goes there', function (): void {
    $codes = static fn (float $at): array => array_column(changeScene(35, 45, [['distance_m' => $at, 'speed_mph' => 35, 'lane' => 'beyond']])['warnings'],
        'code');
    expect($codes(0))->toContain('same-gap')->and($codes(-200))->not->toContain('same-gap');
});

Scenes::show('a lane for buses may have two windows a day, and is not ours in either', function (): void {
    $best = static fn (string $time): ?string => changeScene(35, 40, [], [
        'time' => $time, 'bus_hours' => [['from' => '07:00', 'until' => '09:00'], ['from' => '16:00', 'until' => '18:00']],
    ])['best'];
    expect([$best('08:00'), $best('12:00'), $best('17:00'), $best('18:30')])->toBe([null, 'wait', null, 'wait'])
        ->and(changeScene(35, 40, [], ['bus_hours' => []])['best'])->toBeNull();
});

Scenes::show('being passed: let it by and look again, or signal meanwhile, as it is taught', function (): void {
    $said = static fn (string $choice): string => array_column(
        changeScene(35, 40, [['distance_m' => -12, 'speed_mph' => 40]], ['practice' => ['passed' => $choice]])['warnings'], 'message', 'code',
    )['being-passed'];
    expect($said('let-pass'))->toContain('let it by')->and($said('signal-meanwhile'))->toContain('signal meanwhile')->not->toContain('let it by');
});

Scenes::show('a long vehicle that no gap comes to signals, keeps rolling and moves only when somebody holds back; a car stays and '
    .'looks again', function (): void {
        $beside = array_map(
            static fn (int $metres): array => ['name' => "car {$metres}", 'lane' => 'right', 'distance_m' => $metres, 'speed_mph' => 30], range(-130, 98, 12),
        );
        $lorry = changeScene(30, 40, $beside, ['vehicle' => 'articulated-lorry', 'room_m' => 300]);
        $car = changeScene(30, 40, $beside, ['room_m' => 300]);
        expect($lorry['best'])->toBeNull()->and($lorry['message'])->toContain('keep rolling')->toContain('hold back')
            ->and($car['message'])->not->toContain('keep rolling');
    });
