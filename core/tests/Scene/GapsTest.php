<?php

declare(strict_types=1);

use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Tests\Scenes;

/**
 * @param  array<string, mixed>  $more
 * @return array<string, mixed>
 */
function gapScene(array $more): array
{
    return Ask::tool('gap', ['manoeuvre' => 'emerge-right', 'other_speed_mph' => 30, 'other_distance_m' => 200, ...$more]);
}

Scenes::show('from a 20 road out onto a 40 road: the gap is that of the 40 road', function (): void {
    $met = static fn (array $road): array => Ask::tool('gap', ['manoeuvre' => 'emerge-left', 'other_distance_m' => 120, 'road_met' => $road]);
    $forty = $met(['limit_mph' => 40]);
    expect($forty['critical_gap_s'])->toBe(gapScene(['manoeuvre' => 'emerge-left', 'other_speed_mph' => 40])['critical_gap_s'])
        ->and($forty['critical_gap_s'])->toBeGreaterThan($met(['limit_mph' => 20])['critical_gap_s'] + 2.0)
        ->and($met(['limit_kmh' => 64.37])['critical_gap_s'])->toBe($forty['critical_gap_s'])
        ->and($met(['limit_mph' => 40, 'lanes' => 2])['path']['lanes'])->toBe(2)
        // Somebody measured is believed before the sign.
        ->and(Ask::tool('gap', ['manoeuvre' => 'emerge-left', 'other_distance_m' => 120, 'other_speed_mph' => 20,
            'road_met' => ['limit_mph' => 40]])['other_speed_mps'])
        ->toEqualWithDelta(8.94, 0.01)
        ->and(Ask::refusal('gap', ['manoeuvre' => 'emerge-left', 'other_distance_m' => 120]))->toHaveKey('other_speed_mps');
});

Scenes::show('once out there is a second at the least between the follower and us, with nobody changing anything; crossing, a second between our tail and '
    .'the next nose', function (): void {
        foreach ([20, 30, 40, 50, 60] as $mph) {
            foreach (['emerge-left', 'emerge-right'] as $manoeuvre) {
                $critical = gapScene(['manoeuvre' => $manoeuvre, 'other_speed_mph' => $mph])['critical_gap_m'];
                $at = gapScene(['manoeuvre' => $manoeuvre, 'other_speed_mph' => $mph, 'other_distance_m' => ceil($critical)]);
                expect($at['headway_at_end_s'])->toBeGreaterThanOrEqual(1.0)->toBeLessThan(1.2)->and($at['other_decel_needed_mps2'])->toBe(0.0)
                    ->and(gapScene(['manoeuvre' => $manoeuvre, 'other_speed_mph' => $mph,
                        'headway_s' => 2])['critical_gap_s'])->toBeGreaterThan($at['critical_gap_s'] + 0.5);
            }
        }
        $cross = gapScene(['manoeuvre' => 'cross']);
        // Our tail is past the far lane of two after so long, from the motion itself.
        ['time_s' => $times, 'ours_m' => $ours] = $cross['motion'];
        $clear = array_values(array_filter(array_keys($times), static fn (int $i): bool => $ours[$i] >= 4 * 3.65 / 2 + 4.5 - 0.5));
        expect($cross['headway_at_end_s'])->toBeNull()->and($cross['critical_gap_s'])->toBeGreaterThan($times[$clear[0]] + 0.9);
    });

Scenes::show('a start as it is taught takes about nine seconds to 30 mph', function (): void {
    foreach (['small-petrol-hatch', 'small-automatic', 'small-electric', 'loaded-van'] as $car) {
        ['time_s' => $times, 'speed_mps' => $speeds] = gapScene(['vehicle' => $car, 'delay_s' => 0, 'manoeuvre' => 'cross', 'other_speed_mph' => 40])['motion'];
        $there = array_values(array_filter(array_keys($speeds), static fn (int $i): bool => $speeds[$i] >= 13.41));
        expect($times[$there[0]])->toBeGreaterThan(8.0)->toBeLessThan(10.5);
    }
});

