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
        $this->own = array_fill_keys(array_unique([...array_column($rows->rows, 'cell'), ...array_column($rows->overrulings, 'cell')]), 0.0);
        $this->system = Linear::of([]);
        for ($round = 0; $round < self::ROUNDS && $this->shared !== []; $round++) {
            if ($this->step() < self::ENOUGH) {
                break;
            }
        }
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
        $add = function (array $row, float $slope, float $curvature) use (&$gradient, &$ownGradient, &$matrix): void {
            $ownGradient[$row['cell']] += $slope;
            $cell = &$this->cells[$row['cell']];
            $cell['weight'] += $curvature;
            foreach ($row['parts'] as $i => $x) {
                $gradient[$i] += $x * $slope;
                $by = $x * $curvature;
                $cell['cross'][$i] = ($cell['cross'][$i] ?? 0.0) + $by;
                $line = &$matrix[$i];
                foreach ($row['parts'] as $j => $y) {
                    if ($j > $i) {
                        break;
                    }
                    $line[$j] += $by * $y;
                }
                unset($line);
            }
        };
        foreach ($this->rows->rows as $row) {
            $eta = $row['offset'] + $this->sum($row);
            [$slope, $curvature] = Ladder::derivatives($row['rank'], $eta);
            $add($row, $row['weight'] * $slope, $row['weight'] * $curvature);
        }
        foreach ($this->rows->overrulings as $overruling) {
            $add($overruling, $overruling['precision'] * ($overruling['target'] - $this->sum($overruling)), $overruling['precision']);
        }

        return [$gradient, $ownGradient, $matrix];
    }

    /** @param  array{cell: string, parts: array<int, float>}  $row */
    private function sum(array $row): float
    {
        $sum = $this->own[$row['cell']];
        foreach ($row['parts'] as $i => $x) {
            $sum += $x * $this->shared[$i];
        }

        return $sum;
    }

    private static function held(float $by): float
    {
        return max(-self::LONGEST_STEP, min(self::LONGEST_STEP, $by));
    }
}
