<?php

declare(strict_types=1);

namespace NobleTurn\Core\Circuit;

/**
 * The least driving through every set of some ways, that ends at each of them, from smaller sets. Published: M. Held and R. M. Karp, "A dynamic
 * programming approach to sequencing problems", Journal of the Society for Industrial and Applied Mathematics 10 (1962).
 */
final class EverySet
{
    /** @var array<int, array<int, float>> least driving, s, by set (a bit for each way) and the way it ends at */
    private array $least = [];

    /** @var array<int, array<int, int>> the way before that one */
    private array $before = [];

    /**
     * @param  list<int>  $ways  as numbered by the stops; each doubles the work
     * @param  list<Stop>  $stops
     * @param  bool  $inOrder  whether none may come after a harder one
     */
    public function __construct(private readonly array $ways, private readonly array $stops, private readonly Legs $legs, bool $inOrder)
    {
        $this->fill($inOrder);
    }

    /**
     * Those for which there is time, driven once each.
     *
     * @param  float  $budget  for the driving and the ways, s
     * @return list<array{int, float}> a set, and the least driving through it from the start to the end, s
     */
    public function within(float $budget): array
    {
        $found = [];
        foreach ($this->least as $set => $ends) {
            $driven = INF;
            foreach ($ends as $last => $seconds) {
                $driven = min($driven, $seconds + $this->legs->seconds($this->ways[$last], Legs::END));
            }
            $once = array_sum(array_map(fn (int $way): int => $this->stops[$way]->onceSeconds(), $this->in($set)));
            if ($driven + $once <= $budget + 1e-6) {
                $found[] = [$set, $driven];
            }
        }

        return $found;
    }

    private function fill(bool $inOrder): void
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
    public function in(int $set): array
    {
        return array_values(array_filter($this->ways, static fn (int $i): bool => ($set & 1 << $i) !== 0, ARRAY_FILTER_USE_KEY));
    }

    /** @return list<int> the ways of a set, in the order that is driven least */
    public function tour(int $set): array
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
