<?php

declare(strict_types=1);

namespace NobleTurn\Core\Next;

use NobleTurn\Core\Assessment\Counted;
use NobleTurn\Core\Assessment\MarkedFault;
use NobleTurn\Core\Assessment\Scheme;
use NobleTurn\Core\Skill\Ladder;
use NobleTurn\Core\Trade\Effect;
use NobleTurn\Core\Trade\Step;

/**
 * How likely a drive of a test passes by a scheme, for somebody whose abilities are known. Nobody helps there, so whatever took help in a lesson may
 * be a fault. Faults fall apart from one another (Poisson), and each limit is passed or not by itself: both assumed.
 */
final class TestDrive
{
    /** Hazards that are dealt with in a test (assumed). */
    public const ROUNDS = 30.0;

    /** What a mark of a lesson would be in a test, by rank: so many faults by what they do to others (all assumed). */
    private const FAULTS = [
        0 => ['intervened' => 1.0],
        1 => ['potential' => 0.7, 'affected' => 0.3],
        2 => ['nobody' => 1.0],
        3 => ['nobody' => 0.5],
        4 => [],
    ];

    /** A step's faults of one gravity are of so many kinds, each as often (assumed): where a scheme counts those of one kind. */
    private const KINDS = 3;

    /** Faults of every gravity are looked up for abilities in steps of this size, logits. */
    private const GRID = 0.05;

    private const LOWEST = -8.0;

    private const HIGHEST = 9.0;

    /** @var array<string, array<int, float>> faults a mark, by gravity, for each ability of the grid */
    private array $faults = [];

    public function __construct(private readonly Scheme $scheme)
    {
        $steps = (int) round((self::HIGHEST - self::LOWEST) / self::GRID);
        for ($i = 0; $i <= $steps; $i++) {
            foreach ($this->scheme->severities() as $severity) {
                $this->faults[$severity->value][$i] = 0.0;
            }
            foreach (Ladder::probabilities(self::LOWEST + self::GRID * $i) as $rank => $chance) {
                foreach (self::FAULTS[$rank] as $effect => $share) {
                    $severity = $this->scheme->severity(new MarkedFault(Step::Look, effect: Effect::from($effect)));
                    if ($severity !== null) {
                        $this->faults[$severity->value][$i] = ($this->faults[$severity->value][$i] ?? 0.0) + $chance * $share;
                    }
                }
            }
        }
    }

    /**
     * @param  array<string, list<float>>  $abilities  by step, one for each routine that has it, logits in the conditions of a test
     * @param  int  $routines  that may be met, each as often
     * @param  float  $form  of the day, logits
     * @return float 0 to 1
     */
    public function passes(array $abilities, int $routines, float $form = 0.0): float
    {
        $expected = [];
        foreach ($abilities as $step => $each) {
            $lows = $parts = [];
            foreach ($each as $ability) {
                $at = (max(self::LOWEST, min(self::HIGHEST - 1e-9, $ability + $form)) - self::LOWEST) / self::GRID;
                $lows[] = $low = (int) $at;
                $parts[] = $at - $low;
            }
            foreach ($this->faults as $severity => $faults) {
                $sum = 0.0;
                foreach ($lows as $i => $low) {
                    $sum += $faults[$low] + $parts[$i] * ($faults[$low + 1] - $faults[$low]);
                }
                $expected[$severity][$step] = $sum * self::ROUNDS / $routines;
            }
        }
        $chance = 1.0;
        foreach ($this->scheme->limits as $limit) {
            $of = $expected[$limit->severity->value] ?? [];
            foreach (match ($limit->within) {
                Counted::Drive => [array_sum($of)],
                Counted::Heading => array_values($of),
                Counted::Aspect => array_merge(...array_map(
                    static fn (float $one): array => array_fill(0, self::KINDS, $one / self::KINDS), array_values($of),
                )),
            } as $faults) {
                $chance *= self::atMost($limit->most, $faults);
            }
        }

        return $chance;
    }

    /** The chance of so many or fewer, where so many are expected. Published: S.-D. Poisson, "Recherches sur la probabilité des jugements" (1837). */
    private static function atMost(int $most, float $expected): float
    {
        $term = $sum = exp(-$expected);
        for ($i = 1; $i <= $most; $i++) {
            $term *= $expected / $i;
            $sum += $term;
        }

        return min(1.0, $sum);
    }
}
