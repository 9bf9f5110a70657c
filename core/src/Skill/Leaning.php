<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

/**
 * Whether a learner is timid or bold, apart from how well they drive: of what went wrong one way or the other, how much more was bold than timid.
 * -1 is all timid, +1 all bold. Old signs count less, as old marks do. The share of bold ones is taken to follow a beta distribution that is flat
 * before anything was seen (Bayes 1763, from memory); the range is the middle 80 per cent of it.
 */
final readonly class Leaning
{
    /** Under so many signs nothing is said. */
    private const FEWEST = 5;

    /** So many of the rarer kind, and somebody is now this, now that (assumed). */
    private const BOTH = 3;

    private const CELLS = 2000;

    private function __construct(public float $estimate, public float $low, public float $high, public int $timid, public int $bold)
    {
    }

    /**
     * @param  list<Leant>  $signs  up to today, in any order
     * @param  list<string>  $lessons  all of the learner's that were marked, oldest first: a lesson in which neither was seen makes older signs older
     * @return ?self null where there are too few
     */
    public static function of(array $signs, array $lessons, \DateTimeImmutable $today, Model $model = new Model): ?self
    {
        if (count($signs) < self::FEWEST) {
            return null;
        }
        $turn = array_flip($lessons);
        [$timid, $bold] = [0.0, 0.0];
        foreach ($signs as $sign) {
            $since = count($lessons) - 1 - ($turn[$sign->lesson] ?? 0);
            $weight = $model->remains($since, $today->getTimestamp() - $sign->at->getTimestamp()) * abs($sign->by);
            $sign->by < 0.0 ? $timid += $weight : $bold += $weight;
        }
        $isTimid = array_map(static fn (Leant $sign): bool => $sign->by < 0.0, $signs);
        [$low, $high] = self::range($bold, $timid);

        return new self(
            ($bold - $timid) / ($bold + $timid + 2.0), 2.0 * $low - 1.0, 2.0 * $high - 1.0, count(array_filter($isTimid)),
            count($signs) - count(array_filter($isTimid)),
        );
    }

    public function evidence(): int
    {
        return $this->timid + $this->bold;
    }

    /** As a sentence to the instructor. */
    public function message(): string
    {
        return match (true) {
            $this->high < 0.0 => 'Timid: holds back or slows where there is room.',
            $this->low > 0.0 => 'Bold: goes, or goes on, where there is no room for it.',
            min($this->timid, $this->bold) >= self::BOTH => 'Now timid, now bold: what is room enough is not settled yet.',
            default => 'Neither timid nor bold for sure.',
        };
    }

    /**
     * Tenth and ninetieth percentile of a beta distribution of so many bold and timid signs, each and one; by the rule of the middle.
     *
     * @return array{float, float}
     */
    private static function range(float $bold, float $timid): array
    {
        // Against the likeliest share: nothing runs out of range however many there are.
        $top = max(1e-9, min(1.0 - 1e-9, $bold / max(1e-9, $bold + $timid)));
        $density = [];
        for ($i = 0; $i < self::CELLS; $i++) {
            $x = ($i + 0.5) / self::CELLS;
            $density[] = exp($bold * log($x / $top) + $timid * log((1.0 - $x) / (1.0 - $top)));
        }
        $all = array_sum($density);
        $ends = [];
        foreach ([0.1, 0.9] as $share) {
            $left = $share * $all;
            foreach ($density as $i => $of) {
                if ($left <= $of) {
                    $ends[] = ($i + $left / $of) / self::CELLS;

                    break;
                }
                $left -= $of;
            }
        }

        return [$ends[0] ?? 0.0, $ends[1] ?? 1.0];
    }
}
