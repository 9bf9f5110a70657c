<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

/**
 * Whether a remedy works: over those who were given it, how much more often the step was clean afterwards than before the lesson in which it
 * was given, less what their other steps gained in the same time. The mean over learners with its 80 % range (Student's t). It is no trial:
 * who is given a remedy was chosen for it.
 */
final readonly class RemedyEffect
{
    /** Marks before and after that are looked at, and how many there must be (assumed). */
    public const MOST_MARKS = 10;

    public const FEWEST_MARKS = 3;

    /** Under so many learners nothing is said (assumed). */
    private const FEWEST = 5;

    /** The upper tenth of Student's t by degrees of freedom, from 4 on; published in every table of it. */
    private const T = [
        4 => 1.533, 1.476, 1.440, 1.415, 1.397, 1.383, 1.372, 1.363, 1.356, 1.350, 1.345, 1.341, 1.337, 1.333, 1.330, 1.328, 1.325, 1.323, 1.321, 1.319,
        1.318, 1.316, 1.315, 1.314, 1.313, 1.311, 1.310,
    ];

    private function __construct(public int $learners, public ?float $change, public ?float $low, public ?float $high)
    {
    }

    /**
     * How much of one learner's step changed, less what the other steps did.
     *
     * @param  list<bool>  $before  clean or not, of the step
     * @param  list<bool>  $after
     * @param  list<bool>  $othersBefore  of the other steps in the same rounds
     * @param  list<bool>  $othersAfter
     * @return ?float -2 to 2; null from too few marks
     */
    public static function change(array $before, array $after, array $othersBefore, array $othersAfter): ?float
    {
        if (min(count($before), count($after)) < self::FEWEST_MARKS) {
            return null;
        }
        $share = static fn (array $marks): float => count(array_filter($marks)) / count($marks);
        $others = $othersBefore === [] || $othersAfter === [] ? 0.0 : $share($othersAfter) - $share($othersBefore);

        return $share($after) - $share($before) - $others;
    }

    /** @param  list<float>  $changes  one a learner */
    public static function of(array $changes): self
    {
        $n = count($changes);
        if ($n < self::FEWEST) {
            return new self($n, null, null, null);
        }
        $mean = array_sum($changes) / $n;
        $squares = array_sum(array_map(static fn (float $change): float => ($change - $mean) ** 2, $changes));
        $half = self::upperTenth($n - 1) * sqrt($squares / ($n - 1) / $n);

        return new self($n, $mean, $mean - $half, $mean + $half);
    }

    public function message(): string
    {
        $learners = $this->learners === 1 ? '1 learner' : "{$this->learners} learners";

        return match (true) {
            $this->change === null, $this->low === null, $this->high === null => "Whether it works is not known yet: {$learners}, with marks before and after.",
            $this->low > 0 => sprintf('Helped: clean %+d in 100 more than their other steps gained (%+d to %+d), %s.', ...$this->inHundred($learners)),
            $this->high < 0 => sprintf('Did not help: clean %+d in 100 against their other steps (%+d to %+d), %s.', ...$this->inHundred($learners)),
            default => sprintf('Not clear: clean %+d in 100 against their other steps (%+d to %+d), %s.', ...$this->inHundred($learners)),
        };
    }

    /** @return array{int, int, int, string} */
    private function inHundred(string $learners): array
    {
        return [(int) round(100 * (float) $this->change), (int) round(100 * (float) $this->low), (int) round(100 * (float) $this->high), $learners];
    }

    /** Past the table it nears the normal's, by the first term of its expansion. */
    private static function upperTenth(int $freedom): float
    {
        return self::T[$freedom] ?? 1.2816 + 0.8467 / $freedom;
    }
}
