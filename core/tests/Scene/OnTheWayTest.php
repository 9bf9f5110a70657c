<?php

declare(strict_types=1);

use NobleTurn\Core\Rules\GreatBritain;
use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Tests\Scenes;
use NobleTurn\Core\Vehicle\Handling;

/** What stands on the way to the line, at it and just beyond it. */

/**
 * @param  array<string, mixed>  $more
 * @return array<string, mixed>
 */
function onTheWay(array $more): array
{
    return Ask::tool('approach', ['routine' => 'emerge-right', 'limit_mph' => 30, ...$more]);
}

/** @return list<array{side: string, from_m: float, to_m: float}> */
function bothSides(float $from = 60.0, float $to = 30.0): array
{
    return [['side' => 'left', 'from_m' => $from, 'to_m' => $to], ['side' => 'right', 'from_m' => $from, 'to_m' => $to]];
}

Scenes::show('a path for people or cycles before the line is a hazard of its own and comes first: so slow there that one can stop before it, then '
    .'the line', function (): void {
        foreach ([5.0, 8.0, 12.0, 20.0, 35.0] as $path) {
            foreach (['give-way', 'stop'] as $control) {
                foreach ([20, 30, 40] as $mph) {
                    $plan = onTheWay(['path_before_m' => $path, 'control' => $control, 'speed_mph' => $mph]);
                    // A step's length from here one stands: v^2 / (2 x 3 m/s2).
                    expect(Ask::mpsAt($plan, $path) ** 2 / 6.0)->toBeLessThan(1.0)
                        ->and(Ask::mpsAt($plan, $path + 1.0))->toBeLessThan(2.5)
                        ->and(Ask::step($plan, 'speed')['end_m'])->toBeGreaterThan($path)
                        ->and(array_column($plan['warnings'], 'code'))->toContain('path-before-line')
                        ->and($plan['place']['path_before_m'])->toBe($path);
                    // No speeding up between the two.
                    $speeds = $plan['profile']['speed_mps'];
                    for ($i = 1; $i < count($speeds); $i++) {
                        expect($speeds[$i])->toBeLessThanOrEqual($speeds[$i - 1] + 1e-9);
                    }
                }
            }
        }
        expect(Ask::refusal('approach', ['routine' => 'emerge-right', 'path_before_m' => 80]))->toHaveKey('path_before_m');
    });

Scenes::show('where the view opens only beyond the line one stops at a stop line and crawls to a give-way line, then creeps to where it opens, looking all '
    .'the way', function (): void {
        foreach ([0.5, 1.0, 2.0, 3.0, 5.0, 8.0] as $beyond) {
            $rolls = onTheWay(['view_beyond_m' => $beyond]);
            $stops = onTheWay(['view_beyond_m' => $beyond, 'control' => 'stop']);
            expect($rolls['line_speed_mps'])->toBeGreaterThan(0.9)->toBeLessThanOrEqual(2.0)->and($stops['line_speed_mps'])->toBe(0.0);
            foreach ([$rolls, $stops] as $plan) {
                expect($plan['creep']['from_m'])->toBe(0.0)->and($plan['creep']['to_m'])->toBe(-$beyond)
                    // Slower than walking on average, and never a minute.
                    ->and($beyond / $plan['creep']['time_s'])->toBeLessThan(1.81)->and($plan['creep']['time_s'])->toBeLessThan($beyond + 3.0)
                    ->and(Ask::step($plan, 'look')['end_m'])->toBe(-$beyond)
                    ->and(Ask::step($plan, 'look')['best_s'] + $plan['creep']['time_s'])->toBeGreaterThanOrEqual(2.98)
                    ->and(array_column($plan['conflicts'], 'code'))->not->toContain('no-time-to-look');
            }
            expect($rolls['gear_after_line'])->toBe(1)->and($stops['gear_after_line'])->toBe(1);
        }
        expect(onTheWay(['view_beyond_m' => 0])['creep'])->toBeNull()->and(onTheWay([])['creep'])->toBeNull()
            ->and(Ask::refusal('approach', ['routine' => 'cross', 'view_beyond_m' => 3, 'view' => 'open']))->toHaveKey('view_beyond_m');
    });

