<?php

declare(strict_types=1);

use NobleTurn\Core\Circuit\Legs;
use NobleTurn\Core\Circuit\Stop;
use NobleTurn\Core\Next\Choosing;
use NobleTurn\Core\Tests\Circuit\Rounds;
use NobleTurn\Core\Tests\Next\Lessons;

/*
 * Which ways a lesson drives and how often, held against cbc (COIN-OR's solver of integer programmes, Debian's coinor-cbc), which looks at all of
 * them. bin/test installs it.
 */

/**
 * Ways of a town none of which is as hard as another, and those within the time.
 *
 * @return array{list<Stop>, Legs, list<int>}
 */
function townOf(int $seed, int $number, float $budget): array
{
    $ways = Rounds::ways($seed, $number);
    foreach (array_keys($ways) as $i) {
        $ways[$i] = ['difficulty' => ($i * 13 % $number) / $number, 'rounds' => 1 + ($seed + $i) % 4] + $ways[$i];
    }
    [$stops, $legs] = Rounds::drawn($ways);

    return [$stops, $legs, array_values(array_filter(
        array_keys($stops), static fn (int $way): bool => $legs->along([$way]) + $stops[$way]->onceSeconds() <= $budget,
    ))];
}

function needsCbc(): void
{
    if (trim((string) shell_exec('command -v cbc')) === '') {
        if (getenv('CI')) {
            throw new RuntimeException('cbc is missing: bin/test installs it.');
        }
        test()->markTestSkipped('cbc is not installed: bin/test core installs it.');
    }
}

it('finds what a solver of integer programmes finds, of few ways', function (int $seed): void {
    needsCbc();
    $budget = 60.0 * [20, 45, 55, 85][$seed % 4];
    [$stops, $legs, $ways] = townOf($seed, 5 + $seed % 5, $budget);
    [$worth] = Lessons::worth($seed, count($stops));
    $chosen = (new Choosing($stops, $legs, $worth, $budget))->choose($ways);
    expect($chosen->worth)->toEqualWithDelta(Lessons::solved($stops, $legs, $budget, $seed), 1e-5);
    // What it says of itself is so: in time, in order, and worth as much.
    $taken = array_sum(array_map(static fn (int $way, int $rounds): int => $stops[$way]->seconds($rounds), array_keys($chosen->rounds), $chosen->rounds));
    $hard = array_map(static fn (int $way): float => $stops[$way]->difficulty, array_keys($chosen->rounds));
    $sorted = $hard;
    sort($sorted);
    expect($taken + $chosen->driven)->toBeLessThanOrEqual($budget + 1e-6)->and($hard)->toBe($sorted)
        ->and($legs->along(array_keys($chosen->rounds)))->toEqualWithDelta($chosen->driven, 1e-9)
        ->and($worth->less($chosen->rounds, $chosen->driven))->toEqualWithDelta($chosen->worth, 1e-12);
})->with(range(1, 16));

it('is near what a solver finds, of many ways', function (): void {
    needsCbc();
    $shares = [];
    foreach (range(31, 40) as $seed) {
        [$stops, $legs, $ways] = townOf($seed, 22, 3300.0);
        [$worth] = Lessons::worth($seed, count($stops));
        $shares[$seed] = (new Choosing($stops, $legs, $worth, 3300.0))->choose($ways)->worth / Lessons::solved($stops, $legs, 3300.0, $seed);
    }
    if (getenv('NOBLE_TURN_PRINT')) {
        fprintf(STDERR, "\nof what a solver finds, 22 ways: %s\n", implode(' ',
            array_map(static fn (float $share): string => sprintf('%.3f', $share), $shares)));
    }
    expect(max($shares))->toBeLessThanOrEqual(1.0 + 1e-4)->and(min($shares))->toBeGreaterThan(0.93)
        ->and(array_sum($shares) / count($shares))->toBeGreaterThan(0.98);
});

it('drives nothing where there is no time, and never a way that brings nothing', function (): void {
    [$stops, $legs] = townOf(3, 6, 1e6);
    [$worth] = Lessons::worth(3, 6);
    expect((new Choosing($stops, $legs, $worth, 0.0))->choose([])->rounds)->toBe([]);
    $nothing = new NobleTurn\Core\Next\LessonWorth(array_fill(0, 6, 'r'), ['r' => [0.0, 0.0]], array_fill(0, 6, 1.0), array_fill(0, 6, 0.0));
    expect((new Choosing($stops, $legs, $nothing, 1e5))->choose(range(0, 5))->rounds)->toBe([]);
    $wanted = new NobleTurn\Core\Next\LessonWorth(array_fill(0, 6, 'r'), ['r' => [0.0, 0.0]], array_fill(0, 6, 1.0), [0.0, 0.0, 9.0, 0.0, 0.0, 0.0]);
    expect((new Choosing($stops, $legs, $wanted, 1e5))->choose(range(0, 5))->rounds)->toBe([2 => 1]);
});
