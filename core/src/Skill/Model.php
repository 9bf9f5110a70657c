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
        public float $step = 0.4,
        public float $routine = 0.4,
        public float $stepInSection = 0.7,
        public float $stepOnSide = 0.8,
        public float $cell = 0.9,
        public float $marker = 0.3,
        public float $place = 0.5,
        /** Of how much conditions trouble this learner, as a share of what they are reckoned. */
        public float $load = 1.5,
        /** Gained with each doubling of the rounds driven since (per natural logarithm), logits. */
        public float $practice = 1.2,
        /** Lost with every factor e of months without it, logits. */
        public float $fading = 0.35,
        public float $fadingDays = 30.0,
        /** Old evidence counts less: by a factor e for so many lessons, and for so many days. */
        public float $lessons = 10.0,
        public float $days = 150.0,
        /** How closely an instructor's own word on a cell is taken: its standard deviation, logits. */
        public float $overruling = 0.3,
        /** It counts less, by a factor e, for so many rounds of the cell driven since. */
        public float $overrulingRounds = 5.0,
        /** What is not known of today for all the evidence: form of the day, and the days since the last of it, logits squared. */
        public float $ofTheDay = 0.3,
        public float $perDay = 0.006,
    ) {
    }
}