Scenes::show('between cars parked on both sides what is left decides: a door’s width each side is normal, less is slower, under half a metre walking pace, '
    .'and where hardly a hand’s breadth is left nobody goes through', function (): void {
        $between = static fn (float $width, string $routine): array => Ask::tool('approach', [
            'routine' => $routine, 'limit_mph' => 30, 'road_width_m' => $width, 'parked' => bothSides(),
        ]);
        foreach (['pass-parked', 'emerge-right', 'emerge-left', 'cross'] as $routine) {
            foreach ([5.8, 6.0, 6.05] as $width) {
                $plan = $between($width, $routine);
                expect($plan['not_planned']['reason'])->toBe('too-narrow')->and($plan['fits'])->toBeFalse()->and($plan['speed_to_fit_mps'])->toBeNull()
                    ->and($plan['steps'])->toBe([])->and($plan['profile']['distance_m'])->toBe([]);
            }
            $last = 0.0;
            foreach ([6.2, 6.6, 6.75, 7.0, 7.2, 7.4, 7.6, 7.79] as $width) {
                $plan = $between($width, $routine);
                $speed = Ask::mpsAt($plan, 60.0);
                expect($plan['not_planned'])->toBeNull()->and($speed)->toBeGreaterThanOrEqual($last - 0.01, "{$routine} {$width}");
                if (($width - 3.8 - 2.0) / 2.0 < 0.5) {
                    expect($speed)->toBeLessThan(2.0, "{$routine} {$width}");
                }
                // Never a path through them, mirrors included.
                foreach ($plan['profile']['distance_m'] as $i => $metres) {
                    if ($metres <= 60.0 && $metres >= 30.0) {
                        expect($plan['profile']['lateral_m'][$i] - 1.0)->toBeGreaterThan(1.9 + 0.15)
                            ->and($width - 1.9 - 0.15)->toBeGreaterThan($plan['profile']['lateral_m'][$i] + 1.0);
                    }
                }
                $last = $speed;
            }
            expect(array_column($between(6.6, $routine)['conflicts'], 'code')[0])->toBe('narrow')
                ->and(array_column($between(9.0, $routine)['conflicts'], 'code'))->not->toContain('narrow');
        }
    });

Scenes::show('an articulated or a heavy lorry gets a plan of its own, never a car’s: braked earlier and gentler, slower where it steers, gears of its own; '
    .'backing up along the kerb is not planned for it', function (): void {
        foreach (['articulated-lorry', 'rigid-lorry'] as $lorry) {
            foreach (['emerge-left', 'turn-left', 'turn-right', 'roundabout', 'lights-ahead', 'pass-parked'] as $routine) {
                [$own, $car] = array_map(static fn (string $vehicle): array => Ask::tool('approach', ['routine' => $routine, 'vehicle' => $vehicle]), [
                    $lorry, 'small-automatic',
                ]);
                $brake = static fn (array $plan): float => array_column($plan['steps'], null, 'step')['speed']['best_m'];
                expect($own['not_planned'])->toBeNull()->and($own['fits'])->toBeTrue()
                    ->and($own['line_speed_mps'])->toBeLessThanOrEqual($car['line_speed_mps'] + 1e-9)
                    ->and($routine === 'lights-ahead' ? 1 : $brake($own) - $brake($car))->toBeGreaterThan(0)
                    ->and($own['place']['car_length_m'])->toBeGreaterThan(9.0);
            }
            $plan = Ask::tool('approach', ['routine' => 'pull-up-right-reverse', 'vehicle' => $lorry]);
            expect($plan['not_planned']['reason'])->toBe('vehicle')->and($plan['fits'])->toBeFalse()->and($plan['steps'])->toBe([])
                ->and($plan['not_planned']['message'])->toContain('Not planned for this vehicle');
        }
        expect(onTheWay(['vehicle' => 'loaded-van'])['not_planned'])->toBeNull();
    });

