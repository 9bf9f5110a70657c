<?php

declare(strict_types=1);

use NobleTurn\Core\School\HeldAgainst;

/** @return list<array{chance: float, passed: bool}> so many tests of that chance, of which so many were passed */
function heldTests(float $chance, int $tests, int $passed): array
{
    return array_map(static fn (int $i): array => ['chance' => $chance, 'passed' => $i < $passed], range(0, $tests - 1));
}

it('claims nothing from five tests, and says how many it takes', function (): void {
    $held = HeldAgainst::of(heldTests(0.8, 5, 1));
    expect($held->isEnough())->toBeFalse()->and($held->message())->toBe('Nothing can be said from 5 tests: 8 at the least.')
        ->and(HeldAgainst::of([])->message())->toBe('Nothing can be said from no test: 8 at the least.')->and(HeldAgainst::of([])->passed)->toBeNull()
        ->and(HeldAgainst::of(heldTests(0.5, 1, 1))->message())->toStartWith('Nothing can be said from one test');
});

it('says how many of those said to be 80 per cent ready passed, with what the share may be', function (): void {
    $held = HeldAgainst::of([...heldTests(0.8, 20, 15), ...heldTests(0.1, 10, 2)]);
    expect(array_column($held->bins, 'from'))->toEqual([0.0, 0.8])
        ->and([$held->bins[1]['passed']->count, $held->bins[1]['passed']->of])->toBe([15, 20])->and($held->bins[1]['said'])->toEqualWithDelta(0.8, 1e-9)
        ->and($held->bins[1]['passed']->low)->toBeLessThan(0.75)->and($held->bins[1]['passed']->high)->toBeGreaterThan(0.75)
        ->and($held->expected)->toEqualWithDelta(17.0, 1e-9)
        ->and($held->message())->toBe('17 of 30 passed; 17.0 were expected: about as many as the marks let expect.');
    // What is certain to the last lies in the last bin.
    expect(HeldAgainst::of(heldTests(1.0, 3, 3))->bins[0])->toMatchArray(['from' => 0.8, 'until' => 1.0]);
});

it('says which way it errs, and not from what chance can do', function (): void {
    expect(HeldAgainst::of(heldTests(0.8, 20, 9))->message())->toContain('it says too much')
        ->and(HeldAgainst::of(heldTests(0.3, 20, 14))->message())->toContain('it says too little')
        ->and(HeldAgainst::of(heldTests(0.8, 10, 7))->message())->toContain('about as many');
});

it('finds four times in five that what is true is as it was said', function (): void {
    $random = new Random\Randomizer(new Random\Engine\Mt19937(11));
    $asSaid = 0;
    for ($round = 0; $round < 400; $round++) {
        $tests = [];
        for ($i = 0; $i < 40; $i++) {
            $chance = $random->getInt(5, 95) / 100;
            $tests[] = ['chance' => $chance, 'passed' => $random->getInt(0, 999_999) < $chance * 1e6];
        }
        $asSaid += str_contains(HeldAgainst::of($tests)->message(), 'about as many') ? 1 : 0;
    }
    // Of 400 so many within three deviations of 80 per cent, and what whole numbers of passes take or give.
    expect($asSaid / 400)->toBeGreaterThan(0.72)->toBeLessThan(0.88);
});
