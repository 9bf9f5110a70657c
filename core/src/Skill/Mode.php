<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

/**
 * The most likely parts behind rows of marks, by Newton's method, with the curvature there. The cells' own parts are
 * eliminated first: each touches only the few shared parts of its rows, so that what is solved stays small however many
 * cells there are.
 */
final class Mode
{
    private const ROUNDS = 30;

    /** No part moves further in one step, logits: far out the curvature says little. */
    private const LONGEST_STEP = 1.5;

    /** A step this long leaves its square to go. */
    private const ENOUGH = 1e-3;

    /** @var array<int, float> the shared parts, by place */
    public array $shared;

    /** @var array<string, float> each cell's own part */
    public array $own;

    /** @var array<string, array{weight: float, cross: array<int, float>}> curvature of each marked cell, with its share in the shared parts */
    public array $cells = [];

    /** What is left of the shared parts' curvature once the cells' own are eliminated. */
    public Linear $system;

    /** @param  float  $ownPrior  precision of a cell's own part */
    public function __construct(private readonly Rows $rows, public readonly float $ownPrior)
    {
        $this->shared = array_fill(0, count($rows->index), 0.0);
        $this->own = $rows->cells;
        $this->system = Linear::of([]);
        for ($round = 0; $round < self::ROUNDS && $this->shared !== []; $round++) {
            if ($this->step() < self::ENOUGH) {
                break;
            }
        }
    }

    /**
     * What a row's mark is made by, logits.
     *
     * @param  array{cell: string, parts: list<int>}  $group
     * @param  array{offset: float, more: array<int, float>}  $row
     */
    public function ability(array $group, array $row): float
    {
        $ability = $this->own[$group['cell']] + $row['offset'];
        foreach ($group['parts'] as $i) {
            $ability += $this->shared[$i];
        }
        foreach ($row['more'] as $i => $x) {
            $ability += $x * $this->shared[$i];
        }

        return $ability;
    }

    /**
     * How sure a marked cell is, with parts that are shared.
     *
     * @param  list<int>  $parts
     * @return float logits squared
     */
    public function variance(string $cell, array $parts): float
    {
        $own = $this->ownPrior + $this->cells[$cell]['weight'];
        $vector = array_fill(0, count($this->shared), 0.0);
        foreach ($parts as $i) {
            $vector[$i] = 1.0;
        }
        foreach ($this->cells[$cell]['cross'] as $i => $x) {
            $vector[$i] -= $x / $own;
        }

        return 1.0 / $own + $this->system->quadratic($vector);
    }

    /** The longest way any shared part wanted to go. */
    private function step(): float
    {
        [$gradient, $ownGradient, $matrix] = $this->gather();
        foreach ($this->cells as $cell => ['weight' => $weight, 'cross' => $cross]) {
            $d = $this->ownPrior + $weight;
            foreach ($cross as $i => $x) {
                $share = $x / $d;
                $gradient[$i] -= $share * $ownGradient[$cell];
                $row = &$matrix[$i];
                foreach ($cross as $j => $y) {
                    // The lower half is all that is read.
                    if ($j <= $i) {
                        $row[$j] -= $share * $y;
                    }
                }
                unset($row);
            }
        }
        $this->system = Linear::of($matrix);
        $step = $this->system->solve($gradient);
        foreach ($step as $i => $by) {
            $this->shared[$i] += self::held($by);
        }
        foreach ($this->cells as $cell => ['weight' => $weight, 'cross' => $cross]) {
            $by = $ownGradient[$cell];
            foreach ($cross as $i => $x) {
                $by -= $x * $step[$i];
            }
            $this->own[$cell] += self::held($by / ($this->ownPrior + $weight));
        }

        return max(0.0, ...array_map(abs(...), array_values($step)));
    }