Scenes::show('a lorry that turns off keeps out from the kerb by as much as its rear comes in, with the distances from kerb and line; in a lane too narrow it '
    .'covers two, having looked and signalled; across, it goes deeper first', function (): void {
        $said = static fn (array $more): array => array_column(Ask::tool('approach', $more + ['vehicle' => 'articulated-lorry'])['warnings'], null, 'code');
        foreach (['turn-left', 'emerge-left', 'lights-left'] as $routine) {
            $narrow = $said(['routine' => $routine, 'road_width_m' => 7.0])['long-covers-two'];
            $wide = $said(['routine' => $routine, 'road_width_m' => 12.0])['long-towards-kerb'];
            expect($narrow['message'])->toContain('cover two')->toContain('signal')->and($narrow['data']['kerb_m'])->toEqual($wide['data']['kerb_m'])
                ->and($wide['data']['line_m'])->toBeGreaterThan(0.0)->and($wide['message'])->not->toContain('cover two')
                ->and($wide['data']['kerb_m'] + 2.55 + $wide['data']['line_m'])->toEqualWithDelta(6.0, 0.02);
        }
        expect($said(['routine' => 'turn-right'])['long-across']['message'])->toContain('deeper');
        // Where it keeps right, the other way round.
        expect($said(['pack' => 'na', 'routine' => 'turn-right', 'road_width_m' => 7.0]))->toHaveKey('long-covers-two')
            ->and($said(['pack' => 'na', 'routine' => 'turn-left']))->toHaveKey('long-across');
    });

Scenes::show('a lorry comes up to a red or a queue off the gas early enough to arrive rolling, and says how much later that is', function (): void {
    foreach ([['lights-ahead', ['light' => 'red']], ['queue-stop', []]] as [$routine, $more]) {
        $last = 0.0;
        foreach ([20, 30, 40, 50] as $mph) {
            $plan = Ask::tool('approach', $more + ['routine' => $routine, 'vehicle' => 'articulated-lorry', 'limit_mph' => 60, 'speed_mph' => $mph]);
            $roll = array_column($plan['warnings'], null, 'code')['keep-rolling'];
            expect($roll['data']['from_m'])->toBeGreaterThan($last)->and($roll['data']['later_s'])->toBeGreaterThan(1.0)
                ->and($roll['data']['from_m'])->toBeGreaterThan(array_column($plan['steps'], null, 'step')['speed']['best_m']);
            $last = $roll['data']['from_m'];
        }
        expect(array_column(Ask::tool('approach', $more + ['routine' => $routine])['warnings'], 'code'))->not->toContain('keep-rolling');
    }
});

