<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

/**
 * How strictly somebody marks beside their colleagues, from learners whom several of them marked. What each learner's fit says of their markers is
 * what that learner's marks say times a prior; the prior is taken out, the rest multiplied over the school, and the prior put back once (products of
 * Gaussians). Who shares no learner with anybody stands where everybody begins, with all the range there is.
 */
final readonly class Strictness
{
    /** Whose range lies wholly beyond this, logits, marks so that one would notice (assumed). */
    private const NOTICED = 0.1;

    /** @param  float  $estimate  logits: above 0 stricter than the others, so that a mark of theirs says too little */
    private function __construct(public float $estimate, public float $low, public float $high, public int $learners)
    {
    }

    /**
     * @param  list<Marking>  $learners
     * @return array<string, self> by marker, in the order of their ids: it is no ranking
     */
    public static function of(array $learners, Model $model = new Model): array
    {
        $who = array_unique(array_merge(...array_map(static fn (Marking $one): array => $one->who, $learners)));
        sort($who, SORT_STRING);
        $place = array_flip($who);
        $prior = 1.0 / $model->marker ** 2;
        $n = count($who);
        $precision = array_map(static fn (int $i): array => array_replace(array_fill(0, $n, 0.0), [$i => $prior]), array_keys($who));
        $sum = array_fill(0, $n, 0.0);
        $shared = array_fill(0, $n, 0);
        foreach ($learners as $one) {
            // Alone with a learner nobody can be told from a better learner.
            if (count($one->who) < 2) {
                continue;
            }
            $places = array_map(static fn (string $name): int => $place[$name], $one->who);
            [$matrix, $right] = self::beside($one, $prior, $model->ofTheDay);
            foreach ($places as $i => $at) {
                $shared[$at]++;
                $sum[$at] += $right[$i];
                foreach ($places as $j => $beside) {
                    $precision[$at][$beside] += $matrix[$i][$j];
                }
            }
        }
        $system = Linear::of($precision);
        $means = $n === 0 ? [] : $system->solve($sum);
        $among = max(1, count(array_filter($shared)));
        $found = [];
        foreach ($who as $i => $name) {
            // Beside the average of all who share learners.
            $vector = $shared[$i] === 0 ? array_fill(0, $n, 0.0) : array_map(static fn (int $learners): float => $learners === 0 ? 0.0
                : -1.0 / $among, $shared);
            $vector[$i] += 1.0;
            $estimate = -array_sum(array_map(static fn (float $x, float $mean): float => $x * $mean, $vector, $means));
            $by = Belief::TENTH * sqrt($system->quadratic($vector));
            $found[$name] = new self($estimate, $estimate - $by, $estimate + $by, $shared[$i]);
        }

        return $found;
    }

    /**
     * What one learner says of those who marked them, without the prior, and of each beside the others only: that all of them are lenient alike is
     * the same as a better learner, so a shift of all of them is left free. Whoever marked few lessons saw few days of form, and may have met the good ones.
     *
     * @return array{array<int, array<int, float>>, array<int, float>} precision, and precision times mean
     */
    private static function beside(Marking $one, float $prior, float $ofTheDay): array
    {
        $system = Linear::of($one->covariance);
        $n = count($one->who);
        $unit = static fn (int $i): array => array_replace(array_fill(0, $n, 0.0), [$i => 1.0]);
        $matrix = array_map(static function (int $i) use ($system, $unit, $prior): array {
            $row = $system->solve($unit($i));
            $row[$i] -= $prior;

            return $row;
        }, range(0, $n - 1));
        $right = $system->solve($one->means);
        // The inverse of the sum of two covariances, one of which cannot be turned round itself (Woodbury, from memory).
        $wider = $matrix;
        foreach ($one->lessons as $i => $lessons) {
            $wider[$i][$i] += $lessons / $ofTheDay;
        }
        $wider = Linear::of($wider);
        $less = static function (array $vector) use ($matrix, $wider): array {
            $solved = $wider->solve($vector);

            return array_map(static fn (float $x, array $row): float => $x - array_sum(array_map(static fn (float $a, float $b): float => $a * $b, $row,
                $solved)), $vector, $matrix);
        };
        $right = $less($right);
        // It is the same across as down.
        $matrix = array_map($less, $matrix);
        $rows = array_map(array_sum(...), $matrix);
        $all = array_sum($rows);
        if ($all > 1e-9) {
            $shift = array_sum($right) / $all;
            foreach ($rows as $i => $x) {
                $right[$i] -= $x * $shift;
                foreach ($rows as $j => $y) {
                    $matrix[$i][$j] -= $x * $y / $all;
                }
            }
        }

        return [$matrix, $right];
    }

    /** As a sentence to the owner. */
    public function message(): string
    {
        return match (true) {
            $this->learners === 0 => 'Shares no learner with a colleague yet: nobody can say.',
            $this->low > self::NOTICED => 'Marks more strictly than colleagues do.',
            $this->high < -self::NOTICED => 'Marks more leniently than colleagues do.',
            default => 'Marks much as colleagues do.',
        };
    }
}
