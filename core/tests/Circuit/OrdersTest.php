<?php

declare(strict_types=1);

use NobleTurn\Core\Circuit\Circuit;
use NobleTurn\Core\Circuit\Exactly;
use NobleTurn\Core\Circuit\Order;
use NobleTurn\Core\Circuit\Roughly;
use NobleTurn\Core\Tests\Ask;
use NobleTurn\Core\Tests\Circuit\Rounds;

/* Orders against exhaustive search, the rough search against the exact one and against a bound. */

const SEARCHED = [Order::Shortest, Order::EasyToHard, Order::LeastLeftOver];

it('finds the best of every order of every set with every number of rounds, by any wish', function (int $seed, int $number, int $minutes): void {
    [$stops, $legs] = Rounds::drawn(Rounds::ways($seed, $number));
    foreach (SEARCHED as $order) {
        [$worth, $driven] = Rounds::exhaustively($order, $stops, $legs, 60.0 * $minutes);
        $choice = Exactly::choose($order, array_keys($stops), $stops, $legs, 60.0 * $minutes);
        expect($choice->worth)->toBe($worth, "{$order->value} of seed {$seed}")->and($choice->driven)->toEqualWithDelta($driven, 1e-6)
            ->and($legs->along($choice->ways()))->toEqualWithDelta($driven, 1e-6);
    }
})->with(static function (): iterable {
    for ($seed = 1; $seed <= 12; $seed++) {
        yield "seed {$seed}" => [$seed, 3 + $seed % 3, [20, 40, 60, 240][$seed % 4]];
    }
});

it('finds the shortest way through nine, as all their orders show', function (int $seed): void {
    $ways = array_map(static fn (array $way): array => ['rounds' => 1, 'difficulty' => 0.0] + $way, Rounds::ways($seed, 9));
    [$stops, $legs] = Rounds::drawn($ways);
    $least = INF;
    // Each order once, by exchanging two at a time (B. R. Heap, "Permutations by interchanges", The Computer Journal 6, 1963).
    $order = range(0, 8);
    $counts = array_fill(0, 9, 0);
    for ($i = 0; $i < 9;) {
        $least = min($least, $legs->along($order));
        while ($i < 9 && $counts[$i] >= $i) {
            $counts[$i++] = 0;
        }
        if ($i < 9) {
            $from = $i % 2 === 0 ? 0 : $counts[$i];
            [$order[$from], $order[$i]] = [$order[$i], $order[$from]];
            $counts[$i]++;
            $i = 1;
            $least = min($least, $legs->along($order));
            $i = 1;
        }
    }
    expect(Exactly::choose(Order::Shortest, range(0, 8), $stops, $legs, 1e6)->driven)->toEqualWithDelta($least, 1e-6);
})->with([3, 4]);

it('is not far off where it only searches: against the exact choice of ten', function (): void {
    $short = $lost = [];
    for ($seed = 21; $seed <= 32; $seed++) {
        [$stops, $legs] = Rounds::drawn(Rounds::ways($seed, 10));
        foreach (SEARCHED as $order) {
            foreach ([45.0, 90.0, 400.0] as $minutes) {
                $exact = Exactly::choose($order, range(0, 9), $stops, $legs, 60.0 * $minutes);
                $rough = Roughly::choose($order, range(0, 9), $stops, $legs, 60.0 * $minutes);
                expect($rough->isBetterThan($exact))->toBeFalse();
                $lost[] = 1.0 - $rough->worth / max(1, $exact->worth);
                if ($rough->worth === $exact->worth) {
                    $short[] = $rough->driven / $exact->driven - 1.0;
                }
            }
        }
    }
    // On the whole hardly anything; a single tight lesson can lose a round or two, or find as many only a good way farther off.
    expect(array_sum($lost) / count($lost))->toBeLessThan(0.01)->and(max($lost))->toBeLessThan(0.25)
        ->and(array_sum($short) / count($short))->toBeLessThan(0.02);
});

it('is not far off where nothing exact can be had: forty ways against the least tree that joins them', function (int $seed): void {
    $ways = array_map(static fn (array $way): array => ['out' => $way['in'], 'routine' => 'cross'] + $way, Rounds::ways($seed, 40));
    [$stops, $legs] = Rounds::drawn($ways);
    $choice = Roughly::choose(Order::Shortest, range(0, 39), $stops, $legs, 1e6);
    $bound = Rounds::tree(40, $legs);
    expect($choice->ways())->toHaveCount(40)->and($choice->driven)->toBeGreaterThan($bound)->toBeLessThan(1.4 * $bound);
    // Of its own accord it is no shorter turned round, nor as given.
    expect($choice->driven)->toBeLessThanOrEqual($legs->along(range(0, 39)));
})->with([41, 42, 43]);

it('says of more than twelve in reach that it only searched, and of fewer that nothing is better', function (): void {
    $asked = static fn (int $number, Order $order): array => Ask::tool('circuit', Rounds::asked(Rounds::ways(5, $number), 60, $order));
    expect($asked(12, Order::Shortest)['exact'])->toBeTrue()->and($asked(13, Order::Shortest)['exact'])->toBeFalse()
        ->and($asked(13, Order::AsGiven)['exact'])->toBeTrue();
    // What is out of reach is not looked at: then twelve of thirteen are looked at whole.
    $ways = Rounds::ways(5, 13);
    $ways[4]['in'] = $ways[4]['out'] = ['latitude_deg' => 50.4, 'longitude_deg' => -8.1];
    expect(Ask::tool('circuit', Rounds::asked($ways, 60, Order::Shortest))['exact'])->toBeTrue();
});

it('spends more of the time at the ways, the more that is wanted, and no less than any other order', function (int $seed): void {
    [$stops, $legs] = Rounds::drawn(Rounds::ways($seed, 7));
    $at = static fn (Order $order): int => array_sum(array_map(
        static fn (int $way, int $rounds): int => $stops[$way]->seconds($rounds),
        array_keys(Circuit::of($order, $stops, $legs, 3600, 240)->choice->rounds), Circuit::of($order, $stops, $legs, 3600, 240)->choice->rounds,
    ));
    foreach ([Order::Shortest, Order::EasyToHard, Order::AsGiven] as $other) {
        expect($at(Order::LeastLeftOver))->toBeGreaterThanOrEqual($at($other));
    }
    $rounds = static fn (Order $order): int => array_sum(Circuit::of($order, $stops, $legs, 3600, 240)->choice->rounds);
    foreach ([Order::EasyToHard, Order::LeastLeftOver, Order::AsGiven] as $other) {
        expect($rounds(Order::Shortest))->toBeGreaterThanOrEqual($rounds($other));
    }
})->with([51, 52, 53, 54, 55, 56]);
