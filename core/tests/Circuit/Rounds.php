<?php

declare(strict_types=1);

namespace NobleTurn\Core\Tests\Circuit;

use NobleTurn\Core\Circuit\Drive;
use NobleTurn\Core\Circuit\KindOfRoad;
use NobleTurn\Core\Circuit\Legs;
use NobleTurn\Core\Circuit\Order;
use NobleTurn\Core\Circuit\Stop;
use NobleTurn\Core\Site\Position;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Towns drawn by a seed, and the slow way to the best circuit through one. */
final class Rounds
{
    public const START = ['latitude_deg' => 49.2, 'longitude_deg' => -8.1];

    /** @return list<array<string, mixed>> ways as the tool takes them, within some 3 km of the start */
    public static function ways(int $seed, int $number): array
    {
        $chance = new Randomizer(new Mt19937($seed));
        $ways = [];
        for ($i = 0; $i < $number; $i++) {
            $in = ['latitude_deg' => 49.2 + $chance->getInt(-250, 250) / 1e4, 'longitude_deg' => -8.1 + $chance->getInt(-380, 380) / 1e4];
            $ways[] = [
                'id' => "w{$i}", 'routine' => ['emerge-right', 'roundabout', 'hump', 'join'][$chance->getInt(0, 3)], 'in' => $in,
                'out' => ['latitude_deg' => $in['latitude_deg'] + $chance->getInt(-10, 10) / 1e4, 'longitude_deg' => $in['longitude_deg']],
                // Of a few kinds: some are as hard as others.
                'difficulty' => $chance->getInt(0, 4) / 4.0, 'rounds' => $chance->getInt(1, 3), 'brief_s' => $chance->getInt(0, 150),
                'round_s' => $chance->getInt(40, 90), 'again_s' => $chance->getInt(60, 240),
            ];
        }

        return $ways;
    }

    /** @param  list<array<string, mixed>>  $ways @return array<string, mixed> */
    public static function asked(array $ways, int $minutes, Order $order): array
    {
        return ['pack' => 'gb', 'minutes' => $minutes, 'start' => self::START, 'order' => $order->value, 'ways' => $ways, 'debrief_s' => 240];
    }

    /**
     * @param  list<array<string, mixed>>  $ways
     * @return array{list<Stop>, Legs}
     */
    public static function drawn(array $ways): array
    {
        $at = static fn (array $said): Position => Position::ofDegrees($said['latitude_deg'], $said['longitude_deg']);
        $stops = array_map(static fn (array $way): Stop => new Stop(
            $way['id'], $way['id'], $at($way['in']), $at($way['out']), KindOfRoad::usual(\NobleTurn\Core\Trade\RoutineCode::from($way['routine'])),
            $way['difficulty'], $way['rounds'], new Drive, $way['brief_s'], $way['round_s'], $way['again_s'],
        ), $ways);

        return [$stops, Legs::between($at(self::START), $at(self::START), $stops, new Drive, [])];
    }

    /**
     * Every order of every set with every number of rounds: rounds or seconds at the ways, and the least driving with as many.
     *
     * @param  list<Stop>  $stops
     * @return array{int, float}
     */
    public static function exhaustively(Order $order, array $stops, Legs $legs, float $budget): array
    {
        $best = [0, $legs->along([])];
        foreach (self::tours(array_keys($stops)) as $tour) {
            foreach ($tour as $i => $way) {
                if ($order === Order::EasyToHard && $i > 0 && $stops[$tour[$i - 1]]->difficulty > $stops[$way]->difficulty) {
                    continue 2;
                }
            }
            $driven = $legs->along($tour);
            foreach (self::counts(array_map(static fn (int $way): Stop => $stops[$way], $tour)) as [$rounds, $seconds]) {
                $worth = $order === Order::LeastLeftOver ? $seconds : $rounds;
                if ($driven + $seconds <= $budget + 1e-6 && ($worth > $best[0] || ($worth === $best[0] && $driven < $best[1]))) {
                    $best = [$worth, $driven];
                }
            }
        }

        return $best;
    }

    /** @param  list<int>  $ways @return \Generator<list<int>> every order of every set of one or more */
    private static function tours(array $ways): \Generator
    {
        foreach ($ways as $i => $way) {
            yield [$way];
            $rest = $ways;
            array_splice($rest, $i, 1);
            foreach (self::tours($rest) as $tour) {
                yield [$way, ...$tour];
            }
        }
    }

    /** @param  list<Stop>  $stops @return list<array{int, int}> rounds altogether and the seconds they take */
    private static function counts(array $stops): array
    {
        $counts = [[0, 0]];
        foreach ($stops as $stop) {
            $counts = array_merge(...array_map(static fn (int $rounds): array => array_map(
                static fn (array $one): array => [$one[0] + $rounds, $one[1] + $stop->seconds($rounds)], $counts,
            ), range(1, $stop->rounds)));
        }

        return $counts;
    }

    /** The least tree that joins everything is no longer than any way through it: a bound from below, s. */
    public static function tree(int $number, Legs $legs): float
    {
        $between = static fn (int $one, int $other): float => min(
            $one === Legs::START ? INF : $legs->seconds($one, $other === Legs::START ? Legs::END : $other),
            $other === Legs::START ? INF : $legs->seconds($other, $one === Legs::START ? Legs::END : $one),
            $one === Legs::START ? $legs->seconds(Legs::START, $other) : INF,
        );
        $far = array_map(static fn (int $way): float => $between(Legs::START, $way), range(0, $number - 1));
        $sum = 0.0;
        while ($far !== []) {
            $next = (int) array_search(min($far), $far, true);
            $sum += $far[$next];
            unset($far[$next]);
            foreach (array_keys($far) as $way) {
                $far[$way] = min($far[$way], $between($next, $way));
            }
        }

        return $sum;
    }
}
