<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/** What one lesson changed in what is believed of a step of a routine: before it and after it, both for the moment it ended. */
final readonly class Changed
{
    public function __construct(
        public RoutineCode $routine,
        public Step $step,
        /** Null where nothing had been marked there before. */
        public ?Belief $before,
        public Belief $after,
        /** Marks of this lesson, and how many of them were unaided. */
        public int $marks,
        public int $unaided,
    ) {
    }

    /** Of the chance of "unaided". A first look changes what it says over the guess made from everything else. */
    public function by(): float
    {
        return $this->before === null ? 0.0 : $this->after->unaided() - $this->before->unaided();
    }

    /**
     * @param  Fit  $before  of what was known when the lesson began
     * @param  Fit  $after  of that and its marks
     * @param  list<Evidence>  $today  its marks
     * @return list<self> what changed most first, first looks last
     */
    public static function between(Fit $before, Fit $after, array $today): array
    {
        $ranks = $cells = [];
        foreach ($today as $one) {
            if (! $one->taught) {
                $ranks[$one->cell()][] = $one->rank;
                $cells[$one->cell()] = [$one->routine, $one->step];
            }
        }
        $known = array_flip($before->marked());
        $found = [];
        foreach ($cells as $cell => [$routine, $step]) {
            $found[] = new self(
                $routine, $step, isset($known[$cell]) ? $before->belief($routine, $step) : null, $after->belief($routine, $step),
                count($ranks[$cell]), count(array_keys($ranks[$cell], Ladder::TOP, true)),
            );
        }
        usort(
            $found,
            static fn (self $a, self $b): int => [
                $a->before === null, -abs($a->by()), $a->routine->value, $a->step->value,
            ] <=> [$b->before === null, -abs($b->by()), $b->routine->value, $b->step->value],
        );

        return $found;
    }
}
