<?php

declare(strict_types=1);

use NobleTurn\Core\Quantity\Speed;
use NobleTurn\Core\Rules\GreatBritain;
use NobleTurn\Core\Rules\NorthAmerica;
use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Tests\Ask;

it('finds the stretch without an answer worked by hand for 30 mph', function (): void {
    // 13.411 m/s: 13.411 x 1 + 13.411^2 / 6 = 43.39 m to stop; 13.411 x 3 = 40.23 m in three seconds of amber;
    // both meet at 2 x 3 x (3 - 1) = 12 m/s.
    $answer = Ask::tool('amber', ['speed_mph' => 30, 'distance_m' => 42]);
    expect($answer['stretch'])->toEqual(['from_m' => 43.39, 'to_m' => 40.23])->and($answer['vanishing_speed_mps'])->toEqual(12.0)
        ->and([$answer['can_stop'], $answer['can_pass'], $answer['verdict']])->toBe([false, false, 'neither'])
        ->and($answer['decel_needed_mps2'])->toEqualWithDelta(13.411 ** 2 / 2.0 / (42.0 - 13.411), 0.002);
    expect(Ask::tool('amber', ['speed_mps' => 11.99, 'distance_m' => 36])['stretch'])->toBeNull();
});

it('gives the yellow times of the ITE formula', function (int $mph, float $seconds): void {
    // ITE, y = 1 + 1.47 V / (2 x 10 ft/s2), at least 3 s: values from memory of the usual table.
    expect((new NorthAmerica)->amber(Speed::ofMilesPerHour($mph))->inSeconds())->toEqualWithDelta($seconds, 0.06);
})->with([[25, 3.0], [30, 3.2], [35, 3.6], [40, 3.9], [45, 4.3], [50, 4.7], [55, 5.0]]);

it('never finds passing easier or stopping harder from further away, nor any stretch below its speed', function (): void {
    foreach ([10, 20, 30, 40, 60] as $speed) {
        foreach ([-0.08, 0.0, 0.08] as $gradient) {
            $before = null;
            foreach (range(0, 200, 4) as $distance) {
                $now = Ask::tool('amber', ['speed_mph' => $speed, 'distance_m' => $distance, 'gradient' => $gradient]);
                expect($now['stretch'] === null)->toBe($now['point_of_no_return_m'] <= $now['covered_by_amber_m']);
                if ($before !== null) {
                    expect($before['can_stop'] && ! $now['can_stop'])->toBeFalse()->and($now['can_pass'] && ! $before['can_pass'])->toBeFalse();
                }
                $before = $now;
            }
        }
        $downhill = Ask::tool('amber', ['speed_mph' => $speed, 'distance_m' => 50, 'gradient' => -0.05]);
        $uphill = Ask::tool('amber', ['speed_mph' => $speed, 'distance_m' => 50, 'gradient' => 0.05]);
        expect($downhill['point_of_no_return_m'])->toBeGreaterThan($uphill['point_of_no_return_m']);
    }
});

it('never says stop where no brake does: beyond what tyres hold it says how far over the line one stands, and how long after red one is over it', function (
    array $more, float $holds,
): void {
    $kinds = [];
    foreach ([20, 30, 40, 60] as $mph) {
        $v = $mph * 0.44704;
        $last = null;
        foreach (range(5, 250, 5) as $distance) {
            $now = Ask::tool('amber', $more + ['speed_mph' => $mph, 'distance_m' => $distance]);
            // v^2 = 2 a s once the foot acts: what is needed is more than what is held just where one stands beyond the line.
            $foot = $v * (($more['vehicle'] ?? '') === '' ? 1.0 : 1.6);
            expect($now['decel_hardest_mps2'])->toEqualWithDelta($holds, 0.01)
                ->and($now['beyond_line_m'])->toEqualWithDelta(max(0.0, $foot + $v ** 2 / 2.0 / $holds - $distance), 0.3)
                ->and($now['into_red_s'])->toEqualWithDelta(max(0.0, $distance / $v - 3.0), 0.01)
                ->and($now['decel_needed_mps2'] === null || $now['decel_needed_mps2'] > $now['decel_hardest_mps2'])
                ->toBe($now['beyond_line_m'] > 0.0, "{$mph} mph, {$distance} m");
            if ($now['verdict'] === 'neither') {
                $kinds[$now['beyond_line_m'] > 0.0 ? 'slides' : 'stops'] = true;
                expect(str_contains($now['message'], 'Nothing stops before the line'))->toBe($now['beyond_line_m'] > 0.0)
                    ->and(str_contains($now['message'], 'Stop, unless'))->toBe($now['beyond_line_m'] <= 0.0)
                    ->and(array_column($now['warnings'], 'code'))
                    ->toBe($now['beyond_line_m'] <= 0.0 && $now['decel_needed_mps2'] > 4.0 ? ['harsh-braking'] : []);
            }
            expect($now['verdict'] === 'stop' && $now['beyond_line_m'] > 0.0)->toBeFalse()
                ->and(($last['beyond_line_m'] ?? INF) >= $now['beyond_line_m'])->toBeTrue();
            $last = $now;
        }
    }
    expect($kinds)->toHaveKeys(['slides', 'stops']);
})->with([
    // 0.45 and 0.1 of the weight (assumed); 5.0 for a car's 6.43 m/s2 (from memory, UN Regulations No. 13 and 13-H).
    'in the wet' => [['surface' => 'wet'], 0.45 * 9.80665], 'on ice' => [['surface' => 'ice'], 0.1 * 9.80665],
    'a lorry' => [['vehicle' => 'articulated-lorry'], 0.7 * 9.80665 * 5.0 / 6.43],
]);

