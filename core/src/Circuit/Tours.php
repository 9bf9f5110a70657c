<?php

declare(strict_types=1);

namespace NobleTurn\Core\Circuit;

/**
 * Short drives through given ways: each goes where it lengthens the drive least, and stretches are moved and turned round while that shortens
 * it; never a way after a harder one where that is wanted.
 */
final readonly class Tours
{
    /** No longer stretch is moved at once. */
    private const MOVED = 3;

    private const SAME_S = 1e-6;

    /** @param  list<Stop>  $stops */
    public function __construct(private Order $order, private array $stops, private Legs $legs)
    {
    }

    /**
     * Each of these where it lengthens the drive least, that which does so least of all first.
     *
     * @param  list<int>  $tour
     * @param  list<int>  $ways
     * @return list<int>
     */
    public function inserted(array $tour, array $ways): array
    {
        while ($ways !== []) {
            $best = [INF, 0, 0];
            foreach ($ways as $i => $way) {
                [$longer, $at] = $this->place($tour, $way);
                if ($longer < $best[0]) {
                    $best = [$longer, $i, $at];
                }
            }
            array_splice($tour, $best[2], 0, [$ways[$best[1]]]);
            array_splice($ways, $best[1], 1);
        }

        return $tour;
    }

    /**
     * Always on to the nearest that is left.
     *
     * @param  list<int>  $ways
     * @return list<int>
     */
    public function nearest(array $ways): array
    {
        $tour = [];
        $at = Legs::START;
        while ($ways !== []) {
            usort($ways, fn (int $one, int $other): int => [
                $this->order === Order::EasyToHard ? $this->stops[$one]->difficulty : 0.0, $this->legs->seconds($at, $one), $one,
            ] <=> [$this->order === Order::EasyToHard ? $this->stops[$other]->difficulty : 0.0, $this->legs->seconds($at, $other), $other]);
            $at = $tour[] = array_shift($ways);
        }

        return $tour;
    }

    /**
     * @param  list<int>  $tour
     * @return array{float, int} by how much a way lengthens the drive at the best place, s, and which that is
     */
    public function place(array $tour, int $way): array
    {
        $best = [INF, 0];
        $places = count($tour);
        for ($at = 0; $at <= $places; $at++) {
            $from = $tour[$at - 1] ?? Legs::START;
            $to = $tour[$at] ?? Legs::END;
            if (! $this->isInOrder($from, $way) || ! $this->isInOrder($way, $to)) {
                continue;
            }
            $longer = $this->legs->seconds($from, $way) + $this->legs->seconds($way, $to) - $this->legs->seconds($from, $to);
            if ($longer < $best[0]) {
                $best = [$longer, $at];
            }
        }

        return $best;
    }

    private function isInOrder(int $one, int $next): bool
    {
        return $this->order !== Order::EasyToHard || $one < 0 || $next < 0 || $this->stops[$one]->difficulty <= $this->stops[$next]->difficulty;
    }

    /**
     * @param  list<int>  $tour
     * @return list<int> no stretch of which can be moved or turned round for less driving
     */
    public function improved(array $tour): array
    {
        do {
            $better = null;
            foreach ($this->changes($tour) as [$longer, $from, $long, $at]) {
                if ($longer < -self::SAME_S) {
                    $changed = self::changed($tour, $from, $long, $at);
                    if ($this->isAllInOrder($changed)) {
                        $tour = $better = $changed;
                        break;
                    }
                }
            }
        } while ($better !== null);

        return $tour;
    }

    /**
     * Stretches moved elsewhere, and turned round where they are. Published: S. Lin, "Computer solutions of the traveling salesman problem",
     * Bell System Technical Journal 44 (1965), for the turning round; from memory: I. Or, "Traveling salesman-type combinatorial problems
     * and their relation to the logistics of regional blood banking" (1976), for the moving.
     *
     * @param  list<int>  $tour
     * @return \Generator<array{float, int, int, ?int}> by how much it is longer, s; where the stretch begins, how long it is, and how many of
     *     the rest come before it then; null where it is turned round
     */
    private function changes(array $tour): \Generator
    {
        $number = count($tour);
        $way = static fn (int $at): int => $tour[$at] ?? ($at < 0 ? Legs::START : Legs::END);
        $leg = fn (int $one, int $other): float => $this->legs->seconds($way($one), $way($other));
        for ($from = 0; $from < $number; $from++) {
            for ($long = 1; $long <= self::MOVED && $from + $long <= $number; $long++) {
                $last = $from + $long - 1;
                $closed = $leg($from - 1, $last + 1) - $leg($from - 1, $from) - $leg($last, $last + 1);
                for ($at = 0; $at <= $number; $at++) {
                    // Between the two that stand before and at this place now; within the stretch there is none.
                    if ($at < $from || $at > $last + 1) {
                        $opened = $leg($at - 1, $from) + $leg($last, $at) - $leg($at - 1, $at);
                        yield [$closed + $opened, $from, $long, $at < $from ? $at : $at - $long];
                    }
                }
            }
            $turned = 0.0;
            for ($last = $from + 1; $last < $number; $last++) {
                $turned += $leg($last, $last - 1) - $leg($last - 1, $last);
                $ends = $leg($from - 1, $last) + $leg($from, $last + 1) - $leg($from - 1, $from) - $leg($last, $last + 1);
                yield [$turned + $ends, $from, $last - $from + 1, null];
            }
        }
    }

    /**
     * @param  list<int>  $tour
     * @param  ?int  $at  how many of the rest come before the stretch; null where it is turned round
     * @return list<int>
     */
    private static function changed(array $tour, int $from, int $long, ?int $at): array
    {
        $stretch = array_splice($tour, $from, $long);
        array_splice($tour, $at ?? $from, 0, $at === null ? array_reverse($stretch) : $stretch);

        return array_values($tour);
    }

    /** @param  list<int>  $tour */
    private function isAllInOrder(array $tour): bool
    {
        foreach ($tour as $i => $way) {
            if ($i > 0 && ! $this->isInOrder($tour[$i - 1], $way)) {
                return false;
            }
        }

        return true;
    }
}
