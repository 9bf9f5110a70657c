<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

use NobleTurn\Core\Record\Outcome;
use NobleTurn\Core\Trade\Step;

/**
 * A learner's own rating of a step beside the marks of the same lessons. It moves no estimate: it is an opinion to talk about,
 * and where it differs from the marks is what it tells.
 */
final readonly class OwnRating
{
    /** So many of the last rated lessons are compared. */
    public const LESSONS = 5;

    /** Rungs of the ladder by which the two must lie apart to be named (assumed). */
    public const APART = 0.75;

    private function __construct(
        public Step $step,
        public int $lessons,
        /** Averages over those lessons, ranks 0 to 4. */
        public float $said,
        public float $marked,
    ) {
    }

    /** 1 where the learner thinks better of it than the marks do, -1 where worse, 0 where they agree. */
    public function leans(): int
    {
        $apart = $this->said - $this->marked;

        return abs($apart) < self::APART ? 0 : ($apart > 0.0 ? 1 : -1);
    }

    /**
     * @param  array<string, array<string, Outcome>>  $ratings  by lesson and step, oldest lesson first
     * @param  list<Evidence>  $evidence
     * @return list<self> in the order of the steps; only steps both rated and marked in one lesson
     */
    public static function of(array $ratings, array $evidence): array
    {
        $marked = [];
        foreach ($evidence as $one) {
            if (! $one->taught) {
                $marked[$one->lesson][$one->step->value][] = $one->rank;
            }
        }
        $found = [];
        foreach (Step::cases() as $step) {
            $pairs = [];
            foreach ($ratings as $lesson => $said) {
                $ranks = $marked[$lesson][$step->value] ?? [];
                if (isset($said[$step->value]) && $ranks !== []) {
                    $pairs[] = [Ladder::TOP - $said[$step->value]->stepsFromUnaided(), array_sum($ranks) / count($ranks)];
                }
            }
            $pairs = array_slice($pairs, -self::LESSONS);
            if ($pairs !== []) {
                $found[] = new self(
                    $step, count($pairs), array_sum(array_column($pairs, 0)) / count($pairs), array_sum(array_column($pairs, 1)) / count($pairs),
                );
            }
        }

        return $found;
    }
}
