<?php

declare(strict_types=1);

namespace NobleTurn\Core\Circuit;

/** Time that is left after every way was driven once goes into further rounds. */
final class Fill
{
    /**
     * @param  array<int, Stop>  $stops  by number, in the order driven
     * @param  int  $left  seconds beyond one round of each
     * @return array<int, int> rounds by number, in the same order
     */
    public static function rounds(Order $order, array $stops, int $left): array
    {
        $all = 0;
        foreach ($stops as $stop) {
            $all += ($stop->rounds - 1) * $stop->furtherSeconds();
        }
        if ($all <= $left) {
            return array_map(static fn (Stop $stop): int => $stop->rounds, $stops);
        }

        return $order === Order::LeastLeftOver ? self::fullest($stops, $left) : self::most($stops, $left);
    }

    /**
     * As many as can be: the quickest first.
     *
     * @param  array<int, Stop>  $stops
     * @return array<int, int>
     */
    private static function most(array $stops, int $left): array
    {
        $rounds = array_map(static fn (): int => 1, $stops);
        $quickest = array_keys($stops);
        usort($quickest, static fn (int $a, int $b): int => [$stops[$a]->furtherSeconds(), $a] <=> [$stops[$b]->furtherSeconds(), $b]);
        foreach ($quickest as $way) {
            $one = $stops[$way]->furtherSeconds();
            $more = $one === 0 ? $stops[$way]->rounds - 1 : min($stops[$way]->rounds - 1, intdiv($left, $one));
            $rounds[$way] += $more;
            $left -= $more * $one;
        }

        return $rounds;
    }

    /**
     * So that they take as much of it as can be: every sum of seconds that can be reached, way by way.
     *
     * @param  array<int, Stop>  $stops
     * @return array<int, int>
     */
    private static function fullest(array $stops, int $left): array
    {
        /** @var array<int, array<int, int>> $steps how often a way was added to reach a sum, by way */
        $steps = [];
        $reached = [0 => true];
        foreach ($stops as $way => $stop) {
            $one = $stop->furtherSeconds();
            foreach ($one === 0 ? [] : array_keys($reached) as $sum) {
                for ($more = 1; $more < $stop->rounds && $sum + $more * $one <= $left; $more++) {
                    if (! isset($reached[$sum + $more * $one])) {
                        $steps[$way][$sum + $more * $one] = $more;
                        $reached[$sum + $more * $one] = true;
                    }
                }
            }
        }
        $sum = max(array_keys($reached));
        $rounds = [];
        foreach (array_reverse($stops, true) as $way => $stop) {
            $more = $stop->furtherSeconds() === 0 ? $stop->rounds - 1 : ($steps[$way][$sum] ?? 0);
            $rounds[$way] = 1 + $more;
            $sum -= $more * $stop->furtherSeconds();
        }

        return array_reverse($rounds, true);
    }
}