Scenes::show('pulling up on the right is done in two: up to the centre as for a right turn and slow, then across early, gradually and at walking or running '
    .'pace; pulling over and backing up has words for each part too', function (): void {
        foreach ([20, 30, 40] as $mph) {
            foreach ([6.0, 7.3, 9.0] as $width) {
                $plan = Ask::tool('approach', ['routine' => 'pull-up-right-reverse', 'limit_mph' => 30, 'speed_mph' => $mph, 'road_width_m' => $width]);
                [$first, $second] = $plan['stages'];
                expect([$first['name'], $second['name']])->toBe(['first', 'second'])->and($first['to_m'])->toBe($second['from_m'])
                    ->and($second['to_m'])->toBe(0.0)
                    ->and($first['from_m'])->toBeGreaterThan($second['from_m'])->and($first['steps'])->toContain('signal')
                    ->and($second['steps'])->toContain('look')
                    ->and(Ask::mpsAt($plan, $second['from_m']))->toBeLessThan(4.5)->and($plan['line_speed_mps'])->toBe(0.0);
                // Left of the centre until then, and across at no more than about 25 degrees anywhere.
                foreach ($plan['profile']['distance_m'] as $i => $metres) {
                    if ($metres >= $second['from_m']) {
                        expect($plan['profile']['lateral_m'][$i] + 0.9)->toBeLessThanOrEqual($width / 2.0);
                    }
                    $before = $plan['profile']['distance_m'][$i - 1] ?? null;
                    if ($before !== null && $before - $metres > 0.05) {
                        $slope = abs($plan['profile']['lateral_m'][$i] - $plan['profile']['lateral_m'][$i - 1]) / ($before - $metres);
                        expect($slope)->toBeLessThan(0.47);
                    }
                }
            }
        }
        [$manual, $automatic] = array_map(
            static fn (string $car): array => Ask::tool('approach', ['pack' => 'na', 'routine' => 'back-up', 'vehicle' => $car])['stages'],
            ['small-petrol-hatch', 'small-automatic'],
        );
        expect($manual[1]['message'])->toContain('clutch')->and($automatic[1]['message'])->not->toContain('clutch')->toContain('brake')
            ->and($manual[0]['message'])->toContain('Pull over')->and($manual[1]['to_m'])->toBeGreaterThan(6.0)->toBeLessThan(12.2)
            ->and(onTheWay([])['stages'])->toBe([]);
    });

Scenes::show('under a green that may change there is a point from which one goes on even if it does, in metres; on ice downhill there is none, and nobody '
    .'asks for it where one stops', function (): void {
        $point = static fn (array $more): ?float => Ask::tool('approach', [
            'routine' => 'lights-ahead', 'limit_mph' => 40, 'light' => 'green-long', ...$more,
        ])['point_of_no_return_m'];
        $last = 0.0;
        foreach ([20, 25, 30, 35, 40] as $mph) {
            $here = $point(['speed_mph' => $mph]);
            // Between stopping hard and stopping as in a queue, from one second of thinking.
            $mps = $mph * 0.44704;
            expect($here)->toBeGreaterThan(0.8 * $mps + 0.8 * $mps ** 2 / 8.0)->toBeLessThan(1.2 * $mps + $mps ** 2 / 4.0)->toBeGreaterThan($last);
            $last = $here;
        }
        // A lorry's is farther: air comes to its brakes first, and they are used more gently. So says the amber tool of such brakes.
        foreach ([20, 30, 40] as $mph) {
            $lorry = ['speed_mph' => $mph, 'vehicle' => 'rigid-lorry'];
            $amber = static fn (array $more): float => Ask::tool('amber', ['speed_mph' => $mph, 'distance_m' => 50] + $more)['point_of_no_return_m'];
            $car = $amber([]);
            $pack = new GreatBritain;
            $asLorry = $amber([
                'reaction_s' => $pack->amberReaction()->inSeconds() + Handling::AIR_S,
                'decel_mps2' => $pack->amberDeceleration()->inMetresPerSecondSquared() * Handling::LONG_COMFORT / 2.0,
            ]);
            expect($amber(['vehicle' => 'rigid-lorry']))->toEqualWithDelta($asLorry, 0.011)->and($amber(['vehicle' => ['length_m' => 4.6]]))->toBe($car);
            // Nearer the lights the plan may be slower than where it began: never farther than at the speed asked for.
            expect($point($lorry))->toBeGreaterThan($point(['speed_mph' => $mph]) + 0.5 * $mph * 0.44704)->toBeLessThanOrEqual($asLorry + 0.02)
                ->and($point(['speed_mph' => $mph]))->toBeLessThanOrEqual($car + 0.02);
        }
        expect($point(['surface' => 'wet']))->toBeGreaterThan($point([]))->and($point(['gradient' => -0.06]))->toBeGreaterThan($point([]))
            ->and($point(['surface' => 'ice', 'gradient' => -0.12]))->toBeNull()->and($point(['light' => 'red']))->toBeNull()
            ->and(onTheWay([])['point_of_no_return_m'])->toBeNull();
    });