Scenes::show('a gap in which the other would only ease off is not called one in which they must brake; how much may be asked is a choice, and '
    .'nothing is the default', function (): void {
        $at = static fn (float $seconds, string $asks = 'nothing', string $manoeuvre = 'emerge-left'): array => gapScene(
            ['manoeuvre' => $manoeuvre, 'other_distance_m' => $seconds * 13.4112, 'practice' => ['asks_of_others' => $asks]],
        );
        foreach (['emerge-left', 'emerge-right', 'cross', 'turn-across'] as $manoeuvre) {
            ['nothing_s' => $nothing, 'off_gas_s' => $offGas, 'design_s' => $design] = $at(10.0, manoeuvre: $manoeuvre)['needed_by'];
            expect($nothing)->toBeGreaterThan($offGas)->and($offGas)->toBeGreaterThan($design);
            $between = $at(($nothing + $offGas) / 2.0, 'nothing', $manoeuvre);
            expect([$between['verdict'], $between['asked']])->toBe(['wait',
                'off-gas'])->and($between['message'])->toContain('only ease off')->not->toContain('brake')
                ->and($between['other_decel_needed_mps2'])->toBeGreaterThan(0.0)->toBeLessThanOrEqual(0.7)
                ->and($at(($nothing + $offGas) / 2.0, 'off-gas', $manoeuvre)['verdict'])->toBeIn(['marginal', 'go'])
                ->and($at($offGas - 0.05, 'off-gas', $manoeuvre))->toMatchArray(['verdict' => 'wait', 'asked' => 'brake'])
                ->and($at(($offGas + $design) / 2.0, 'design', $manoeuvre)['verdict'])->toBeIn(['marginal', 'go'])
                ->and($at($design - 0.05, 'design', $manoeuvre)['verdict'])->toBe('wait')
                ->and($at(0.5, 'design', $manoeuvre)['asked'])->toBe('cannot');
            // By each choice: wait below its figure, marginal for a second, then go.
            foreach (['nothing' => $nothing, 'off-gas' => $offGas, 'design' => $design] as $asks => $needed) {
                expect([$at($needed - 0.02, $asks, $manoeuvre)['verdict'], $at($needed + 0.02, $asks, $manoeuvre)['verdict'], $at($needed + 0.98, $asks,
                    $manoeuvre)['verdict'],
                    $at($needed + 1.02, $asks, $manoeuvre)['verdict']])->toBe(['wait', 'marginal', 'marginal', 'go'])
                    ->and($at(10.0, $asks, $manoeuvre)['critical_gap_s'])->toBe($needed);
            }
        }
    });

Scenes::show('the three figures of a gap are said in one line, and lie where one reckons them by hand: a second and a half to start, nine to 30 mph, a '
    .'second behind', function (): void {
        // An own sum of the trade for a small car at 20, 30, 40 and 60 mph towards the kerb: an order of size.
        foreach ([20 => [6.4, 5.6, 5.2], 30 => [7.5, 6.2, 5.5], 40 => [9.0, 7.5, 6.0], 60 => [12.9, 10.9, 9.0]] as $mph => $byHand) {
            $gap = gapScene(['manoeuvre' => 'emerge-left', 'other_speed_mph' => $mph]);
            foreach (array_values($gap['needed_by']) as $i => $seconds) {
                expect($seconds)->toBeGreaterThan(0.75 * $byHand[$i])->toBeLessThan(1.1 * $byHand[$i])
                    ->and($gap['figures'])->toContain(number_format($seconds, 1).' s');
            }
            expect($gap['needed_by']['nothing_s'])->toEqualWithDelta($byHand[0], 0.6);
        }
    });

Scenes::show('out onto a one-way road there is one stream, from the side it comes from, whichever way we turn with it', function (): void {
    $sides = static fn (string $manoeuvre, string $runs, string $pack = 'gb'): array => array_column(
        gapScene(['pack' => $pack, 'manoeuvre' => $manoeuvre, 'road_met' => ['runs_to' => $runs]])['sides'], 'joined', 'from',
    );
    expect($sides('emerge-left', 'left'))->toBe(['right' => true])->and($sides('emerge-right', 'right'))->toBe(['left' => true])
        ->and($sides('cross', 'left'))->toBe(['right' => false])->and($sides('emerge-left', 'left', 'na'))->toBe(['right' => true])
        ->and(Ask::refusal('gap', ['manoeuvre' => 'emerge-right', 'other_speed_mph' => 30, 'other_distance_m' => 90, 'road_met' => ['runs_to' => 'left']]))
        ->toHaveKey('road_met.runs_to')
        // Half the road to cross: less time than over both directions.
        ->and(gapScene(['manoeuvre' => 'cross',
            'road_met' => ['runs_to' => 'left']])['critical_gap_s'])->toBeLessThan(gapScene(['manoeuvre' => 'cross'])['critical_gap_s'])
        // Nobody is crossed on the way right: as short as a turn left.
        ->and(gapScene(['road_met' => ['runs_to' => 'right']])['critical_gap_s'])
        ->toEqualWithDelta(gapScene(['manoeuvre' => 'emerge-left', 'road_met' => ['runs_to' => 'left']])['critical_gap_s'], 0.01);
});

