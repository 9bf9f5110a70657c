<?php

declare(strict_types=1);

namespace NobleTurn\Core\Circuit;

/**
 * A good choice of more ways than can be looked at set by set: begun from all of them and from few, in short drives (`Tours`), and ways are
 * thrown out and taken in while more fits.
 */
final readonly class Roughly
{
    /** It is begun from so many, shared out among the ways. */
    private const SEEDS = 120;

    private Tours $tours;

    /** @param  list<Stop>  $stops */
    private function __construct(private Order $order, private array $stops, private Legs $legs, private float $budget)
    {
        $this->tours = new Tours($order, $stops, $legs);
    }

    /**
     * @param  list<int>  $ways
     * @param  list<Stop>  $stops
     * @param  float  $budget  for the driving and the ways, s
     */
    public static function choose(Order $order, array $ways, array $stops, Legs $legs, float $budget): Choice
    {
        $search = new self($order, $stops, $legs, $budget);
        $best = Choice::of($order, [], $stops, $legs->along([]));
        $all = [$search->tours->inserted([], $ways), $search->tours->nearest($ways)];
        // Which to keep is the harder question: then it is begun from few as well.
        $isTight = $search->choice($all[0])->ways() === [];
        $few = array_map(static fn (int $way): array => [$way], array_slice($ways, 0, intdiv(self::SEEDS, count($ways))));
        foreach ([...$all, ...$isTight ? [[], ...$few] : []] as $begun) {
            $choice = $search->exchanged($search->fitted($search->tours->improved($begun)), $ways);
            $best = $choice->isBetterThan($best) ? $choice : $best;
        }

        return $best;
    }

    /**
     * Ways are thrown out, that which saves most first, until there is time for one round of each.
     *
     * @param  list<int>  $tour
     * @return list<int>
     */
    private function fitted(array $tour): array
    {
        while ($tour !== [] && Choice::filled($this->order, $tour, $this->stops, $this->legs->along($tour), $this->budget) === null) {
            $best = [-INF, 0];
            foreach ($tour as $i => $way) {
                $rest = $tour;
                array_splice($rest, $i, 1);
                $saved = $this->legs->along($tour) - $this->legs->along($rest);
                // To fill the hour keep what is long itself and costs little driving.
                $saved = $this->order === Order::LeastLeftOver ? $saved / max(1, $this->stops[$way]->seconds($this->stops[$way]->rounds))
                    : $saved + $this->stops[$way]->onceSeconds();
                $best = $saved > $best[0] ? [$saved, $i] : $best;
            }
            array_splice($tour, $best[1], 1);
        }

        return $this->tours->improved($tour);
    }

    /**
     * One more is taken in, one thrown out, or one put in the place of another, while that is better.
     *
     * @param  list<int>  $tour
     * @param  list<int>  $ways
     */
    private function exchanged(array $tour, array $ways): Choice
    {
        $best = $this->choice($tour);
        do {
            $was = $best;
            $out = array_values(array_diff($ways, $best->ways()));
            foreach ([null, ...array_keys($best->ways())] as $gone) {
                $rest = $best->ways();
                if ($gone !== null) {
                    array_splice($rest, $gone, 1);
                }
                foreach ([null, ...$out] as $in) {
                    if ($gone === null && $in === null) {
                        continue;
                    }
                    $tour = $in === null ? $rest : $this->tours->inserted($rest, [$in]);
                    $driven = $this->legs->along($tour);
                    $most = Choice::most($this->order, $tour, $this->stops, $driven, $this->budget);
                    if ($most < $best->worth || ($most === $best->worth && $driven >= $best->driven)) {
                        continue;
                    }
                    $choice = $this->choice($tour);
                    if ($choice->isBetterThan($best)) {
                        $best = $choice;
                        break 2;
                    }
                }
            }
            for ($from = 0; $best === $was && $from < count($was->ways()) - 1; $from++) {
                $choice = $this->choice($this->refilled($was->ways(), $from, $out));
                $best = $choice->isBetterThan($best) ? $choice : $best;
            }
            if ($best !== $was) {
                $shorter = $this->choice($this->tours->improved($best->ways()));
                $best = $shorter->isBetterThan($best) ? $shorter : $best;
            }
        } while ($best !== $was);

        return $best;
    }

    /**
     * Two that follow each other make room for as many of the others as there is time for, that which lengthens the drive least first.
     *
     * @param  list<int>  $tour
     * @param  list<int>  $out
     * @return list<int>
     */
    private function refilled(array $tour, int $from, array $out): array
    {
        array_splice($tour, $from, 2);
        while ($out !== []) {
            $longer = array_map(fn (int $way): float => $this->tours->place($tour, $way)[0] + $this->stops[$way]->onceSeconds(), $out);
            $next = (int) array_search(min($longer), $longer, true);
            $more = $this->tours->inserted($tour, [$out[$next]]);
            if (Choice::filled($this->order, $more, $this->stops, $this->legs->along($more), $this->budget) === null) {
                break;
            }
            $tour = $more;
            array_splice($out, $next, 1);
        }

        return $tour;
    }

    /** @param  list<int>  $tour */
    private function choice(array $tour): Choice
    {
        $driven = $this->legs->along($tour);

        return Choice::filled($this->order, $tour, $this->stops, $driven, $this->budget) ?? Choice::of($this->order, [], $this->stops, INF);
    }
}
