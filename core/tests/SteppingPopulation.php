<?php

declare(strict_types=1);

namespace NobleTurn\Core\Tests;

/** What SteppingLearners are like on the whole. */
final readonly class SteppingPopulation
{
    /**
     * @param  list<list<float>>  $outcomes  chance of each outcome, worst first, in each state: nobody is without slips, nobody without a lucky guess
     * @param  list<list<float>>  $begins  where cells begin, by how somebody came
     * @param  list<float>  $came  how many came so
     * @param  list<float>  $climbs  chance to climb a state on a round driven, as many learners of each
     * @param  list<float>  $days  chance of a bad, an ordinary and a good day,
     * @param  float  $byTheDay  and of a mark that is made as if a state lower, or higher
     * @param  float  $falls  so many cells have fallen a state after a long pause
     * @param  float  $pause  and six tenths of those after so many days
     */
    public function __construct(
        public array $outcomes = [
            [0.25, 0.40, 0.20, 0.10, 0.05], [0.08, 0.25, 0.32, 0.20, 0.15], [0.02, 0.08, 0.20, 0.30, 0.40], [0.005, 0.02, 0.045, 0.13, 0.80],
        ],
        public array $begins = [[0.70, 0.25, 0.05, 0.0], [0.30, 0.45, 0.20, 0.05], [0.05, 0.25, 0.50, 0.20]],
        public array $came = [0.45, 0.35, 0.20],
        public array $climbs = [0.05, 0.12, 0.22],
        public array $days = [0.2, 0.6, 0.2],
        public float $byTheDay = 0.4,
        public float $falls = 0.35,
        public float $pause = 40.0,
    ) {
    }

    /** Those who go on until they pass: a fifth state, in which hardly anything goes wrong, and who get there in some dozens of lessons (made up). */
    public static function whoPass(): self
    {
        return new self(
            outcomes: [
                [0.25, 0.40, 0.20, 0.10, 0.05], [0.08, 0.25, 0.32, 0.20, 0.15], [0.02, 0.08, 0.20, 0.30, 0.40], [0.003, 0.012, 0.035, 0.10, 0.85],
                [0.0003, 0.0012, 0.0045, 0.024, 0.97],
            ],
            begins: [[0.70, 0.25, 0.05, 0.0, 0.0], [0.30, 0.45, 0.20, 0.05, 0.0], [0.05, 0.25, 0.50, 0.20, 0.0]],
            climbs: [0.10, 0.18, 0.30], byTheDay: 0.15, falls: 0.1,
        );
    }

    public function fallen(\DateTimeImmutable $last, \DateTimeImmutable $at): float
    {
        return $this->falls * (1.0 - exp(-($at->getTimestamp() - $last->getTimestamp()) / 86_400.0 / $this->pause));
    }

    public function top(): int
    {
        return count($this->outcomes) - 1;
    }
}
