<?php

declare(strict_types=1);

namespace NobleTurn\Core\Next;

use NobleTurn\Core\Circuit\EverySet;
use NobleTurn\Core\Circuit\Legs;
use NobleTurn\Core\Circuit\Order;
use NobleTurn\Core\Circuit\Stop;
use NobleTurn\Core\Circuit\Tours;

/**
 * Which ways a lesson drives, easy ones before hard ones, and how often each, so that its rounds are worth most: for few ways the best there is, by
 * looking at every set of them; for more a good one, begun from several and changed while that is better.
 */
final readonly class Choosing
{
    /** Up to so many ways every set of them is looked at. */
    public const EXACT = 9;

    /** So many of the ways that are left are tried at each change: those that bring most for their time. */
    private const TRIED = 12;

    private Tours $tours;

    /**
     * @param  list<Stop>  $stops
     * @param  float  $budget  for the driving and the ways, s
     */
    public function __construct(private array $stops, private Legs $legs, private LessonWorth $worth, private float $budget)
    {
        $this->tours = new Tours(Order::EasyToHard, $stops, $legs);
    }

    /** @param  list<int>  $ways  that may be driven, each alone within the time */
    public function choose(array $ways): Chosen
    {
        $good = $this->well($ways);

        return count($ways) <= self::EXACT ? $this->best($ways, $good) : $good;
    }

    /**
     * A good one, quickly: to see whether there is enough to fill the time.
     *
     * @param  list<int>  $ways  that may be driven, each alone within the time
     */
    public function roughly(array $ways): Chosen
    {
        return $this->grown([], $ways);
    }

    /** What is left of the time, s. */
    public function spare(Chosen $chosen): float
    {
        return $this->left($chosen->rounds, $chosen->driven);
    }

    /** Whether there is time for one round of a way beside those that were chosen. */
    public function hasTimeFor(int $way, Chosen $chosen): bool
    {
        return $this->stops[$way]->onceSeconds() + $this->tours->place(array_keys($chosen->rounds), $way)[0] <= $this->spare($chosen) + 1e-6;
    }

    /** @param  list<int>  $ways */
    private function best(array $ways, Chosen $best): Chosen
    {
        $every = new EverySet($ways, $this->stops, $this->legs, inOrder: true);
        $sets = [];
        foreach ($every->within($this->budget) as [$set, $driven]) {
            $once = array_fill_keys($every->in($set), 1);
            $left = $this->left($once, $driven);
            $sets[] = [$this->worth->less($once, $driven) + $this->worth->atMost($once, $this->most($once), $this->stops, $left), $driven, $set];
        }
        usort($sets, static fn (array $a, array $b): int => [$b[0], $a[1], $a[2]] <=> [$a[0], $b[1], $b[2]]);
        foreach ($sets as [$atMost, $driven, $set]) {
            if ($atMost <= $best->worth) {
                break;
            }
            $once = array_fill_keys($every->tour($set), 1);
            $best = $this->fullest($once, $this->most($once), $driven, $best);
        }

        return $best;
    }

    /**
     * The best numbers of rounds of these ways, if they are better: one more of that which brings most for its time, or no more of it at all.
     *
     * @param  array<int, int>  $rounds  by way, in the order driven
     * @param  array<int, int>  $open  most of those that may be driven more often
     */
    private function fullest(array $rounds, array $open, float $driven, Chosen $best): Chosen
    {
        $left = $this->left($rounds, $driven);
        $now = new Chosen($rounds, $driven, $this->worth->less($rounds, $driven));
        $best = $now->isBetterThan($best) ? $now : $best;
        $open = array_filter($open, fn (int $most, int $way): bool => $most > $rounds[$way]
            && $this->stops[$way]->furtherSeconds() <= $left + 1e-6, ARRAY_FILTER_USE_BOTH);
        if ($open === [] || $now->worth + $this->worth->atMost($rounds, $open, $this->stops, $left) <= $best->worth + 1e-9) {
            return $best;
        }
        $way = $this->quickest($rounds, array_keys($open));
        $more = $rounds;
        $more[$way]++;
        $best = $this->fullest($more, $open, $driven, $best);
        unset($open[$way]);

        return $this->fullest($rounds, $open, $driven, $best);
    }

    /**
     * @param  array<int, int>  $rounds
     * @param  non-empty-list<int>  $ways
     */
    private function quickest(array $rounds, array $ways): int
    {
        $best = [-INF, $ways[0]];
        foreach ($ways as $way) {
            $rate = $this->worth->more($rounds, $way) / max(1, $this->stops[$way]->furtherSeconds());
            $best = $rate > $best[0] ? [$rate, $way] : $best;
        }

        return $best[1];
    }

    /** @param  list<int>  $ways */
    private function well(array $ways): Chosen
    {
        $best = $this->filled([]) ?? new Chosen([], $this->legs->along([]), $this->worth->driving($this->legs->along([])));
        foreach ([[], ...array_map(static fn (int $way): array => [$way], array_slice($this->promising([], $ways, $best->driven), 0, 4))] as $begun) {
            $found = $this->changed($this->grown($begun, $ways), $ways);
            $best = $found->isBetterThan($best) ? $found : $best;
        }

        return $best;
    }

    /**
     * One more way, that which brings most for its time, while there is time and it is worth it.
     *
     * @param  list<int>  $tour
     * @param  list<int>  $ways
     */
    private function grown(array $tour, array $ways): Chosen
    {
        $best = $this->filled($tour) ?? new Chosen([], $this->legs->along([]), -INF);
        do {
            $was = $best;
            foreach (array_slice($this->promising(array_keys($was->rounds), $ways, $was->driven), 0, self::TRIED) as $way) {
                $with = $this->filled($this->tours->inserted(array_keys($was->rounds), [$way]));
                $best = $with !== null && $with->isBetterThan($best) ? $with : $best;
            }
        } while ($best !== $was);

        return $best;
    }

    /**
     * One thrown out, or put in the place of another, while that is better.
     *
     * @param  list<int>  $ways
     */
    private function changed(Chosen $best, array $ways): Chosen
    {
        do {
            $was = $best;
            foreach (array_keys($was->rounds) as $i => $gone) {
                $rest = array_keys($was->rounds);
                array_splice($rest, $i, 1);
                $others = array_slice(array_diff($this->promising($rest, $ways, $this->legs->along($rest)), [$gone]), 0, self::TRIED);
                foreach ([null, ...$others] as $in) {
                    $found = $this->filled($in === null ? $rest : $this->tours->inserted($rest, [$in]));
                    $best = $found !== null && $found->isBetterThan($best) ? $found : $best;
                }
            }
            if ($best !== $was) {
                $grown = $this->grown($this->tours->improved(array_keys($best->rounds)), $ways);
                $best = $grown->isBetterThan($best) ? $grown : $best;
            }
        } while ($best !== $was);

        return $best;
    }

    /**
     * Ways that are not in it yet, those that bring most for their time first.
     *
     * @param  list<int>  $tour
     * @param  list<int>  $ways
     * @return list<int>
     */
    private function promising(array $tour, array $ways, float $driven): array
    {
        $once = array_fill_keys($tour, 1);
        $rates = [];
        foreach (array_diff($ways, $tour) as $way) {
            $seconds = $this->stops[$way]->onceSeconds() + $this->tours->place($tour, $way)[0];
            $rates[$way] = $this->worth->more($once, $way) / max(1.0, $seconds);
        }
        $found = array_keys($rates);
        usort($found, static fn (int $a, int $b): int => [$rates[$b], $a] <=> [$rates[$a], $b]);

        return $found;
    }

    /**
     * One round of each, and then always one more of that which brings most for its time; null where there is no time for one of each.
     *
     * @param  list<int>  $tour
     */
    private function filled(array $tour): ?Chosen
    {
        $driven = $this->legs->along($tour);
        $rounds = array_fill_keys($tour, 1);
        $left = $this->left($rounds, $driven);
        if ($left < -1e-6) {
            return null;
        }
        $open = $this->most($rounds);
        while (true) {
            $open = array_filter(
                $open, fn (int $most, int $way): bool => $most > $rounds[$way] && $this->stops[$way]->furtherSeconds() <= $left + 1e-6, ARRAY_FILTER_USE_BOTH,
            );
            if ($open === []) {
                return new Chosen($rounds, $driven, $this->worth->less($rounds, $driven));
            }
            $way = $this->quickest($rounds, array_keys($open));
            if ($this->worth->more($rounds, $way) <= 0.0) {
                unset($open[$way]);

                continue;
            }
            $rounds[$way]++;
            $left -= $this->stops[$way]->furtherSeconds();
        }
    }

    /** @param  array<int, int>  $rounds */
    private function left(array $rounds, float $driven): float
    {
        $left = $this->budget - $driven;
        foreach ($rounds as $way => $number) {
            $left -= $this->stops[$way]->seconds($number);
        }

        return $left;
    }

    /**
     * @param  array<int, int>  $rounds
     * @return array<int, int> how often each may be driven
     */
    private function most(array $rounds): array
    {
        return array_map(fn (int $way): int => $this->stops[$way]->rounds, array_combine(array_keys($rounds), array_keys($rounds)));
    }
}
