<?php

declare(strict_types=1);

use NobleTurn\Core\Judgement\Braking;
use NobleTurn\Core\Tests\Ask;

it('is gentle, moderate, firm or hard, each from one figure to the next', function (float $mps2, string $word): void {
    expect(Braking::feltAt($mps2)->value)->toBe($word);
})->with([[0.0, 'gentle'], [1.49, 'gentle'], [1.5, 'moderate'], [2.4, 'moderate'], [2.5, 'firm'], [3.5, 'firm'], [3.51, 'hard'], [9.0, 'hard']]);

it('is called the same by a plan, a slip road and a gap, whatever they are asked', function (): void {
    $heard = [];
    foreach (range(15, 60, 5) as $mph) {
        foreach ([null, 40, 80, 160] as $room) {
            $plan = Ask::tool('approach', ['routine' => 'turn-left', 'limit_mph' => 60, 'speed_mph' => $mph] + ($room === null ? [] : ['room_m' => $room]));
            expect($plan['braking'])->toBe(Braking::feltAt($plan['peak_decel_mps2'])->value);
            $heard[] = $plan['braking'];
        }
    }
    foreach (range(60, 400, 20) as $metres) {
        $off = Ask::tool('leave', ['main_speed_mph' => 70, 'slip_length_m' => $metres, 'end_speed_mph' => 15]);
        expect($off['braking'])->toBe(Braking::feltAt($off['peak_decel_mps2'])->value);
        $heard[] = $off['braking'];
    }
    expect(array_values(array_unique($heard)))->toEqualCanonicalizing(['gentle', 'moderate', 'firm', 'hard']);

    $braked = 0;
    foreach (range(20, 120, 2) as $metres) {
        $gap = Ask::tool('gap', ['manoeuvre' => 'emerge-right', 'other_speed_mph' => 40, 'other_distance_m' => $metres]);
        if (preg_match('/have to brake (\w+)/', $gap['message'], $said) === 1) {
            $braked++;
            expect($said[1])->toBe(Braking::feltAt($gap['other_decel_needed_mps2'])->adverb());
        }
    }
    expect($braked)->toBeGreaterThan(5);
});
