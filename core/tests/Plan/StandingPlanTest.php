<?php

declare(strict_types=1);

use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Tests\Ask;

/** Moving off: the wheels turn at second nought; until then nothing has a place on the road, only its moment. */
it('says when, and never where, of a car that stands', function (): void {
    foreach (RulePacks::all() as $pack) {
        foreach ([0.0, 0.08] as $gradient) {
            $plan = Ask::tool('approach', ['pack' => $pack->code(), 'routine' => 'move-off', 'gradient' => $gradient]);
            expect($plan['axis'])->toBe('time');
            foreach ([$plan, ...$plan['steps']] as $said) {
                expect(preg_grep('/_(m|mps|mps2)$/', array_keys($said)))->toBe([]);
            }
            $moments = array_column($plan['steps'], 'best_s');
            $inOrder = $moments;
            rsort($inOrder);
            expect($moments)->toBe($inOrder)->and(min($moments))->toBeGreaterThanOrEqual(0.0)->and($plan['fits'])->toBeTrue()
                ->and($plan['profile']['time_s'])->toHaveCount(count($plan['profile']['lateral_m']));
        }
    }
});
