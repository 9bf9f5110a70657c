<?php

declare(strict_types=1);

namespace NobleTurn\Core\Tests;

use NobleTurn\Core\Skill\Evidence;

/**
 * The best anybody could foretell of a SteppingLearner who knows how such learners work and what they are like on the whole, and of this one
 * only the marks: where they came from and how quickly they climb is weighed on a grid, the day of each lesson is weighed and then let go.
 */
final class SteppingFilter
{
    /** @var list<array{weight: float, begins: list<float>, climbs: float, cells: array<string, list<float>>}> */
    private array $kinds = [];

    /** @var array<string, \DateTimeImmutable> */
    private array $last = [];

    public function __construct(private readonly SteppingPopulation $people = new SteppingPopulation)
    {
        foreach ($people->begins as $i => $begins) {
            foreach ($people->climbs as $climbs) {
                $this->kinds[] = [
                    'weight' => log($people->came[$i]), 'begins' => $begins, 'climbs' => $climbs, 'cells' => [],
                ];
            }
        }
    }

    /** @param  list<Evidence>  $marks  of one lesson, in their order */
    public function learn(array $marks): void
    {
        foreach ($this->kinds as &$kind) {
            $byDay = [];
            foreach ($this->people->days as $day => $chance) {
                [$cells, $last, $log] = [$kind['cells'], $this->last, log($chance)];
                foreach ($marks as $one) {
                    $cell = $one->cell();
                    $belief = $this->fallen($cells[$cell] ?? $kind['begins'], $last[$cell] ?? null, $one->at);
                    $seen = array_map(fn (int $state): float => $belief[$state] * $this->chance($state, $day - 1, $one->rank),
                        array_keys($this->people->outcomes));
                    $sum = array_sum($seen);
                    $log += log($sum);
                    $cells[$cell] = $this->climbed(array_map(static fn (float $p): float => $p / $sum, $seen), $kind['climbs']);
                    $last[$cell] = $one->at;
                }
                $byDay[$day] = [$log, $cells];
            }
            $most = max(array_column($byDay, 0));
            $total = array_sum(array_map(static fn (array $of): float => exp($of[0] - $most), $byDay));
            $kind['weight'] += $most + log($total);
            foreach (array_unique(array_map(static fn (Evidence $one): string => $one->cell(), $marks)) as $cell) {
                $kind['cells'][$cell] = array_map(static fn (int $state): float => array_sum(array_map(
                    static fn (array $of): float => exp($of[0] - $most) / $total * $of[1][$cell][$state], $byDay,
                )), array_keys($this->people->outcomes));
            }
        }
        unset($kind);
        foreach ($marks as $one) {
            $this->last[$one->cell()] = $one->at;
        }
    }

    /** @return list<float> chance of each outcome of a mark that is still to come */
    public function foretells(Evidence $one): array
    {
        return $this->over($one->cell(), $one->at, 0, fn (int $state, int $rank): float => array_sum(array_map(
            fn (int $day, float $chance): float => $chance * $this->chance($state, $day - 1, $rank), array_keys($this->people->days), $this->people->days,
        )));
    }

    /**
     * Where a cell would be after so many rounds more of it today, whatever they show.
     *
     * @return list<float> chance of each outcome
     */
    public function after(string $cell, int $rounds, \DateTimeImmutable $at): array
    {
        return $this->over($cell, $at, $rounds, fn (int $state, int $rank): float => $this->people->outcomes[$state][$rank]);
    }

    /**
     * Over the kinds of learners this one may be, as likely as each is, and the states a cell may be in.
     *
     * @param  \Closure(int, int): float  $chance  of an outcome in a state
     * @return list<float> chance of each outcome
     */
    private function over(string $cell, \DateTimeImmutable $at, int $rounds, \Closure $chance): array
    {
        $most = max(array_column($this->kinds, 'weight'));
        $chances = array_fill(0, 5, 0.0);
        $total = 0.0;
        foreach ($this->kinds as $kind) {
            $weight = exp($kind['weight'] - $most);
            $total += $weight;
            $belief = $this->fallen($kind['cells'][$cell] ?? $kind['begins'], $this->last[$cell] ?? null, $at);
            for ($i = 0; $i < $rounds; $i++) {
                $belief = $this->climbed($belief, $kind['climbs']);
            }
            foreach ($belief as $state => $p) {
                foreach ($chances as $rank => $sum) {
                    $chances[$rank] += $weight * $p * $chance($state, $rank);
                }
            }
        }

        return array_map(static fn (float $sum): float => $sum / $total, $chances);
    }

    private function chance(int $state, int $day, int $rank): float
    {
        return (1.0 - $this->people->byTheDay) * $this->people->outcomes[$state][$rank]
            + $this->people->byTheDay * $this->people->outcomes[max(0, min($this->people->top(), $state + $day))][$rank];
    }

    /**
     * @param  list<float>  $belief
     * @return list<float>
     */
    private function fallen(array $belief, ?\DateTimeImmutable $last, \DateTimeImmutable $at): array
    {
        $falls = $last === null ? 0.0 : $this->people->fallen($last, $at);

        return array_map(static fn (int $state): float => $belief[$state] * ($state === 0 ? 1.0 : 1.0 - $falls) + ($belief[$state + 1] ?? 0.0) * $falls,
            array_keys($this->people->outcomes));
    }

    /**
     * @param  list<float>  $belief
     * @return list<float>
     */
    private function climbed(array $belief, float $climbs): array
    {
        return array_map(fn (int $state): float => $belief[$state] * ($state === $this->people->top() ? 1.0
            : 1.0 - $climbs) + ($belief[$state - 1] ?? 0.0) * $climbs, array_keys($this->people->outcomes));
    }
}