Scenes::show('a bend, a crest, a dip or a hedge on the way: the speed from which one can stop within what is seen, within half of it where the road is '
    .'too narrow for two; and slow for a bend before the bend', function (): void {
        $highwayCode = static fn (float $mps): float => $mps * 0.3048 / 0.44704 + ($mps / 0.44704) ** 2 / 20.0 * 0.3048;
        foreach ([15, 23, 36, 53] as $seen) {
            foreach ([[4.0, 0.5], [7.3, 1.0]] as [$width, $share]) {
                $plan = onTheWay(['limit_mph' => 60, 'sight_ahead_m' => $seen, 'road_width_m' => $width]);
                expect($plan['fits'])->toBeFalse()->and($highwayCode($plan['approach_speed_mps']))->toEqualWithDelta($seen * $share, 0.1)
                    ->and($plan['conflicts'][0]['code'])->toBe('sight-too-short');
            }
        }
        expect(onTheWay(['sight_ahead_m' => 120])['fits'])->toBeTrue();
        foreach ([15.0, 30.0, 60.0] as $radius) {
            $plan = onTheWay(['limit_mph' => 60, 'bend' => ['radius_m' => $radius, 'from_m' => 150, 'to_m' => 110]]);
            foreach ([150.0, 130.0, 110.0] as $place) {
                expect(Ask::mpsAt($plan, $place) ** 2 / $radius)->toBeLessThan(2.51);
            }
            expect($plan['conflicts'][0]['code'])->toBe('bend-too-tight');
        }
        foreach ([0.04, 0.08, 0.14] as $change) {
            foreach ([[4.0, 0.5], [7.3, 1.0]] as [$width, $share]) {
                $crest = ['crest' => ['from_m' => 260, 'to_m' => 180, 'gradient_change' => $change], 'road_width_m' => $width];
                $plan = onTheWay(['limit_mph' => 60, ...$crest]);
                $seen = Ask::tool('sight', ['limit_mph' => 60, 'crest' => ['length_m' => 80, 'gradient_change' => $change]])['seen_m'];
                expect($plan['place']['crest']['seen_m'])->toEqualWithDelta($seen, 0.06)->and($plan['fits'])->toBe($highwayCode(26.82) <= $seen * $share);
                if (! $plan['fits']) {
                    // Slow enough where it begins, and no slower than that.
                    expect($plan['conflicts'][0]['code'])->toBe('crest-hides-the-road')
                        ->and($highwayCode($plan['approach_speed_mps']))->toEqualWithDelta($seen * $share, 0.1)
                        ->and($plan['conflicts'][0]['message'])->toContain('Over the crest')->toContain($share < 1.0 ? 'half' : 'seen');
                }
            }
        }
        foreach ([0.5, 1.0, 1.4, 2.5] as $depth) {
            foreach ([[4.0, 0.5], [7.3, 1.0]] as [$width, $share]) {
                $dip = ['from_m' => 180, 'to_m' => 240, 'depth_m' => $depth];
                $plan = onTheWay(['limit_mph' => 60, 'dip' => $dip, 'road_width_m' => $width]);
                $seen = Ask::tool('sight', ['limit_mph' => 60, 'dip' => ['length_m' => 60, 'depth_m' => $depth]]);
                expect($plan['place']['dip']['seen_m'])->toBe($seen['seen_m'] === null ? null : round($seen['seen_m'], 1));
                if ($seen['seen_m'] === null || $highwayCode(26.82) <= $seen['seen_m'] * $share) {
                    expect($plan['fits'])->toBeTrue();

                    continue;
                }
                // Slow enough where least is seen, which is before it, and no slower than that.
                $from = $plan['place']['dip']['least_from_m'];
                expect($from)->toBeGreaterThan(240.0)->and($highwayCode(Ask::mpsAt($plan, $from)))->toEqualWithDelta($seen['seen_m'] * $share, 0.1)
                    ->and($plan['conflicts'][0]['code'])->toBe('dip-hides-the-road')
                    ->and($plan['conflicts'][0]['message'])->toContain('swallow a car')->toContain($share < 1.0 ? 'half' : 'seen');
            }
        }
        // From a lorry more is seen over it, and it takes longer to stop: within as much as a car sees it has to be slower, by more than the air takes.
        $from = static fn (string $vehicle): float => onTheWay([
            'vehicle' => $vehicle, 'crest' => ['from_m' => 180, 'to_m' => 260, 'gradient_change' => 0.1],
        ])['place']['crest']['seen_m'];
        expect($from('rigid-lorry'))->toBeGreaterThan($from('small-petrol-hatch') + 5.0);
        $within = static fn (string $vehicle, array $more): float => onTheWay(['limit_mph' => 60, 'vehicle' => $vehicle, ...$more])['approach_speed_mps'];
        foreach ([20, 40, 60] as $seen) {
            [$car, $lorry] = array_map(static fn (string $of): float => $within($of, ['sight_ahead_m' => $seen]), ['small-petrol-hatch', 'rigid-lorry']);
            $takes = $lorry * (0.3048 / 0.44704 + Handling::AIR_S) + $lorry ** 2 / (2.0 * 0.44704 ** 2 * 10.0 / 0.3048 * 5.0 / 6.43);
            expect($takes)->toEqualWithDelta($seen, 0.1)->and($lorry)->toBeLessThan($car - 0.5);
        }
        // One that the routine is slow for anyway asks for nothing.
        expect(onTheWay(['bend' => ['radius_m' => 30, 'from_m' => 12, 'to_m' => 5]])['fits'])->toBeTrue();
    });