it('times somebody over 14 m as the trade does, and waits by the rule of the place', function (): void {
    // Common practice, no source: at 1.2 m/s 14 m take about 12 s, to an island half-way about 6 s.
    $person = ['road_width_m' => 14, 'island_at_m' => 7, 'person_at_m' => 0];
    $gb = Ask::tool('crossing', $person + ['towards_us' => true]);
    expect($gb['seconds_until_over'])
        ->toEqualWithDelta(11.67, 0.01)
        ->and($gb['seconds_until_island'])
        ->toEqualWithDelta(5.83, 0.01)
        ->and($gb['verdict'])
        ->toBe('wait');
    $waiting = fn (string $pack): string => Ask::tool('crossing', ['pack' => $pack, 'waiting' => true, 'towards_us' => false] + $person)['verdict'];
    expect([$waiting('gb'), $waiting('ie'), $waiting('na')])->toBe(['wait', 'go', 'go']);
    // Going away: until over by default, past the island under the other practice.
    $away = ['person_at_m' => 8, 'towards_us' => false] + $person;
    expect(Ask::tool('crossing', $away)['verdict'])->toBe('wait')
        ->and(Ask::tool('crossing', $away + ['practice' => ['people' => 'past-island']])['verdict'])->toBe('go')
        ->and(Ask::tool('crossing', ['person_at_m' => 3] + $away + ['practice' => ['people' => 'past-island']])['wait_s'])->toEqualWithDelta(4 / 1.2, 0.01);
    expect(Ask::refusal('crossing', ['person_at_m' => 15, 'towards_us' => true] + $person))->toHaveKey('person_at_m');
});

it('signals at a roundabout as the rules named in the packs say', function (): void {
    // Highway Code, rule 186: first way out left on approach; right, or full circle: right; between: none on approach.
    $side = fn (string $pack, string $exit): ?string => in_array(
        'signal', array_column(($plan = Ask::tool('approach', ['pack' => $pack, 'routine' => 'roundabout', 'exit' => $exit]))['steps'], 'step'), true,
    ) ? $plan['turn_side'] : null;
    expect(array_map(fn (string $exit): ?string => $side('gb', $exit), ['left', 'ahead', 'right', 'back']))->toBe(['left', null, 'right', 'right'])
        // Before twelve o'clock left or none, after it right.
        ->and(array_map(fn (string $exit): ?string => $side('ie', $exit), ['left', 'ahead', 'right']))->toBe(['left', null, 'right'])
        // Keep right: only before our own way out, which the first one is from the start.
        ->and(array_map(fn (string $exit): ?string => $side('na', $exit), ['left', 'ahead', 'right']))->toBe([null, null, 'right']);
});

it('eases before a long green to where a change finds an answer, and holds a fresh one', function (): void {
    $at = fn (array $more): float => Ask::tool('approach', ['routine' => 'lights-ahead', 'speed_mph' => 30] + $more)['line_speed_mps'];
    expect($at(['light' => 'green']))->toEqualWithDelta(13.411, 0.001)->and($at(['light' => 'green-long']))->toEqualWithDelta(12.0, 0.001)
        ->and($at(['light' => 'red']))->toEqual(0.0)->and($at(['light' => 'changing']))->toEqual(0.0);
});

it('knows where the packs differ, figure by figure', function (): void {
    [$gb, $ie, $na] = array_map(RulePacks::byCode(...), ['gb', 'ie', 'na']);
    // Ireland: the number in km/h halved, 50 -> 25 m (assumed). North America: 100 ft whatever the limit (state handbook).
    expect($gb->numberRuleForSignal(Speed::ofMilesPerHour(30))->inMetres())->toEqual(30.0)
        ->and($ie->numberRuleForSignal(Speed::ofKilometresPerHour(50))->inMetres())->toEqualWithDelta(25.0, 1e-9)
        ->and($na->numberRuleForSignal(Speed::ofMilesPerHour(25))->inMetres())->toEqualWithDelta(30.48, 1e-9)
        ->and([$gb->redAndAmber()?->inSeconds(), $ie->redAndAmber(), $na->redAndAmber()])->toBe([2.0, null, null])
        ->and([$gb->turnOnRed(), $ie->turnOnRed(), $na->turnOnRed()])->toBe([false, false, true]);
    $keys = fn ($pack): array => array_map(static fn ($figure): string => $figure->key, $pack->figures());
    expect(array_diff($keys($gb), $keys($na)))->toBe([])->and(
        array_values(array_diff($keys($na), $keys($gb))),
    )->toEqualCanonicalizing(['centre-lane', 'all-way-stop']);
    foreach ([$gb, $ie, $na] as $pack) {
        foreach ($pack->figures() as $figure) {
            expect($figure->name.$figure->value)->not->toMatch('/[{}]/')->and($figure->value)->not->toBe('');
        }
    }
    expect(Ask::refusal('approach', ['pack' => 'gb', 'routine' => 'right-on-red']))->toHaveKey('routine')
        ->and(Ask::refusal('approach', ['pack' => 'na', 'routine' => 'mini-roundabout']))->toHaveKey('routine');
    expect(new GreatBritain)->toBeInstanceOf($gb::class);
});
