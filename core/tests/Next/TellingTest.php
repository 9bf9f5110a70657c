<?php

declare(strict_types=1);

use NobleTurn\Core\Next\Telling;

it('says how often as somebody says it, each tenth in its own words, in one order', function (): void {
    $said = array_map(static fn (int $hundredth): string => Telling::times($hundredth / 100.0), range(0, 100));
    expect(array_values(array_unique($said)))->toBe([
        'hardly ever', 'about once in 10', 'about 2 times in 10', 'about 3 times in 10', 'about 4 times in 10', 'about half the time', 'about 6 times in 10',
        'about 7 times in 10', 'about 8 times in 10', 'about 9 times in 10', 'nearly every time',
    ]);
});

it('says how long in days, months and years, never shorter for longer', function (): void {
    expect(array_map(Telling::long(...), [0, 1, 2, 46, 99, 100, 137, 367, 729, 730, 1094, 1095]))->toBe([
        '0 days', 'a day', '2 days', '46 days', '99 days', '3 months', '5 months', '12 months', '24 months', '2 years', '2 years', '3 years',
    ]);
    $inDays = static fn (string $said): float => (float) $said * (str_contains($said, 'year') ? 365.0 : (str_contains($said, 'month') ? 30.4 : 1.0));
    foreach (range(2, 2000) as $days) {
        $before = $days > 2 ? 0.9 * $inDays(Telling::long($days - 1)) : 0.0;
        expect($inDays(Telling::long($days)))->toEqualWithDelta($days, 0.5 * $days)->toBeGreaterThanOrEqual($before);
    }
});
