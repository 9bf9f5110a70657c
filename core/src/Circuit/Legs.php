<?php

declare(strict_types=1);

namespace NobleTurn\Core\Circuit;

use NobleTurn\Core\Site\Position;

/**
 * What is driven between the ways of a circuit: from where one ends to where another begins. A measured leg is taken as it is; an estimated
 * one is never longer than by way of another way.
 */
final class Legs
{
    public const START = -1;

    public const END = -2;

    /**
     * @param  array<int, array<int, float>>  $seconds  by from and to: a way's number in the order given, START, END
     * @param  array<int, array<int, float>>  $metres
     * @param  array<int, array<int, true>>  $measured
     */
    private function __construct(private array $seconds, private array $metres, private readonly array $measured)
    {
    }

    /**
     * @param  list<Stop>  $stops
     * @param  list<MeasuredLeg>  $known
     */
    public static function between(Position $start, Position $end, array $stops, Drive $drive, array $known): self
    {
        $numbers = array_flip(array_map(static fn (Stop $stop): string => $stop->id, $stops)) + [MeasuredLeg::START => self::START];
        $measured = [];
        foreach ($known as $leg) {
            $measured[$numbers[$leg->from]][$leg->to === MeasuredLeg::END ? self::END : $numbers[$leg->to]] = $leg;
        }
        $seconds = $metres = $taken = [];
        foreach ([self::START => $start] + array_map(static fn (Stop $stop): Position => $stop->out, $stops) as $from => $leaves) {
            foreach (array_map(static fn (Stop $stop): Position => $stop->in, $stops) + [self::END => $end] as $to => $arrives) {
                if ($from === $to) {
                    continue;
                }
                $leg = $measured[$from][$to] ?? null;
                $metres[$from][$to] = $leg->metres ?? $drive->metres($leaves, $arrives);
                $seconds[$from][$to] = $leg->seconds ?? $drive->seconds($metres[$from][$to]);
                if ($leg !== null) {
                    $taken[$from][$to] = true;
                }
            }
        }
        $legs = new self($seconds, $metres, $taken);
        $legs->shorten($stops, $drive);

        return $legs;
    }

    public function seconds(int $from, int $to): float
    {
        return $this->seconds[$from][$to];
    }

    public function metres(int $from, int $to): float
    {
        return $this->metres[$from][$to];
    }

    public function isMeasured(int $from, int $to): bool
    {
        return isset($this->measured[$from][$to]);
    }

    /** @param  list<int>  $ways in the order driven; from the start and to the end, s */
    public function along(array $ways): float
    {
        $sum = 0.0;
        $at = self::START;
        foreach ($ways as $way) {
            $sum += $this->seconds[$at][$way];
            $at = $way;
        }

        return $sum + $this->seconds[$at][self::END];
    }

    /**
     * By way of any of the others, where that was measured to be quicker. Published: R. W. Floyd, "Algorithm 97: Shortest path",
     * Communications of the ACM 5 (1962).
     *
     * @param  list<Stop>  $stops
     */
    private function shorten(array $stops, Drive $drive): void
    {
        foreach ($stops as $by => $stop) {
            $through = $drive->at($stop->road, $stop->roundMetres);
            foreach (array_keys($this->seconds) as $from) {
                foreach (array_keys($this->seconds[$from]) as $to) {
                    if ($by === $from || $by === $to || isset($this->measured[$from][$to])) {
                        continue;
                    }
                    $round = $this->seconds[$from][$by] + $through + $this->seconds[$by][$to];
                    if ($round < $this->seconds[$from][$to] - 1e-9) {
                        $this->seconds[$from][$to] = $round;
                        $this->metres[$from][$to] = $this->metres[$from][$by] + $stop->roundMetres + $this->metres[$by][$to];
                    }
                }
            }
        }
    }
}
