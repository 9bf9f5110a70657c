<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

/**
 * The ladder of outcomes as a cumulative logit: P(at least rank k) = 1 / (1 + exp(-(eta + off[k]))). With eta = 0 a step is
 * as often unaided as not (McCullagh 1980, the proportional odds model).
 */
final class Ladder
{
    /** What each rung asks less than "unaided", logits: missed or better, prompted, reminded, unaided (assumed). */
    public const EASIER = [1 => 4.0, 2 => 2.6, 3 => 1.3, 4 => 0.0];

    public const TOP = 4;

    public static function atLeast(int $rank, float $eta): float
    {
        return $rank <= 0 ? 1.0 : ($rank > self::TOP ? 0.0 : self::logistic($eta + self::EASIER[$rank]));
    }

    /** @return non-empty-list<float> for ranks 0 to 4; all positive, together 1 */
    public static function probabilities(float $eta): array
    {
        $steps = array_map(static fn (int $rank): float => self::atLeast($rank, $eta), range(0, self::TOP + 1));

        return array_map(static fn (int $rank): float => max(1e-12, $steps[$rank] - $steps[$rank + 1]), range(0, self::TOP));
    }

    /**
     * Of the log-likelihood: its first derivative, 1 - F(k) - F(k+1), and minus its second, f(k) + f(k+1), never negative.
     *
     * @return array{float, float}
     */
    public static function derivatives(int $rank, float $eta): array
    {
        // Written out: this is asked more often than anything else.
        $here = $rank <= 0 ? 1.0 : 1.0 / (1.0 + exp(-$eta - self::EASIER[$rank]));
        $above = $rank >= self::TOP ? 0.0 : 1.0 / (1.0 + exp(-$eta - self::EASIER[$rank + 1]));

        return [1.0 - $here - $above, $here * (1.0 - $here) + $above * (1.0 - $above)];
    }

    /** Of the log-likelihood, its third derivative: f(k) (2 F(k) - 1) + f(k+1) (2 F(k+1) - 1). */
    public static function third(int $rank, float $eta): float
    {
        $of = static fn (float $chance): float => $chance * (1.0 - $chance) * (2.0 * $chance - 1.0);

        return $of(self::atLeast($rank, $eta)) + $of(self::atLeast($rank + 1, $eta));
    }

    public static function logistic(float $x): float
    {
        return $x >= 0.0 ? 1.0 / (1.0 + exp(-$x)) : exp($x) / (1.0 + exp($x));
    }
}
