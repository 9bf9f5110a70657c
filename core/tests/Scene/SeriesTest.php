<?php

declare(strict_types=1);

use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Tests\Scenes;

/* Several in a row: rows 25, 40 and 41. */

Scenes::show('off, right round and on again is one drive: each part is told with what the one before leaves it', function (): void {
    $answer = Ask::tool('series', ['pack' => 'gb', 'parts' => [
        ['tool' => 'join', 'entry_speed_mph' => 40, 'slip_length_m' => 320, 'main_speed_mph' => 60],
        ['tool' => 'leave', 'distance_m' => 1400, 'slip_length_m' => 300],
        ['tool' => 'approach', 'routine' => 'roundabout', 'exit' => 'back', 'limit_mph' => 40],
        ['tool' => 'join', 'distance_m' => 70, 'slip_length_m' => 340, 'main_speed_mph' => 60],
    ]]);
    [, $leave, $round, $again] = $answer['plans'];
    $end = $leave['plan']['profile']['speed_mps'][count($leave['plan']['profile']['speed_mps']) - 1];

    expect($answer['fits'])->toBeTrue()
        // Off at the speed one joined for, slow enough for the line at the end, and from there onto the next with what is gathered again.
        ->and($leave['reached_mps'])->toEqualWithDelta(60 * 0.44704, 0.1)->and($end)->toEqualWithDelta($round['plan']['line_speed_mph'] * 0.44704, 0.3)
        ->and($again['reached_mps'])->toBeGreaterThan($end)->toBeLessThan(40 * 0.44704)
        ->and(array_column($answer['directions'], 'say'))->toContain(
            'Leave at the next exit, please; then: at the roundabout go all the way round and back, please.',
        );
    foreach ($answer['directions'] as $direction) {
        expect($direction['in_time'])->toBeTrue();
    }
});

Scenes::show('an exit close behind where one joins is shown by mirrors at once, and its far signs are no cue', function (): void {
    $at = static fn (float $metres): array => Ask::tool('series', ['pack' => 'gb', 'parts' => [
        ['tool' => 'join', 'entry_speed_mph' => 40, 'slip_length_m' => 320, 'main_speed_mph' => 60],
        ['tool' => 'leave', 'distance_m' => $metres, 'slip_length_m' => 300],
    ]]);
    $kinds = static fn (array $answer): array => array_column($answer['plans'][1]['plan']['events'], 'kind');
    [$close, $far] = [$at(260.0), $at(2200.0)];

    expect($close['plans'][1]['verdict'])->toBe('plan-second-first')->and($kinds($close))->not->toContain('sign')->not->toContain('near-lane')
        ->and($close['plans'][1]['plan']['events'][0]['kind'])->toBe('mirrors')->and($close['directions'])->toHaveCount(1)
        ->and($far['plans'][1]['verdict'])->toBe('one-after-the-other')->and($kinds($far))->toContain('sign')->and($far['directions'])->toHaveCount(2)
        ->and($at(60.0)['plans'][1]['verdict'])->toBe('both-in-one')->and(array_column($at(60.0)['warnings'], 'code'))->toContain('no-room');
});

Scenes::show('a row of humps, a mini-roundabout and a turn has mirrors for each, and its direction in time for the first', function (): void {
    $answer = Ask::tool('series', ['pack' => 'gb', 'parts' => [
        ['tool' => 'approach', 'routine' => 'hump', 'limit_mph' => 30],
        ['tool' => 'approach', 'routine' => 'hump', 'distance_m' => 60, 'limit_mph' => 30],
        ['tool' => 'approach', 'routine' => 'mini-roundabout', 'exit' => 'right', 'distance_m' => 70, 'limit_mph' => 30],
        ['tool' => 'approach', 'routine' => 'turn-left', 'distance_m' => 45, 'limit_mph' => 30],
    ]]);
    [$direction] = $answer['directions'];

    expect($answer['directions'])->toHaveCount(1)
        ->and($direction['say'])->toBe('At the mini-roundabout turn right, please; then: take the next road on the left, please.')
        // A second part is two seconds more, at the speed one has there.
        ->and($direction['say_at_m'])->toBeGreaterThan($answer['plans'][2]['plan']['say_at_m'] + $answer['plans'][2]['reached_mps'])
        ->and($answer['plans'][1]['reached_mps'])->toBeLessThan(20 * 0.44704);
    foreach ($answer['plans'] as $plan) {
        expect(array_column($plan['plan']['steps'], 'step'))->toContain('mirrors');
    }
});
