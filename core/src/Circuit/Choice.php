<?php

declare(strict_types=1);

namespace NobleTurn\Core\Circuit;

/** Which ways are driven, in which order, how often each; and how good that is by what was wanted. */
final readonly class Choice
{
    /** Two drives are as long where they differ by less, s. */
    private const SAME_S = 1e-6;

    /**
     * @param  array<int, int>  $rounds  by the way's number, in the order driven
     * @param  float  $driven  between the ways, from the start and to the end, s
     * @param  int  $worth  what was wanted most: rounds, or seconds at the ways
     */
    private function __construct(public array $rounds, public float $driven, public int $worth)
    {
    }

    /**
     * As many rounds of each of these ways as there is time for; null where there is not time for one of each.
     *
     * @param  list<int>  $ways  in the order driven
     * @param  list<Stop>  $stops
     * @param  float  $budget  for the driving and the ways, s
     */
    public static function filled(Order $order, array $ways, array $stops, float $driven, float $budget): ?self
    {
        $left = $budget - $driven;
        foreach ($ways as $way) {
            $left -= $stops[$way]->onceSeconds();
        }
        if ($left < -self::SAME_S) {
            return null;
        }
        $of = array_map(static fn (int $way): Stop => $stops[$way], array_combine($ways, $ways));

        return self::of($order, Fill::rounds($order, $of, (int) floor($left + self::SAME_S)), $stops, $driven);
    }

    /**
     * What a choice of these ways can be worth at the most: told without filling it.
     *
     * @param  list<int>  $ways
     * @param  list<Stop>  $stops
     */
    public static function most(Order $order, array $ways, array $stops, float $driven, float $budget): int
    {
        $all = array_sum(array_map(static fn (int $way): int => $order === Order::LeastLeftOver
            ? $stops[$way]->seconds($stops[$way]->rounds) : $stops[$way]->rounds, $ways));

        return $order === Order::LeastLeftOver ? min($all, (int) floor($budget - $driven + self::SAME_S)) : $all;
    }

    /**
     * @param  array<int, int>  $rounds
     * @param  list<Stop>  $stops
     */
    public static function of(Order $order, array $rounds, array $stops, float $driven): self
    {
        return new self($rounds, $driven, $order === Order::LeastLeftOver ? self::secondsAt($rounds, $stops) : array_sum($rounds));
    }

    public function isBetterThan(self $other): bool
    {
        return $this->worth > $other->worth || ($this->worth === $other->worth && $this->driven < $other->driven - self::SAME_S);
    }

    /** @return list<int> in the order driven */
    public function ways(): array
    {
        return array_keys($this->rounds);
    }

    /**
     * @param  array<int, int>  $rounds
     * @param  list<Stop>  $stops
     */
    public static function secondsAt(array $rounds, array $stops): int
    {
        $sum = 0;
        foreach ($rounds as $way => $number) {
            $sum += $stops[$way]->seconds($number);
        }

        return $sum;
    }
}
