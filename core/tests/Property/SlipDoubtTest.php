<?php

declare(strict_types=1);

use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Tests\Site\Sites;

/* What to measure first on a slip road: asked for while it decides, and no longer once it is known well enough. */

/** @return list<array<string, mixed>> */
function asksFirst(string $name, array $slip, string $from, string $to): array
{
    $arms = Sites::arms($name);
    $arms[$name === 'slip on' ? 'w' : 'nw'] += $slip;

    return Ask::tool('site', ['from' => $from, 'to' => $to] + Sites::of($arms, 'slip'))['measure_first'];
}

/** @return array<string, mixed> a length by tape, with a doubt of its own */
function taped(float $metres, float $error): array
{
    return ['measures' => [['of' => 'slip_length', 'by' => 'tape', 'length_m' => $metres, 'error_m' => $error]]];
}

it('never asks for more because a length is known better', function (string $name, string $from, string $to): void {
    foreach (range(80, 480, 40) as $metres) {
        $asked = true;
        foreach ([60.0, 30.0, 15.0, 5.0, 1.0, 0.1] as $error) {
            $now = asksFirst($name, taped($metres, $error), $from, $to) !== [];
            // Asked for with a small doubt, it was asked for with a larger one.
            expect($now && ! $asked)->toBeFalse("{$name}, {$metres} m, give or take {$error}");
            $asked = $now;
        }
    }
})->with([['slip on', 'w', 'n'], ['slip off', 's', 'nw']]);

it('is silent where a slip road is certainly long enough or certainly too short, and asks in between', function (string $name, string $from, string $to): void {
    $asked = array_map(static fn (int $metres): bool => asksFirst($name, taped($metres, 12.0), $from, $to) !== [], range(60, 900, 20));
    expect($asked)->toContain(true);
    expect(end($asked))->toBeFalse();
    // In one stretch for each way the verdict changes: no speckles.
    $changes = count(array_filter(array_keys($asked), static fn (int $i): bool => $i > 0 && $asked[$i] !== $asked[$i - 1]));
    expect($changes)->toBeLessThanOrEqual(6);
})->with([['slip on', 'w', 'n'], ['slip off', 's', 'nw']]);

it('knows a length that was written from one that nobody said, and trusts neither as a measured one', function (): void {
    $status = static fn (array $slip): ?string => asksFirst('slip on', $slip, 'w', 'n')[0]['status'] ?? null;
    expect($status([]))->toBe('assumed')->and($status(['slip_length_m' => 160]))->toBe('written')
        // Also where it is as long as an ordinary one: somebody said so.
        ->and(asksFirst('slip off', ['slip_length_m' => 250], 's', 'nw')[0]['status'] ?? 'known')->not->toBe('assumed')
        ->and($status(['measures' => [['of' => 'slip_length', 'by' => 'paces', 'number' => 213]]]))->toBeIn(['measured', null]);
});

it('goes on where the doubt reaches below what else is said to lie on the slip road', function (): void {
    $rows = asksFirst('slip on', ['slip_length_m' => 120, 'solid_line_m' => 118, 'limit_change_m' => 100], 'w', 'n');
    expect($rows)->toBeArray();
    foreach ($rows as $row) {
        expect($row['of'])->toBe('slip_length')->and($row['value_m'])->toBe(120.0)->and($row['error_m'])->toBe(12.0);
    }
});

it('asks on a stretch for what is seen ahead where it was written, and for nothing of a slip', function (): void {
    $arms = Sites::arms('narrow lane');
    $arms['w'] += ['sight_ahead_m' => 40, 'limit_mph' => 40];
    $rows = Ask::tool('site', ['from' => 'w', 'to' => 'e', 'routine' => 'meet'] + Sites::of($arms, 'stretch'))['measure_first'];
    expect(array_column($rows, 'of'))->not->toContain('slip_length')->not->toContain('sight_left');
    expect(Ask::tool('site', ['from' => 'w', 'to' => 'e', 'routine' => 'lane-change-left'] + Sites::of(Sites::arms('two lanes'), 'stretch'))['measure_first'])
        ->toBe([]);
});
