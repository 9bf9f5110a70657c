<?php

declare(strict_types=1);

namespace NobleTurn\Core\Circuit;

/**
 * The best choice of up to MOST ways, by looking at every set of them: the least driving through each set that ends at each of its ways,
 * from smaller sets. Published: M. Held and R. M. Karp, "A dynamic programming approach to sequencing problems", Journal of the Society
 * for Industrial and Applied Mathematics 10 (1962).
 */
final class Exactly
{
    public const MOST = 12;

    /** @var array<int, array<int, float>> least driving, s, by set (a bit for each way) and the way it ends at */
    private array $least = [];

    /** @var array<int, array<int, int>> the way before that one */
    private array $before = [];

    /**
     * @param  list<int>  $ways  up to MOST, as numbered by the stops
     * @param  list<Stop>  $stops
     */
    private function __construct(private readonly array $ways, private readonly array $stops, private readonly Legs $legs)
    {
    }

    /**
     * @param  list<int>  $ways
     * @param  list<Stop>  $stops
     * @param  float  $budget  for the driving and the ways, s
     */
    public static function choose(Order $order, array $ways, array $stops, Legs $legs, float $budget): Choice
    {
        $search = new self($ways, $stops, $legs);
        $search->sets($order === Order::EasyToHard);
        $sets = [];
        foreach ($search->least as $set => $ends) {
            $driven = INF;
            foreach ($ends as $last => $seconds) {
                $driven = min($driven, $seconds + $legs->seconds($ways[$last], Legs::END));
            }
            $in = $search->in($set);
            $once = array_sum(array_map(static fn (int $way): int => $stops[$way]->onceSeconds(), $in));
            if ($driven + $once <= $budget + 1e-6) {
                $sets[] = [Choice::most($order, $in, $stops, $driven, $budget), $driven, $set];
            }
        }
        usort($sets, static fn (array $one, array $other): int => [$other[0], $one[1], $one[2]] <=> [$one[0], $other[1], $other[2]]);
        $best = Choice::of($order, [], $stops, $legs->along([]));
        foreach ($sets as [$most, $driven, $set]) {
            if ($most < $best->worth) {
                break;
            }
            $choice = Choice::filled($order, $search->tour($set), $stops, $driven, $budget);
            $best = $choice !== null && $choice->isBetterThan($best) ? $choice : $best;
        }

        return $best;
    }

    /** @param  bool  $inOrder  whether none may come after a harder one */
    private function sets(bool $inOrder): void
    {
        $number = count($this->ways);
        $hard = array_map(fn (int $way): float => $this->stops[$way]->difficulty, $this->ways);
        for ($set = 1; $set < 1 << $number; $set++) {
            for ($last = 0; $last < $number; $last++) {
                if (($set & 1 << $last) === 0) {
                    continue;
                }
                $rest = $set & ~(1 << $last);
                if ($rest === 0) {
                    $this->least[$set][$last] = $this->legs->seconds(Legs::START, $this->ways[$last]);
                }
                foreach ($this->least[$rest] ?? [] as $one => $seconds) {
                    if ($inOrder && $hard[$one] > $hard[$last]) {
                        continue;
                    }
                    $driven = $seconds + $this->legs->seconds($this->ways[$one], $this->ways[$last]);
                    if ($driven < ($this->least[$set][$last] ?? INF)) {
                        $this->least[$set][$last] = $driven;
                        $this->before[$set][$last] = $one;
                    }
                }
            }
        }
    }

    /** @return list<int> the ways of a set, in no order */
    private function in(int $set): array
    {
        return array_values(array_filter($this->ways, static fn (int $i): bool => ($set & 1 << $i) !== 0, ARRAY_FILTER_USE_KEY));
    }

    /** @return list<int> the ways of a set, in the order that is driven least */
    private function tour(int $set): array
    {
        $last = 0;
        $least = INF;
        foreach ($this->least[$set] as $one => $seconds) {
            $driven = $seconds + $this->legs->seconds($this->ways[$one], Legs::END);
            if ($driven < $least) {
                [$least, $last] = [$driven, $one];
            }
        }
        $tour = [];
        while ($set !== 0) {
            array_unshift($tour, $this->ways[$last]);
            $before = $this->before[$set][$last] ?? 0;
            $set &= ~(1 << $last);
            $last = $before;
        }

        return $tour;
    }
}
