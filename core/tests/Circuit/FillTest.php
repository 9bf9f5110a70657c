<?php

declare(strict_types=1);

use NobleTurn\Core\Circuit\Choice;
use NobleTurn\Core\Circuit\Drive;
use NobleTurn\Core\Circuit\Fill;
use NobleTurn\Core\Circuit\KindOfRoad;
use NobleTurn\Core\Circuit\Order;
use NobleTurn\Core\Circuit\PartKind;
use NobleTurn\Core\Circuit\Stop;
use NobleTurn\Core\Circuit\TimeLine;
use NobleTurn\Core\Site\Position;
use Random\Engine\Mt19937;
use Random\Randomizer;

/* Minutes that are left go into further rounds; parts of an hour stand one after the other. */

/** @param  list<array{int, int, int}>  $said  rounds wanted, seconds of a round and of the loop back @return array<int, Stop> */
function stopsOf(array $said): array
{
    $here = Position::ofDegrees(49.2, -8.1);

    return array_map(static fn (array $one): Stop => new Stop(
        'a', 'a', $here, $here, KindOfRoad::Town, 0.0, $one[0], new Drive, 0.0, (float) $one[1], (float) $one[2],
    ), $said);
}

/** @param  array<int, Stop>  $stops @return array{int, int} the most rounds, and the most seconds, that fit: by trying all */
function mostOf(array $stops, int $left): array
{
    $sums = [[0, 0]];
    foreach ($stops as $stop) {
        $sums = array_merge(...array_map(static fn (int $more): array => array_map(
            static fn (array $sum): array => [$sum[0] + $more, $sum[1] + $more * $stop->furtherSeconds()], $sums,
        ), range(0, $stop->rounds - 1)));
    }
    $sums = array_filter($sums, static fn (array $sum): bool => $sum[1] <= $left);

    return [max(array_column($sums, 0)), max(array_column($sums, 1))];
}

it('fills as many rounds, or as much of the time, as trying all of them does', function (int $seed): void {
    $chance = new Randomizer(new Mt19937($seed));
    for ($i = 0; $i < 40; $i++) {
        $stops = stopsOf(array_map(static fn (): array => [$chance->getInt(1, 4), $chance->getInt(20, 90), $chance->getInt(0, 200)], range(1, 5)));
        $left = $chance->getInt(0, 1_500);
        [$rounds, $seconds] = mostOf($stops, $left);
        $most = Fill::rounds(Order::Shortest, $stops, $left);
        $fullest = Fill::rounds(Order::LeastLeftOver, $stops, $left);
        $further = static fn (array $rounds): int => array_sum(array_map(
            static fn (Stop $stop, int $number): int => ($number - 1) * $stop->furtherSeconds(), $stops, $rounds,
        ));
        expect(array_sum($most) - count($stops))->toBe($rounds)->and($further($most))->toBeLessThanOrEqual($left)
            ->and($further($fullest))->toBe($seconds)->and(array_keys($fullest))->toBe(array_keys($stops));
        foreach ([$most, $fullest] as $filled) {
            foreach ($filled as $way => $number) {
                expect($number)->toBeGreaterThanOrEqual(1)->toBeLessThanOrEqual($stops[$way]->rounds);
            }
        }
    }
})->with([1, 2, 3]);

it('drives all rounds that take no time, and nothing more than was wanted', function (): void {
    $stops = stopsOf([[4, 0, 0], [3, 60, 60]]);
    foreach (Order::cases() as $order) {
        expect(Fill::rounds($order, $stops, 0))->toBe([4, 1])->and(Fill::rounds($order, $stops, 130))->toBe([4, 2])
            ->and(Fill::rounds($order, $stops, 9_999))->toBe([4, 3]);
    }
});

it('is worth no more than it is told beforehand, and nothing where one round of each does not fit', function (): void {
    $stops = array_values(stopsOf([[3, 60, 90], [2, 45, 120], [4, 30, 60]]));
    foreach (Order::cases() as $order) {
        foreach ([200.0, 400.0, 800.0, 5_000.0] as $budget) {
            $choice = Choice::filled($order, [2, 0, 1], $stops, 50.0, $budget);
            expect($choice?->worth ?? 0)->toBeLessThanOrEqual(Choice::most($order, [2, 0, 1], $stops, 50.0, $budget))
                ->and($choice?->ways() ?? [2, 0, 1])->toBe([2, 0, 1]);
        }
        // 135 s for one round of each, beside 50 s of driving.
        expect(Choice::filled($order, [0, 1, 2], $stops, 50.0, 184.9))->toBeNull()
            ->and(Choice::filled($order, [0, 1, 2], $stops, 50.0, 185.0)?->rounds)->toBe([1, 1, 1]);
    }
});

it('rounds no time away: parts of any length end where the next begins, and together are the whole', function (): void {
    $chance = new Randomizer(new Mt19937(4));
    for ($i = 0; $i < 200; $i++) {
        $line = new TimeLine;
        $sum = 0.0;
        for ($n = $chance->getInt(0, 12); $n > 0; $n--) {
            $seconds = $chance->getInt(0, 3_000) / 7.0;
            $sum += $seconds;
            $line->add(PartKind::Drive, $seconds, 1.0);
        }
        $whole = (int) ceil($sum) + $chance->getInt(0, 60);
        $parts = $line->until($whole);
        $at = 0;
        foreach ($parts as $part) {
            expect($part->from)->toBe($at)->and($part->until)->toBeGreaterThan($at);
            $at = $part->until;
        }
        expect($at)->toBe($whole);
    }
});