Scenes::show('a row of humps is taken one by one, each with its mirrors, and nobody speeds up between them; three turns close together are said in time for '
    .'the first', function (): void {
        foreach ([2, 3, 6] as $more) {
            $plan = Ask::tool('approach', ['routine' => 'hump', 'limit_mph' => 20, 'then' => array_fill(0, $more, ['routine' => 'hump', 'distance_m' => 40])]);
            expect($plan['then'])->toHaveCount($more);
            foreach ($plan['then'] as $hump) {
                expect($hump['reached_mps'])->toBeLessThan(5.5)->and(array_column($hump['plan']['steps'], 'step'))->toContain('mirrors');
            }
        }
        $row = static fn (int $n): array => Ask::tool('approach', ['routine' => 'turn-left', 'limit_mph' => 30, 'then' => array_slice([
            ['routine' => 'emerge-right', 'distance_m' => 40], ['routine' => 'turn-left', 'distance_m' => 30],
        ], 0, $n)]);
        [$alone, $two, $three] = [Ask::tool('approach', ['routine' => 'turn-left', 'limit_mph' => 30]), $row(1), $row(2)];
        expect($two['say_at_m'])->toBeGreaterThan($alone['say_at_m'] + 20.0)->and($three['say_at_m'])->toBeGreaterThan($two['say_at_m'] + 20.0)
            ->and(substr_count($three['then'][0]['direction'], 'then:'))->toBe(2)->and(substr_count($three['then'][1]['direction'], 'then:'))->toBe(1);
        // One alone and a list of one say the same.
        $one = Ask::tool('approach', ['routine' => 'turn-left', 'limit_mph' => 30, 'then' => ['routine' => 'emerge-right', 'distance_m' => 40]]);
        expect([$one['then']])->toBe($two['then'])->and(Ask::refusal('approach', [
            'routine' => 'turn-left', 'then' => [
                ['routine' => 'emerge-right', 'distance_m' => 40], ['routine' => 'emerge-right', 'distance_m' => 30, 'line_m' => 3],
            ],
        ]))->toHaveKey('then.1.line_m');
    });