    /**
     * @return array{array<int, float>, array<string, float>, array<int, array<int, float>>} slopes of shared and own parts,
     *     and the lower half of the shared parts' curvature
     */
    private function gather(): array
    {
        $gradient = array_map(static fn (float $precision, float $value): float => -$precision * $value, $this->rows->prior, $this->shared);
        $matrix = [];
        foreach (array_keys($this->shared) as $i) {
            $matrix[$i] = array_fill(0, $i + 1, 0.0);
            $matrix[$i][$i] = $this->rows->prior[$i];
        }
        $ownGradient = array_map(fn (float $value): float => -$this->ownPrior * $value, $this->own);
        $this->cells = array_fill_keys(array_keys($this->own), ['weight' => 0.0, 'cross' => []]);
        foreach ($this->rows->groups as $group) {
            $this->gatherGroup($group, $gradient, $ownGradient, $matrix);
        }
        foreach ($this->rows->overrulings as $overruling) {
            $apart = $overruling['target'] - $this->own[$overruling['cell']];
            foreach ($overruling['parts'] as $i => $x) {
                $apart -= $x * $this->shared[$i];
            }
            $precision = $overruling['precision'];
            $ownGradient[$overruling['cell']] += $precision * $apart;
            $cell = &$this->cells[$overruling['cell']];
            $cell['weight'] += $precision;
            foreach ($overruling['parts'] as $i => $x) {
                $gradient[$i] += $x * $precision * $apart;
                $cell['cross'][$i] = ($cell['cross'][$i] ?? 0.0) + $x * $precision;
                foreach ($overruling['parts'] as $j => $y) {
                    if ($j <= $i) {
                        $matrix[$i][$j] += $x * $y * $precision;
                    }
                }
            }
            unset($cell);
        }

        return [$gradient, $ownGradient, $matrix];
    }

    /**
     * Adds what the marks of a group say. What all of them have in common is added up first: most of what a mark tells of, it tells of with others.
     *
     * @param  array{cell: string, parts: list<int>, rows: list<array{rank: int, offset: float, weight: float, more: array<int, float>}>}  $group
     * @param  array<int, float>  $gradient
     * @param  array<string, float>  $ownGradient
     * @param  array<int, array<int, float>>  $matrix
     */
    private function gatherGroup(array $group, array &$gradient, array &$ownGradient, array &$matrix): void
    {
        ['cell' => $name, 'parts' => $parts, 'rows' => $rows] = $group;
        $shared = $this->shared;
        $common = $this->own[$name];
        foreach ($parts as $i) {
            $common += $shared[$i];
        }
        $slopes = $curvatures = 0.0;
        $cross = [];
        foreach ($rows as ['rank' => $rank, 'offset' => $eta, 'weight' => $weight, 'more' => $more]) {
            $eta += $common;
            foreach ($more as $i => $x) {
                $eta += $x * $shared[$i];
            }
            [$slope, $curvature] = Ladder::derivatives($rank, $eta);
            $slope *= $weight;
            $curvature *= $weight;
            $slopes += $slope;
            $curvatures += $curvature;
            foreach ($more as $i => $x) {
                $gradient[$i] += $x * $slope;
                $by = $x * $curvature;
                $cross[$i] = ($cross[$i] ?? 0.0) + $by;
                foreach ($more as $j => $y) {
                    if ($j > $i) {
                        break;
                    }
                    $matrix[$i][$j] += $by * $y;
                }
            }
        }
        $ownGradient[$name] += $slopes;
        $cell = &$this->cells[$name];
        $cell['weight'] += $curvatures;
        foreach ($parts as $i) {
            $gradient[$i] += $slopes;
            $cell['cross'][$i] = ($cell['cross'][$i] ?? 0.0) + $curvatures;
            foreach ($parts as $j) {
                if ($j <= $i) {
                    $matrix[$i][$j] += $curvatures;
                }
            }
        }
        foreach ($cross as $i => $by) {
            $cell['cross'][$i] = ($cell['cross'][$i] ?? 0.0) + $by;
            foreach ($parts as $j) {
                $matrix[max($i, $j)][min($i, $j)] += $by;
            }
        }
    }

    private static function held(float $by): float
    {
        return max(-self::LONGEST_STEP, min(self::LONGEST_STEP, $by));
    }
}
