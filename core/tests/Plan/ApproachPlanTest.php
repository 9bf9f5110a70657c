<?php

declare(strict_types=1);

use NobleTurn\Core\Tests\Ask;

/** Facts of the trade held against the plan. Common practice, no source, unless a line says otherwise. */
function clashes(array $input): array
{
    return array_column(Ask::tool('approach', ['routine' => 'emerge-right', 'limit_mph' => 30, ...$input])['conflicts'], null, 'code');
}

it('keeps the number rule at 20 mph and says openly where it fails at 25 and 30', function (): void {
    $at = fn (float $mph): array => Ask::tool('approach', ['routine' => 'emerge-right', 'limit_mph' => 30, 'speed_mph' => $mph]);
    expect(Ask::step($at(20), 'signal')['best_m'])->toEqualWithDelta(30.0, 0.01)
        ->and($at(20)['conflicts'])->toBe([]);
    foreach ([25, 30] as $mph) {
        $plan = $at($mph);
        $clash = array_values(array_filter($plan['conflicts'], fn (array $conflict): bool => str_starts_with($conflict['code'], 'signal-rule')))[0];
        $best = Ask::step($plan, 'signal')['best_m'];
        expect($clash['rule_m'])->toEqualWithDelta(30.0, 0.01)
            ->and($clash['needed_m'])->toEqualWithDelta($best, 0.01)
            ->and($clash['shift_m'])->toEqualWithDelta($best - 30.0, 0.02)
            ->and($clash['done'])->toBe('signal-earlier')
            ->and($best)->toBeGreaterThan(40.0);
    }
    // At 30 the number comes after the brake lights; kept to, it is harsh braking.
    $clash = clashes(['speed_mph' => 30])['signal-rule-after-brake-lights'];
    expect($clash['data']['brake_lights_m'])->toBeGreaterThan(30.0)->and($clash['data']['decel_if_kept_mps2'])->toBeGreaterThan(4.0);
});

it('never starts the routine where nobody teaches it', function (): void {
    // As separate blocks at 30 mph it would begin some 130 m out.
    $plan = Ask::tool('approach', ['routine' => 'emerge-right', 'limit_mph' => 30]);
    expect(Ask::step($plan, 'mirrors')['best_m'])->toBeGreaterThan(85.0)->toBeLessThan(125.0);
});

it('follows the car: no clutch, no gear, in an automatic or with hand controls', function (string $vehicle): void {
    $plan = Ask::tool('approach', ['routine' => 'emerge-right', 'vehicle' => $vehicle]);
    expect(array_filter($plan['profile']['gear']))->toBe([])
        ->and(array_filter($plan['profile']['clutch']))->toBe([])
        ->and($plan['gear_changes'])->toBe([])
        ->and(Ask::step($plan, 'speed')['do'])->not->toContain('lutch');
})->with(['small-automatic', 'small-electric', 'hand-controls']);

it('comes up in the gear an instructor would expect', function (float $mph, int $gear): void {
    expect(Ask::tool('approach', ['routine' => 'emerge-right', 'limit_mph' => 60, 'speed_mph' => $mph])['profile']['gear'][0])->toBe($gear);
})->with([[5, 1], [12, 2], [15, 2], [20, 2], [30, 3], [40, 4], [60, 5]]);

it('stops at a stop line, where the view is closed, and for a beginner', function (array $place): void {
    $plan = Ask::tool('approach', ['routine' => 'emerge-left', ...$place]);
    expect($plan['line_speed_mps'])->toBe(0.0)->and($plan['gear_after_line'])->toBe(1);
})->with([[['control' => 'stop']], [['view' => 'closed']], [['learner_level' => 'beginner']]]);

it('waits with the signal for an opening before ours, and says at what speed there is time', function (): void {
    // Past 62 m there is still time at 30 mph; an opening that ends at 35 m asks for a lower speed.
    $opening = fn (float $end): array => ['openings' => [['side' => 'right', 'from_m' => $end + 6, 'to_m' => $end]]];
    $still = Ask::tool('approach', ['routine' => 'emerge-right', ...$opening(61)]);
    expect($still['fits'])->toBeTrue()->and(Ask::step($still, 'signal')['earliest_m'])->toBeLessThanOrEqual(61.0);
    $slower = Ask::tool('approach', ['routine' => 'emerge-right', ...$opening(35)]);
    expect($slower['fits'])->toBeFalse()
        ->and($slower['conflicts'][0]['code'])->toBe('opening-too-near')
        ->and(Ask::step($slower, 'signal')['best_m'])->toBeLessThanOrEqual(35.01)
        ->and($slower['speed_to_fit_mps'])->toBeGreaterThan(8.0)->toBeLessThan(13.4);
    // One on the other side is nobody's concern.
    $other = Ask::tool('approach', ['routine' => 'emerge-right', 'openings' => [['side' => 'left', 'from_m' => 41, 'to_m' => 35]]]);
    expect($other['fits'])->toBeTrue();
});

it('signals earlier and brakes lighter for a close follower, earlier for somebody passing on that side', function (): void {
    $signal = fn (array $more): float => Ask::step(Ask::tool('approach', ['routine' => 'emerge-right', ...$more]), 'signal')['best_m'];
    expect($signal(['close_follower' => true]))->toBeGreaterThan($signal([]) + 5.0)
        ->and($signal(['follower_gap_s' => 1.1]))->toBe($signal(['close_follower' => true]))
        ->and($signal(['follower_gap_s' => 3]))->toBe($signal([]))
        ->and($signal(['passing_on' => 'right']))->toBeGreaterThan($signal([]) + 5.0)
        ->and($signal(['passing_on' => 'left']))->toBe($signal([]))
        ->and(
            Ask::tool('approach', ['routine' => 'emerge-right', 'close_follower' => true])['peak_decel_mps2'],
        )->toBeLessThan(Ask::tool('approach', ['routine' => 'emerge-right'])['peak_decel_mps2']);
});

it('takes the right-hand edge of a one-way street and regains its place after a parked car', function (): void {
    $place = fn (array $more): array => Ask::tool('approach', ['routine' => 'emerge-right', 'road_width_m' => 7.3, ...$more])['place'];
    expect($place(['one_way' => true])['lateral_target_m'])->toBeGreaterThan(6.0)
        ->and($place([])['lateral_target_m'])->toBeLessThan(7.3 / 2 - 0.9);
    $parked = Ask::tool('approach', ['routine' => 'emerge-left', 'parked' => [['side' => 'left', 'from_m' => 20, 'to_m' => 8]]]);
    expect($parked['fits'])->toBeFalse()
        ->and($parked['conflicts'][0]['code'])->toBe('parked-too-near')
        ->and(Ask::step($parked, 'position')['best_m'])->toBeLessThanOrEqual(8.0 - 4.5 + 0.01);
});
