<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/** What one lesson changed in what is believed of a step of a routine: before it and after it, both for the moment it ended. */
final readonly class Changed
{
    private function __construct(
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
     * @param  list<Evidence>  $evidence  of the lesson and of those before it; later marks are left out
     * @param  list<Overruling>  $overrulings
     * @return list<self> what changed most first, first looks last
     */
    public static function in(string $lesson, array $evidence, array $overrulings, RulePack $pack): array
    {
        $today = array_values(array_filter($evidence, static fn (Evidence $one): bool => $one->lesson === $lesson));
        if ($today === []) {
            return [];
        }
        $times = array_map(static fn (Evidence $one): \DateTimeImmutable => $one->at, $today);
        [$began, $ended] = [min($times), max($times)];
        $earlier = array_values(array_filter($evidence, static fn (Evidence $one): bool => $one->lesson !== $lesson && $one->at <= $began));
        $overrulings = array_values(array_filter($overrulings, static fn (Overruling $one): bool => $one->at <= $began));
        $before = Fit::of($earlier, $pack, $ended, overrulings: $overrulings);
        $after = Fit::of([...$earlier, ...$today], $pack, $ended, overrulings: $overrulings);
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
