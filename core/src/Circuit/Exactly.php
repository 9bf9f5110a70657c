<?php

declare(strict_types=1);

namespace NobleTurn\Core\Circuit;

/** The best choice of up to MOST ways, by looking at every set of them. */
final class Exactly
{
    public const MOST = 12;

    /**
     * @param  list<int>  $ways  up to MOST, as numbered by the stops
     * @param  list<Stop>  $stops
     * @param  float  $budget  for the driving and the ways, s
     */
    public static function choose(Order $order, array $ways, array $stops, Legs $legs, float $budget): Choice
    {
        $every = new EverySet($ways, $stops, $legs, $order === Order::EasyToHard);
        $sets = array_map(static fn (array $one): array => [
            Choice::most($order, $every->in($one[0]), $stops, $one[1], $budget), $one[1], $one[0],
        ], $every->within($budget));
        usort($sets, static fn (array $one, array $other): int => [$other[0], $one[1], $one[2]] <=> [$one[0], $other[1], $other[2]]);
        $best = Choice::of($order, [], $stops, $legs->along([]));
        foreach ($sets as [$most, $driven, $set]) {
            if ($most < $best->worth) {
                break;
            }
            $choice = Choice::filled($order, $every->tour($set), $stops, $driven, $budget);
            $best = $choice !== null && $choice->isBetterThan($best) ? $choice : $best;
        }

        return $best;
    }
}
