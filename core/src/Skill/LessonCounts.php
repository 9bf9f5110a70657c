<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

/** What is done all the time, in one lesson: what the key counted, and what was marked between hazards. */
final readonly class LessonCounts
{
    /**
     * @param  ?Rate  $rearLooks  null where none were counted
     * @param  list<float>  $ahead  times to the car ahead, s
     * @param  int  $short  how many of them were under what was wanted
     * @param  list<HabitKept>  $kept
     */
    public function __construct(
        public string $lesson,
        public \DateTimeImmutable $at,
        public ?Rate $rearLooks,
        public array $ahead,
        public int $short,
        public array $kept,
    ) {
    }
}
