<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

/** Small symmetric positive definite systems by Cholesky's square root. */
final readonly class Linear
{
    /** @param  array<int, array<int, float>>  $root  lower triangle L of L L' */
    private function __construct(private array $root)
    {
    }

    /** @param  array<int, array<int, float>>  $matrix  symmetric, positive definite: its lower half is read */
    public static function of(array $matrix): self
    {
        $root = [];
        foreach ($matrix as $i => $row) {
            $line = [];
            for ($j = 0; $j < $i; $j++) {
                $other = $root[$j];
                $sum = $row[$j];
                foreach ($line as $k => $x) {
                    $sum -= $x * $other[$k];
                }
                $line[] = $sum / $other[$j];
            }
            $sum = $row[$i];
            foreach ($line as $x) {
                $sum -= $x * $x;
            }
            $line[] = sqrt(max(1e-12, $sum));
            $root[] = $line;
        }

        return new self($root);
    }

    /**
     * @param  array<int, float>  $right
     * @return array<int, float>
     */
    public function solve(array $right): array
    {
        $n = count($right);
        $x = $this->forward($right);
        for ($i = $n - 1; $i >= 0; $i--) {
            for ($k = $i + 1; $k < $n; $k++) {
                $x[$i] -= $this->root[$k][$i] * $x[$k];
            }
            $x[$i] /= $this->root[$i][$i];
        }

        return $x;
    }

    /**
     * A draw of mean 0 and covariance M^-1.
     *
     * @param  list<float>  $normal  draws of mean 0 and variance 1
     * @return array<int, float>
     */
    public function drawn(array $normal): array
    {
        $x = $normal;
        for ($i = count($x) - 1; $i >= 0; $i--) {
            for ($k = $i + 1, $n = count($x); $k < $n; $k++) {
                $x[$i] -= $this->root[$k][$i] * $x[$k];
            }
            $x[$i] /= $this->root[$i][$i];
        }

        return $x;
    }

    /**
     * v' M^-1 w.
     *
     * @param  array<int, float>  $v
     * @param  array<int, float>  $w
     */
    public function between(array $v, array $w): float
    {
        return array_sum(array_map(static fn (float $x, float $y): float => $x * $y, $this->forward($v), $this->forward($w)));
    }

    /**
     * v' M^-1 v.
     *
     * @param  array<int, float>  $vector
     */
    public function quadratic(array $vector): float
    {
        return array_sum(array_map(static fn (float $x): float => $x * $x, $this->forward($vector)));
    }

    /**
     * @param  array<int, float>  $right
     * @return array<int, float>
     */
    private function forward(array $right): array
    {
        foreach ($right as $i => $value) {
            for ($k = 0; $k < $i; $k++) {
                $value -= $this->root[$i][$k] * $right[$k];
            }
            $right[$i] = $value / $this->root[$i][$i];
        }

        return $right;
    }
}
