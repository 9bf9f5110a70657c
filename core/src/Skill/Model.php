<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

/** The figures of the skill model: all assumed, chosen on simulated learners, none taken from a source. */
final readonly class Model
{
    public function __construct(
        /** Where a learner nobody has marked stands, logits. */
        public float $start = -0.3,
        /** Standard deviations of what a mark is the sum of. */
        public float $learner = 1.4,
        public float $step = 0.5,
        public float $routine = 0.4,
        public float $stepInSection = 0.6,
        public float $stepOnSide = 0.8,
        public float $cell = 0.9,
        public float $marker = 0.3,
        public float $place = 0.6,
        /** Of how much conditions trouble this learner, as a share of what they are reckoned. */
        public float $load = 1.5,
        /** Gained with each doubling of the rounds driven since (per natural logarithm), logits. */
        public float $practice = 1.3,
        /** By how much learners differ in that: a standard deviation. */
        public float $practiceDiffers = 0.22,
        /** Lost with every factor e of months without it, logits. */
        public float $fading = 0.3,
        public float $fadingDays = 30.0,
        /** By how much learners differ in that: a standard deviation. */
        public float $fadingDiffers = 0.5,
        /** Old evidence counts less: by a factor e for so many lessons, and for so many days. */
        public float $lessons = 11.0,
        public float $days = 180.0,
        /** What counts this little counts no more. */
        public float $least = 0.01,
        /** How closely an instructor's own word on a cell is taken: its standard deviation, logits. */
        public float $overruling = 0.3,
        /** It counts less, by a factor e, for so many rounds of the cell driven since. */
        public float $overrulingRounds = 5.0,
        /** What is not known of today for all the evidence: form of the day, and the days since the last of it, logits squared. */
        public float $ofTheDay = 0.3,
        public float $perDay = 0.006,
        /** So many marks are slips or luck: they go by what this learner's marks are like on the whole, not by the cell. */
        public float $slips = 0.05,
    ) {
    }

    /** How much of a mark counts after so many lessons and seconds: from 1 down to nothing, where it would be too little to matter. */
    public function remains(int $lessons, int $seconds): float
    {
        $weight = exp(-$lessons / $this->lessons - max(0, $seconds) / 86_400.0 / $this->days);

        return max(0.0, ($weight - $this->least) / (1.0 - $this->least));
    }
}
