<?php

declare(strict_types=1);

namespace NobleTurn\Core\Next;

use NobleTurn\Core\Circuit\Stop;

/**
 * What the rounds of a lesson are worth. Each further round of a routine brings less, at whichever of its ways it is driven, and at a way that is
 * too hard for somebody it brings little. What is driven between the ways costs a little, so that nobody drives about to fill the hour.
 */
final readonly class LessonWorth
{
    /** A second between two ways costs so much (assumed): a minute takes away what a tenth of a weak round brings. */
    private const DRIVING = 0.00003;

    /**
     * @param  list<string>  $routines  by way: whose rounds they are
     * @param  array<string, list<float>>  $brings  by routine: what its first, second, ... round brings; falling, nothing after the last
     * @param  list<float>  $bears  by way: how much of that is had there, as a share of what it brings where it is easy
     * @param  list<float>  $wanted  by way: what its first round is worth beyond, because somebody asked for it
     */
    public function __construct(private array $routines, private array $brings, private array $bears, private array $wanted)
    {
    }

    /** @param  array<int, int>  $rounds  by way; of all of them, the driving left out */
    public function of(array $rounds): float
    {
        $bears = [];
        $sum = 0.0;
        foreach ($rounds as $way => $number) {
            $sum += $number > 0 ? $this->wanted[$way] : 0.0;
            for ($i = 0; $i < $number; $i++) {
                $bears[$this->routines[$way]][] = $this->bears[$way];
            }
        }
        foreach ($bears as $routine => $each) {
            rsort($each);
            foreach (array_slice($each, 0, count($this->brings[$routine])) as $i => $bear) {
                $sum += $this->brings[$routine][$i] * $bear;
            }
        }

        return $sum;
    }

    /**
     * What one more round of a way would bring: the less, the more there is already.
     *
     * @param  array<int, int>  $rounds  by way
     */
    public function more(array $rounds, int $way): float
    {
        $routine = $this->routines[$way];
        $brings = $this->brings[$routine];
        $bear = $this->bears[$way];
        $bears = [];
        foreach ($rounds as $other => $number) {
            if ($this->routines[$other] === $routine) {
                for ($i = 0; $i < $number; $i++) {
                    $bears[] = $this->bears[$other];
                }
            }
        }
        $more = isset($rounds[$way]) ? 0.0 : $this->wanted[$way];
        if ($bears === []) {
            return $more + ($brings[0] ?? 0.0) * $bear;
        }
        rsort($bears);
        // It takes its place by what can be borne, and moves those below it one further down.
        $number = count($brings);
        foreach ($bears as $i => $other) {
            if ($i >= $number) {
                return $more;
            }
            if ($bear > $other) {
                $more += $brings[$i] * ($bear - $other);
                $bear = $other;
            }
        }

        return $more + ($brings[count($bears)] ?? 0.0) * $bear;
    }

    /** @param  array<int, int>  $rounds  by way */
    public function less(array $rounds, float $drivenSeconds): float
    {
        return $this->of($rounds) - self::DRIVING * $drivenSeconds;
    }

    /** How little the driving alone is worth. */
    public function driving(float $seconds): float
    {
        return -self::DRIVING * $seconds;
    }

    /**
     * Not less than any number of further rounds can be worth that there is time for: each as much as the next one, and the last one in part.
     *
     * @param  array<int, int>  $rounds  so far, by way
     * @param  array<int, int>  $most  of those that may be driven more often
     * @param  list<Stop>  $stops
     */
    public function atMost(array $rounds, array $most, array $stops, float $left): float
    {
        $each = [];
        foreach ($most as $way => $number) {
            if ($number > $rounds[$way]) {
                $each[] = [$this->more($rounds, $way), $stops[$way]->furtherSeconds(), $number - $rounds[$way]];
            }
        }
        usort($each, static fn (array $a, array $b): int => $b[0] * $a[1] <=> $a[0] * $b[1]);
        $sum = 0.0;
        foreach ($each as [$brings, $seconds, $number]) {
            $part = $seconds === 0 ? (float) $number : min((float) $number, max(0.0, $left) / $seconds);
            $sum += $part * $brings;
            $left -= $part * $seconds;
        }

        return $sum;
    }
}
