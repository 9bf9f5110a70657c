<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

/**
 * From which length on somebody takes a gap: the gaps they let go by and those they took, with the chance of taking one a logistic function of
 * its length (as gap acceptance is modelled in traffic engineering). The length at even chances is estimated with the range in which it lies
 * four times out of five, over a grid of thresholds and of how sharp they are, each weighed by how well it foretells what was done. Before
 * any gap is seen, the threshold is believed to lie near the expected one, widely (assumed).
 */
final readonly class GapThreshold
{
    /** Under so many gaps nothing is said (assumed). */
    private const FEWEST = 4;

    /** How widely thresholds lie around the expected one, s (assumed). */
    private const SPREAD = 3.0;

    /** How far around the threshold it is a toss-up: the middle, s, and how widely that differs, as a factor's logarithm (assumed). */
    private const SOFTNESS = 0.7;

    private const SOFTNESS_SPREAD = 0.7;

    private const STEP = 0.1;

    private const LONGEST = 25.0;

    private function __construct(public float $estimate, public float $low, public float $high, public int $evidence)
    {
    }

    /**
     * @param  list<array{float, bool}>  $gaps  each its length, s, and whether it was taken
     * @param  float  $expected  what a driver of this manoeuvre needs, s
     * @return ?self null under four gaps, or where none was taken or none let go
     */
    public static function of(array $gaps, float $expected): ?self
    {
        $taken = count(array_filter($gaps, static fn (array $gap): bool => $gap[1]));
        if (count($gaps) < self::FEWEST || $taken === 0 || $taken === count($gaps)) {
            return null;
        }
        $logs = [];
        foreach (range(-2.0, 2.0, 0.5) as $off) {
            $softness = self::SOFTNESS * exp($off * self::SOFTNESS_SPREAD);
            for ($threshold = self::STEP; $threshold < self::LONGEST; $threshold += self::STEP) {
                $log = -($off ** 2) / 2 - (($threshold - $expected) / self::SPREAD) ** 2 / 2;
                foreach ($gaps as [$seconds, $isTaken]) {
                    $log -= self::softplus(($isTaken ? -1 : 1) * ($seconds - $threshold) / $softness);
                }
                $logs[(string) round($threshold, 2)][] = $log;
            }
        }
        $most = max(array_map(static fn (array $of): float => max($of), $logs));
        $weights = array_map(static fn (array $of): float => array_sum(array_map(static fn (float $log): float => exp($log - $most), $of)), $logs);
        $all = array_sum($weights);
        $mean = $reached = 0.0;
        $ends = [];
        foreach ($weights as $threshold => $weight) {
            $mean += (float) $threshold * $weight / $all;
            $reached += $weight / $all;
            foreach ([0.1, 0.9] as $i => $share) {
                $ends[$i] ??= $reached >= $share ? (float) $threshold : null;
            }
        }

        return new self($mean, $ends[0] ?? 0.0, $ends[1] ?? self::LONGEST, count($gaps));
    }

    /** ln(1 + e^x), without overflow. */
    private static function softplus(float $x): float
    {
        return $x > 30 ? $x : log1p(exp($x));
    }
}