Scenes::show('where too little is seen along the road met one stops at the line, whatever one is used to: so much is seen, so much is needed, on that '
    .'side', function (): void {
        $road = ['road_met' => ['limit_mph' => 40]];
        foreach (['emerge-left' => 'right', 'emerge-right' => 'left', 'cross' => 'right'] as $routine => $side) {
            $needed = Ask::tool('gap', [
                'manoeuvre' => $routine, 'other_distance_m' => 100, 'road_met' => ['limit_mph' => 40], 'other_from' => $side,
            ])['sight_distance_m'];
            $seeing = static fn (float $metres): array => Ask::tool('approach', ['routine' => $routine, "sight_{$side}_m" => $metres, ...$road]);
            expect($seeing($needed + 1.0)['line_speed_mps'])->toBe(2.0)->and($seeing($needed - 1.0)['line_speed_mps'])->toBe(0.0)
                ->and(array_column($seeing($needed - 1.0)['warnings'], 'message', 'code')['sight-too-short'])->toContain("To the {$side}");
        }
    });

Scenes::show('cars parked round the corner: turning left one looks left too, for somebody on our half; parked opposite, a right turn is a little earlier and '
    .'needs room to end up in', function (): void {
        $gap = static fn (string $parked): array => array_column(Ask::tool('gap', [
            'manoeuvre' => 'emerge-left', 'other_distance_m' => 80, 'road_met' => ['limit_mph' => 30, 'parked' => $parked],
        ])['sides'], 'from');
        expect($gap('none'))->toBe(['right'])->and($gap('far'))->toBe(['right'])->and($gap('near'))->toBe(['right', 'left'])
            ->and($gap('both'))->toBe(['right', 'left']);
        $said = static fn (string $routine, string $parked): string => implode(' ', array_column(Ask::tool('approach', [
            'routine' => $routine, 'road_met' => ['parked' => $parked],
        ])['warnings'], 'message'));
        expect($said('emerge-left', 'near'))->toContain('look left too')->and($said('emerge-right', 'far'))->toContain('turn a little earlier')
            ->and($said('emerge-right', 'none'))->not->toContain('parked');
    });

Scenes::show('the box beyond our line is for cycles: we stop before it, and look beside us before going on', function (): void {
    $said = static fn (string $light): array => array_column(Ask::tool('approach', [
        'routine' => 'lights-left', 'light' => $light, 'cycle_box_m' => 5,
    ])['warnings'], 'message', 'code');
    expect($said('red')['cycle-box'])->toContain('Stop behind the box')->toContain('left shoulder')->and($said('green')['cycle-box'])->toContain('left mirror');
});

Scenes::show('a stop for red with somebody close behind shows the brake light early and lightly', function (): void {
    foreach ([20, 30, 40] as $mph) {
        $plan = Ask::tool('approach', ['routine' => 'lights-ahead', 'limit_mph' => $mph, 'light' => 'red', 'close_follower' => true]);
        $gentle = array_values(array_filter($plan['phases'], static fn (array $phase): bool => $phase['brake']))[0];
        expect($gentle['from_m'] - $gentle['to_m'])->toBeGreaterThan(5.0)->and($gentle['decel_mps2'])->toBeLessThan(1.1);
    }
});

Scenes::show('on ice a path right before the line is come to so slowly that the stop behind it asks no more of the tyres than any other', function (): void {
    foreach (['dry', 'wet', 'ice'] as $surface) {
        foreach ([1.0, 2.0, 5.0, 12.0] as $path) {
            $with = onTheWay(['path_before_m' => $path, 'control' => 'stop', 'surface' => $surface, 'speed_mph' => 15]);
            $without = onTheWay(['control' => 'stop', 'surface' => $surface, 'speed_mph' => 15]);
            expect($with['peak_decel_mps2'])->toBeLessThanOrEqual($without['peak_decel_mps2'] + 0.001, "{$surface} {$path} m");
        }
    }
});