Scenes::show('turning across, somebody opposite turns into the same road: one lane, they first; more, where traffic keeps right both may go, elsewhere who '
    .'turns across waits; a long vehicle first always', function (): void {
        $ask = static fn (string $pack, int $lanes, bool $long = false): string => gapScene([
            'manoeuvre' => 'turn-across', 'pack' => $pack, 'oncoming_turner' => true, 'entry_lanes' => $lanes, 'long_vehicle_first' => $long,
        ])['verdict'];
        expect([$ask('gb', 1), $ask('na', 1), $ask('gb', 2), $ask('ie', 3), $ask('na', 2), $ask('na', 2, true)])->toBe(['wait', 'wait', 'wait', 'wait', 'go',
            'wait']);
    });

Scenes::show('on ice the start is slow and so is the turn: the gap is longer by seconds; in the wet the turn is taken slower', function (): void {
    $gap = static fn (string $surface): float => gapScene(['surface' => $surface])['critical_gap_s'];
    expect($gap('ice'))->toBeGreaterThan($gap('dry') + 2.0)->and($gap('wet'))->toBeGreaterThanOrEqual($gap('dry'));
});

Scenes::show('rejoining from the kerb needs a gap like turning out towards the kerb; those who come, come from behind', function (): void {
    foreach (['small-petrol-hatch', 'loaded-van', 'rigid-lorry', 'articulated-lorry'] as $vehicle) {
        $before = 0.0;
        foreach ([20, 30, 40, 50] as $mph) {
            $off = gapScene(['manoeuvre' => 'move-off', 'other_speed_mph' => $mph, 'vehicle' => $vehicle]);
            $out = gapScene(['manoeuvre' => 'emerge-left', 'other_speed_mph' => $mph, 'vehicle' => $vehicle]);
            expect($off['critical_gap_s'])->toEqualWithDelta($out['critical_gap_s'], 0.5)->toBeGreaterThan($before)
                ->and(array_column($off['sides'], 'from'))->toBe(['behind'])->and($off['message'])->toContain('from behind');
            $before = $off['critical_gap_s'];
        }
    }
    // From the car's own motion: it is as fast as the stream before the next one is a second behind it.
    $at = gapScene(['manoeuvre' => 'move-off', 'other_distance_m' => ceil(gapScene(['manoeuvre' => 'move-off'])['critical_gap_m'])]);
    expect($at['headway_at_end_s'])->toBeGreaterThanOrEqual(1.0)->toBeLessThan(1.2)->and($at['other_decel_needed_mps2'])->toBe(0.0)
        ->and(Ask::refusal('gap', ['manoeuvre' => 'move-off', 'other_distance_m' => 90]))->toHaveKey('other_speed_mps');
});

Scenes::show('a long vehicle at the kerb of a busy road: a gap that comes by itself first, after 30 to 40 s it signals to ask, never '
    .'at once; a car does not ask', function (): void {
        $lorry = static fn (float $waited, int $metres = 60): array => gapScene(
            ['manoeuvre' => 'move-off', 'vehicle' => 'articulated-lorry', 'other_distance_m' => $metres, 'waited_s' => $waited],
        )['ask'];
        expect($lorry(0))->toMatchArray(['in_s' => 30.0])->and($lorry(0)['message'])->toContain('no signal yet')
            ->and($lorry(12)['in_s'])->toBe(18.0)->and($lorry(29)['message'])->toContain('no signal yet')
            ->and($lorry(33))->toMatchArray(['in_s' => 0.0])->and($lorry(33)['message'])->toContain('signal to ask')
            ->and($lorry(55)['message'])->toContain('seen to hold back')
            ->and($lorry(0, 400))->toMatchArray(['in_s' => null])->and($lorry(0, 400)['message'])->toContain('comes by itself: signal')
            ->and(gapScene(['manoeuvre' => 'move-off'])['ask'])->toBeNull()
            ->and(gapScene(['manoeuvre' => 'emerge-left', 'vehicle' => 'articulated-lorry'])['ask'])->toBeNull();
    });
